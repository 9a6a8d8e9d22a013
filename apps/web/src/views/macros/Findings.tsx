import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type MacroFinding, mendOf } from '@nimble-lever/core/macros';
import type { Macro } from '@nimble-lever/core/setup';
import { macroFindingWords } from '@nimble-lever/core/words';
import { makeEdits } from '../../app/setup/edits.ts';
import { useAppDispatch } from '../../app/store.ts';
import { newStepId } from './macroEdits.ts';
import type { ScoreRow } from './rows.ts';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: '0 1 auto',
  minHeight: 72,
  overflow: 'auto',
  padding: '10px 14px 12px',
  fontSize: 12,
  lineHeight: 1.4,
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: '0 0 6px', fontSize: 13, fontWeight: 650 },
  '& ul': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 6 },
  '& li': { display: 'flex', gap: 8, alignItems: 'baseline' },
  '& .mark': {
    flex: 'none',
    padding: '0 7px',
    borderRadius: 8,
    border: 0,
    font: 'inherit',
    fontSize: 11,
    minHeight: 18,
    color: vars?.palette.tokens.brick,
    backgroundColor: vars?.palette.tokens.brickTint,
  },
  '& button.mark': { cursor: 'pointer' },
  '& .mark.ok': { color: vars?.palette.tokens.accent, backgroundColor: vars?.palette.tokens.accentTint },
  '& .MuiButton-root': { flex: 'none', minHeight: 24, padding: '0 8px', fontSize: 12 },
}));

interface Props {
  readonly macro: Macro;
  readonly rows: readonly ScoreRow[];
  readonly findings: readonly MacroFinding[];
  readonly onShow: (step: string) => void;
}

/** What is worth a look in a macro, with the mend where there is one. */
export function Findings({ macro, rows, findings, onShow }: Props) {
  const dispatch = useAppDispatch();
  if (macro.steps.length === 0) return null;
  const staysDown = findings.some(({ kind }) => kind === 'stays-down');
  return (
    <Box aria-label={WORDS.worthALook}>
      <h2>{WORDS.worthALook}</h2>
      <ul>
        {findings.map((finding) => {
          const { step, kind } = finding;
          const number = rows.find((row) => row.step.id === step)?.number;
          const mend = mendOf(macro, finding, newStepId);
          return (
            <li key={`${kind} ${step}`}>
              {step !== null && number !== undefined && (
                <button
                  type="button"
                  className="mark"
                  aria-label={`${WORDS.score} ${number}`}
                  onClick={() => onShow(step)}
                >
                  {WORDS.stepNumber(number)}
                </button>
              )}
              <span>{macroFindingWords(finding)}</span>
              {mend.length > 0 && (
                <Button onClick={() => dispatch(makeEdits(mendOf(macro, finding, newStepId)))}>
                  {WORDS.mend}
                </Button>
              )}
            </li>
          );
        })}
        {!staysDown && (
          <li>
            <span className="mark ok">{WORDS.ok}</span> <span>{WORDS.allUp}</span>
          </li>
        )}
      </ul>
    </Box>
  );
}
