import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { isPressed, type Trigger, triggersOf } from '@nimble-lever/core/devices';
import { PRESS_STYLES } from '@nimble-lever/core/setup';
import { triggerWord } from '@nimble-lever/core/words';
import { type RefObject, useMemo, useState } from 'react';
import { selectCompiled } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { cellSelected, recordingEnded } from '../boardSlice.ts';
import { WORDS } from '../words.ts';
import { CommandChooser } from './CommandChooser.tsx';
import { Composer } from './Composer.tsx';
import { LiveRecorder } from './LiveRecorder.tsx';
import { PulseDrawing } from './PulseDrawing.tsx';
import { pulsesOf } from './pulses.ts';
import { Section } from './Section.tsx';
import { TypedShortcut } from './TypedShortcut.tsx';
import type { CellEdits } from './useCellEdits.ts';

const Fields = styled('div')({
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 4fr) minmax(0, 5fr)',
  gap: 8,
  alignItems: 'start',
});
const Style = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  alignItems: 'center',
  gap: 12,
  minHeight: 28,
  fontSize: 12,
  '& .MuiToggleButton-root': { minHeight: 28, height: 28 },
  color: vars?.palette.text.secondary,
  '& b': { color: vars?.palette.text.primary, fontWeight: 650 },
}));

interface Props {
  readonly edits: CellEdits;
  readonly chooserRef: RefObject<HTMLInputElement | null>;
  readonly onDone: () => void;
}

/** What a cell sends and how it is sent, with the pulses that come out. */
export function DoesSection({ edits, chooserRef, onDone }: Props) {
  const { cell, binding, turns, style, setStyle } = edits;
  const dispatch = useAppDispatch();
  const compiled = useAppSelector(selectCompiled);
  const recording = useAppSelector((state) => state.board.recording);
  const [composing, setComposing] = useState(false);
  const leave = () => {
    dispatch(recordingEnded());
    onDone();
  };
  const compose = () => {
    dispatch(recordingEnded());
    setComposing(true);
  };
  const endComposing = () => {
    setComposing(false);
    onDone();
  };
  const pulses = useMemo(() => pulsesOf(compiled, cell.slot), [compiled, cell.slot]);
  const rotor = cell.row.control.rotor;
  const sends = binding?.behaviour.kind === 'action';
  return (
    <Section title={WORDS.does}>
      <Fields>
        {recording ? (
          <LiveRecorder onTaken={edits.setSteps} onCompose={compose} onLeave={leave} />
        ) : (
          <>
            <CommandChooser edits={edits} inputRef={chooserRef} onDone={onDone} />
            <TypedShortcut edits={edits} onCompose={compose} />
          </>
        )}
        <Composer open={composing} onUse={edits.setSteps} onClose={endComposing} />
      </Fields>
      <Style>
        {turns && rotor ? (
          <span>
            {rotor.kind === 'continuous' ? WORDS.every(`${rotor.stepDegrees}°`) : WORDS.every('detent')} ·{' '}
            {WORDS.turnTaps}
          </span>
        ) : (
          <>
            <span>{WORDS.pressStyle}</span>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label={WORDS.pressStyle}
              value={sends ? style : null}
              disabled={!sends}
              onChange={(_event, next) => next && setStyle(next)}
            >
              {PRESS_STYLES.map((choice) => (
                <ToggleButton key={choice} value={choice} title={WORDS.styleMeans[choice]}>
                  {WORDS[choice]}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </>
        )}
      </Style>
      <TriggerChoice edits={edits} />
      <PulseDrawing pulses={pulses} label={`${pulses.length} sent`} />
    </Section>
  );
}

const NUDGE_SIGNS: Readonly<Partial<Record<Trigger, string>>> = {
  'nudge-up': '↑',
  'nudge-right': '→',
  'nudge-down': '↓',
  'nudge-left': '←',
};

/** The ways of using a control alike: press, hold, double press; or a turn, also while pressed. Each is a cell. */
function TriggerChoice({ edits }: { readonly edits: CellEdits }) {
  const dispatch = useAppDispatch();
  const { slot, row } = edits.cell;
  const back = slot.trigger.endsWith('anticlockwise');
  const triggers = triggersOf(row.control).filter((trigger) =>
    edits.turns ? !isPressed(trigger) && trigger.endsWith('anticlockwise') === back : isPressed(trigger),
  );
  if (triggers.length < 2) return null;
  return (
    <Style>
      <span>{WORDS.usedBy}</span>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={WORDS.usedBy}
        value={slot.trigger}
        onChange={(_event, trigger) => trigger && dispatch(cellSelected({ ...slot, trigger }))}
      >
        {triggers.map((trigger) => (
          <ToggleButton
            key={trigger}
            value={trigger}
            aria-label={triggerWord(trigger)}
            title={triggerWord(trigger)}
          >
            {NUDGE_SIGNS[trigger] ?? triggerWord(trigger)}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Style>
  );
}
