import { styled } from '@mui/material/styles';
import { useAppDispatch } from '../../app/store.ts';
import { moveProgram } from './moveProgram.ts';
import { ProgramMenu } from './ProgramMenu.tsx';
import { ProgramSign } from './ProgramSign.tsx';
import type { Entry } from './useEntries.ts';
import { WORDS } from './words.ts';

const Line = styled('li')(({ theme: { vars } }) => ({
  position: 'relative',
  marginBottom: 3,
  '& .program': {
    width: '100%',
    display: 'grid',
    gridTemplateColumns: 'auto minmax(0, 1fr)',
    alignItems: 'center',
    gap: '3px 8px',
    padding: '7px 10px 8px',
    textAlign: 'left',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: 'transparent',
    border: '1px solid transparent',
    borderRadius: 10,
    cursor: 'pointer',
  },
  '& .program:hover': { backgroundColor: vars?.palette.tokens.sheet },
  '& .program[aria-current=true]': {
    paddingRight: 36,
    backgroundColor: vars?.palette.tokens.sheet,
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& .called': { minWidth: 0, display: 'flex', flexDirection: 'column', gap: 1 },
  '& b, & small': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& b': { fontWeight: 650, fontSize: 13 },
  '& em': {
    marginRight: 6,
    padding: '1px 6px',
    borderRadius: 4,
    fontStyle: 'normal',
    fontWeight: 400,
    fontSize: 11,
    color: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& small': { fontSize: 11, color: vars?.palette.text.secondary },
  '& .reach': {
    gridColumn: '1 / -1',
    height: 4,
    borderRadius: 2,
    backgroundColor: vars?.palette.tokens.sunk,
    overflow: 'hidden',
  },
  '& .reach i': { display: 'block', height: '100%', backgroundColor: vars?.palette.tokens.accent },
  '& .tools': { position: 'absolute', right: 6, top: 6, display: 'flex' },
  '& .tools button': {
    width: 26,
    height: 24,
    padding: 0,
    border: 0,
    borderRadius: 6,
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
  },
  '& .tools button:hover': { backgroundColor: vars?.palette.tokens.sunk },
}));

interface Props {
  readonly entry: Entry;
  readonly shown: boolean;
  readonly onShow: (program: string | null) => void;
}

/** One program of the list; what can be done with it stands at the one that is shown. */
export function ProgramEntry({ entry, shown, onShow }: Props) {
  const dispatch = useAppDispatch();
  const { program, name, commands, reached, open, inFront } = entry;
  const states = [
    WORDS.commands(commands),
    ...(program ? [] : [WORDS.underAll]),
    ...(open && !inFront ? [WORDS.open] : []),
  ];
  return (
    <Line>
      <button
        type="button"
        className="program"
        aria-current={shown}
        title={WORDS.inReach(reached, commands)}
        onClick={() => onShow(program?.id ?? null)}
        onKeyDown={(event) => {
          const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
          if (!event.altKey || by === undefined || !program) return;
          event.preventDefault();
          dispatch(moveProgram(program.id, by));
        }}
      >
        <ProgramSign colour={program?.colour ?? null} icon={program ? program.icon : 'layers'} />
        <span className="called">
          <b>{name}</b>
          <small>
            {inFront && <em>{WORDS.inFront}</em>}
            {states.join(' · ')}
          </small>
        </span>
        <span className="reach">
          <i style={{ width: `${commands === 0 ? 0 : (100 * reached) / commands}%` }} />
        </span>
      </button>
      {shown && program && (
        <span className="tools">
          <ProgramMenu key={program.id} program={program} onShow={onShow} />
        </span>
      )}
    </Line>
  );
}
