import { styled } from '@mui/material/styles';
import { Flag } from 'lucide-react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { selectionOf } from './quillboard.ts';

const Cards = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  padding: 12,
  backgroundColor: vars?.palette.tokens.background,
  '& button': {
    flex: 'none',
    minHeight: 52,
    padding: '8px 12px',
    textAlign: 'left',
    font: 'inherit',
    fontSize: 13,
    lineHeight: 1.5,
    whiteSpace: 'pre-wrap',
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.sheet,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 6,
    cursor: 'text',
  },
  '& button[aria-current=true]': { borderColor: vars?.palette.tokens.accent, borderWidth: 2 },
  '& svg': { float: 'right', color: vars?.palette.tokens.layer },
  '& mark': { color: 'inherit', backgroundColor: vars?.palette.tokens.accentTint },
  '& .caret': {
    display: 'inline-block',
    width: 2,
    height: 16,
    margin: '0 -1px',
    verticalAlign: 'text-bottom',
    backgroundColor: vars?.palette.tokens.accent,
  },
}));

/** Quillboard: the cards of the script, with caret and selection. */
export function QuillboardView() {
  const dispatch = useAppDispatch();
  const script = usePrograms((rehearse) => rehearse.quillboard);
  const { cards, at, caret, lastCommand } = script;
  const [from, to] = selectionOf(script);
  return (
    <>
      <Cards>
        {cards.map(({ text, marked }, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a card is its place in the script.
            key={i}
            type="button"
            aria-current={i === at}
            onClick={() =>
              dispatch(changeProgram('quillboard', (state) => ({ ...state, at: i, caret: 0, anchor: 0 })))
            }
          >
            {marked && <Flag size={14} aria-label={WORDS.marked} />}
            {i === at ? (
              <>
                {text.slice(0, from)}
                {caret === from && <span className="caret" />}
                {from < to && <mark>{text.slice(from, to)}</mark>}
                {caret === to && from < to && <span className="caret" />}
                {text.slice(to)}
              </>
            ) : (
              text
            )}
          </button>
        ))}
      </Cards>
      <StatusLine
        facts={[
          [WORDS.card, WORDS.ofFrames(at, cards.length)],
          [WORDS.selected, from < to ? `“${cards[at]?.text.slice(from, to).trim()}”` : WORDS.none],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}
