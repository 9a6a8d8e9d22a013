import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import {
  commandWithShortcut,
  durationWords,
  LATE_WORDS,
  STEP_KINDS,
  stepWords,
  windowAskedWords,
} from '@nimble-lever/core/words';
import { memo } from 'react';
import { Keycap } from '../../../pieces/Keycap.tsx';
import type { Waited } from '../../../practice/startTrial.ts';
import type { ScoreRow } from '../rows.ts';
import { WORDS } from '../words.ts';

const Card = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minWidth: 0,
  height: 32,
  display: 'flex',
  alignItems: 'center',
  gap: 10,
  padding: '0 12px',
  borderRadius: 8,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  '& .kind': { flex: 'none', width: 58, fontSize: 11, color: vars?.palette.text.secondary },
  '& .does': { minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis' },
  '& .soft': { color: vars?.palette.text.secondary, overflow: 'hidden', textOverflow: 'ellipsis' },
  '& .note': {
    flexShrink: 2,
    minWidth: 0,
    marginLeft: 'auto',
    padding: '1px 8px',
    borderRadius: 10,
    fontSize: 11,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    backgroundColor: vars?.palette.tokens.sunk,
  },
  '& .took': { flex: 'none', fontSize: 11, color: vars?.palette.tokens.accent },
  '& .took.late': { color: vars?.palette.tokens.brick },
  // What waits is a gap and no card.
  '&[data-gap=true]': { borderColor: 'transparent', backgroundColor: 'transparent', paddingLeft: 0 },
  '&[data-skipped=true]': { opacity: 0.6, borderStyle: 'dashed', textDecoration: 'line-through' },
  '&[data-now=true]': { backgroundColor: vars?.palette.tokens.accentTint },
  '&[data-selected=true]': {
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
    paddingLeft: 12,
  },
  '&[data-flagged=true]': { borderLeft: `3px solid ${vars?.palette.tokens.brick}` },
}));

interface Props {
  readonly setup: Setup;
  readonly row: ScoreRow;
  /** The program the macro is for, whose commands have names. */
  readonly program: string | null;
  readonly selected: boolean;
  /** It comes next in a trial. */
  readonly now: boolean;
  readonly flagged: boolean;
  readonly waited: Waited | undefined;
}

/** One step as its card, or as the gap that waiting is. */
export const StepLine = memo(function StepLine({
  setup,
  row,
  program,
  selected,
  now,
  flagged,
  waited,
}: Props) {
  const { step, skipped } = row;
  const isGap = step.kind === 'wait' || step.kind === 'until';
  return (
    <Card
      data-gap={isGap}
      data-selected={selected}
      data-now={now}
      data-skipped={skipped}
      data-flagged={flagged}
    >
      {!isGap && <span className="kind">{STEP_KINDS[step.kind]}</span>}
      <StepBody setup={setup} row={row} program={program} />
      {waited && (
        <span className={waited.how === 'late' ? 'took late' : 'took'}>
          {waited.how === 'late' ? WORDS.tooLate : WORDS.took(Math.round(waited.ms))}
        </span>
      )}
      {step.note && <span className="note">{step.note}</span>}
    </Card>
  );
});

/** What it does, with keycaps where keys are sent. */
function StepBody({ setup, row: { step }, program }: Pick<Props, 'setup' | 'row' | 'program'>) {
  switch (step.kind) {
    case 'shortcut': {
      const profile = Object.values(setup.profiles).find((each) => each.program === program);
      const command = profile && program !== null ? commandWithShortcut(setup, profile, step.shortcut) : null;
      return (
        <>
          <Keycap shortcut={step.shortcut} />
          {command && <span className="does">{command.name}</span>}
        </>
      );
    }
    case 'hold':
      return (
        <>
          <Keycap shortcut={step.keys} />
          <span className="does">
            {step.steps.length === 0 ? WORDS.noStepsInside : WORDS.nextSteps(step.steps.length)}
          </span>
        </>
      );
    case 'repeat':
      return (
        <>
          <span className="does">{stepWords(setup, step)}</span>
          <span className="soft">
            {step.steps.length === 0 ? WORDS.noStepsInside : WORDS.stepsInside(step.steps.length)}
          </span>
        </>
      );
    case 'wait':
      return <span className="soft">{WORDS.waitFor(durationWords(step.ms))}</span>;
    case 'until':
      return (
        <span className="soft" title={stepWords(setup, step)}>
          {WORDS.untilWords(windowAskedWords(step.window))} —{' '}
          {WORDS.atMost(durationWords(step.atMostMs), LATE_WORDS[step.late])}
        </span>
      );
    case 'click':
    case 'wheel':
      return (
        <>
          {step.keys !== null && <Keycap shortcut={step.keys} />}
          <span className="does">{stepWords(setup, { ...step, keys: null })}</span>
        </>
      );
    case 'key-down':
    case 'key-up':
    case 'text':
    case 'button':
    case 'pointer':
    case 'menu':
    case 'focus':
    case 'layer':
    case 'macro':
      return <span className="does">{stepWords(setup, step)}</span>;
  }
}
