import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Rotor } from '@nimble-lever/core/devices';
import {
  type Behaviour,
  PRESS_STYLES,
  type PressStyle,
  type Setup,
  USUAL_REPEAT,
} from '@nimble-lever/core/setup';
import { ChoiceField } from '../pieces/ChoiceField.tsx';
import { NumberField } from '../pieces/NumberField.tsx';
import { WORDS } from './words.ts';

const Line = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  gap: '4px 8px',
  flexShrink: 0,
  minHeight: 28,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  '& .MuiToggleButton-root': { minHeight: 28, height: 28, paddingInline: 9 },
  '& .MuiOutlinedInput-root': { minHeight: 28, height: 28, fontSize: 12 },
}));

/** Only something that sends can be sent in different ways. */
type Acts = Extract<Behaviour, { kind: 'action' }>;

/** What decides which fields are shown: a turn has no press style, a guard no place on a release. */
interface Props {
  readonly setup: Setup;
  /** Null where nothing is set. */
  readonly behaviour: Behaviour | null;
  /** Whether the trigger is a turn or slide, which has no press style. */
  readonly turns: boolean;
  /** What turns, for how far a step is; null for what does not. */
  readonly rotor: Rotor | null;
  readonly onStyle: (style: PressStyle) => void;
  readonly onOptions: (options: Partial<Pick<Acts, 'repeat' | 'guard' | 'target'>>) => void;
}

/** How it is sent: press style with its times, what a guarded press asks for, and to which program. */
export function SentFields({ setup, behaviour, turns, rotor, onStyle, onOptions }: Props) {
  const acts = behaviour?.kind === 'action' ? behaviour : null;
  // As the engine repeats where nothing was said.
  const repeat = acts?.repeat ?? USUAL_REPEAT;
  return (
    <>
      <Line>
        {/* A turn is sent step by step; there is nothing to hold. } */}
        {turns ? (
          <span>
            {rotor &&
              (rotor.kind === 'continuous' ? WORDS.every(`${rotor.stepDegrees}°`) : WORDS.every('detent'))}
            {rotor && ' · '}
            {WORDS.turnTaps}
          </span>
        ) : (
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={WORDS.pressStyle}
            value={acts?.style ?? null}
            disabled={!acts}
            onChange={(_event, next) => next && onStyle(next)}
          >
            {PRESS_STYLES.map((choice) => (
              <ToggleButton key={choice} value={choice} title={WORDS.styleMeans[choice]}>
                {WORDS[choice]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
      </Line>
      {acts && !turns && acts.style === 'repeat' && (
        <Line>
          {WORDS.firstAfter}
          <NumberField
            label={WORDS.firstAfter}
            value={repeat.delayMs}
            min={10}
            max={10_000}
            unit={WORDS.ms}
            onChange={(delayMs) => onOptions({ repeat: { ...repeat, delayMs } })}
          />
          {WORDS.thenEvery}
          <NumberField
            label={WORDS.thenEvery}
            value={repeat.everyMs}
            min={5}
            max={10_000}
            unit={WORDS.ms}
            onChange={(everyMs) => onOptions({ repeat: { ...repeat, everyMs } })}
          />
        </Line>
      )}
      {acts && (
        <Line>
          {!turns && (
            <>
              {WORDS.asks}
              <ChoiceField
                label={WORDS.asks}
                value={acts.guard ?? 'none'}
                options={(['none', 'longer', 'second'] as const).map((own) => [own, WORDS.guards[own]])}
                onChange={(guard) => onOptions({ guard: guard === 'none' ? null : guard })}
              />
            </>
          )}
          {WORDS.to}
          <ChoiceField
            label={WORDS.to}
            value={acts.target?.program ?? ''}
            options={[
              ['', WORDS.inFrontProgram],
              ...setup.programs.map(({ id, name }) => [id, name] as const),
            ]}
            onChange={(program) =>
              onOptions({
                // Whether it is brought to the front stays as it was chosen.
                target: program === '' ? null : { program, focus: acts.target?.focus ?? false },
              })
            }
          />
          {acts.target && (
            <FormControlLabel
              label={WORDS.focus}
              slotProps={{ typography: { variant: 'body2' } }}
              control={
                <Checkbox
                  size="small"
                  sx={{ padding: '2px 4px' }}
                  checked={acts.target.focus}
                  onChange={({ target: { checked } }) =>
                    acts.target && onOptions({ target: { ...acts.target, focus: checked } })
                  }
                />
              }
            />
          )}
        </Line>
      )}
    </>
  );
}
