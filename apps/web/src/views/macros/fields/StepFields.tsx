import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { styled } from '@mui/material/styles';
import { KEY_TABLE, legendOf } from '@nimble-lever/core/keys';
import { BASE_LAYER, type Macro, type MacroStep, MOST_STEPS, type Setup } from '@nimble-lever/core/setup';
import { STEP_KINDS } from '@nimble-lever/core/words';
import { useContext } from 'react';
import { HeldKeys } from '../../../editors/HeldKeys.tsx';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { WORDS } from '../words.ts';
import { KeysField } from './KeysField.tsx';
import { ClickFields } from './PlaceFields.tsx';
import { NoteField, PathField, TextField } from './TextFields.tsx';
import { UntilFields } from './UntilFields.tsx';

const Box = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& .line': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 6, minHeight: 30, fontSize: 12 },
  '& .line > .MuiInputBase-root:first-of-type': { flex: '0 1 auto' },
  '& .line > .MuiInputBase-fullWidth': { flex: '1 1 120px' },
  '& .line > span': { color: vars?.palette.text.secondary },
  '& .patterns': {
    display: 'grid',
    gridTemplateColumns: '74px auto minmax(0, 1fr)',
    gap: 6,
    alignItems: 'center',
    fontSize: 12,
  },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

/** What is pointed at on the desk instead of being typed. */
export type Picking = 'place' | 'menu';

interface Props {
  readonly setup: Setup;
  readonly macro: Macro;
  readonly step: MacroStep;
  /** It was just added, so that its keys are listened to at once. */
  readonly isNew: boolean;
  readonly picking: Picking | null;
  readonly onPick: (what: Picking) => void;
  readonly onChange: (fields: Readonly<Record<string, unknown>>) => void;
}

/** Everything that can be changed about one step. */
export function StepFields(props: Props) {
  const { step, onChange } = props;
  return (
    <Box>
      <h2>{WORDS.fieldsOf(STEP_KINDS[step.kind])}</h2>
      <p>{WORDS.means[step.kind]}</p>
      <KindFields {...props} />
      <NoteField key={step.id} note={step.note} onChange={(note) => onChange({ note })} />
    </Box>
  );
}

/** The fields of its kind. */
function KindFields({ setup, macro, step, isNew, picking, onPick, onChange }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  switch (step.kind) {
    case 'shortcut':
      return (
        <KeysField
          key={step.id}
          keys={step.shortcut}
          listens={isNew}
          onChange={(shortcut) => onChange({ shortcut })}
        />
      );
    case 'hold':
      return (
        <KeysField key={step.id} keys={step.keys} listens={false} onChange={(keys) => onChange({ keys })} />
      );
    case 'key-down':
    case 'key-up':
      return (
        <div className="line">
          <ChoiceField
            label={WORDS.key}
            value={step.code}
            options={KEY_TABLE.map(({ code }) => [code, legendOf(code, platform, legends)])}
            onChange={(code) => onChange({ code })}
          />
        </div>
      );
    case 'text':
      return <TextField key={step.id} text={step.text} onChange={(text) => onChange({ text })} />;
    case 'wait':
      return (
        <div className="line">
          <NumberField
            label={WORDS.duration}
            value={step.ms}
            min={1}
            max={600_000}
            unit={WORDS.ms}
            onChange={(ms) => onChange({ ms })}
          />
        </div>
      );
    case 'until':
      return <UntilFields key={step.id} step={step} onChange={onChange} />;
    case 'button':
      return (
        <div className="line">
          <ChoiceField
            label={WORDS.buttonField}
            value={String(step.button)}
            options={WORDS.buttons.map((name, i) => [String(i), name])}
            onChange={(button) => onChange({ button: Number(button) })}
          />
          <ChoiceField
            label={WORDS.change}
            value={step.change}
            options={(['down', 'up'] as const).map((each) => [each, WORDS.changes[each]])}
            onChange={(change) => onChange({ change })}
          />
        </div>
      );
    case 'click':
      return (
        <ClickFields
          key={step.id}
          step={step}
          picking={picking === 'place'}
          onPick={() => onPick('place')}
          onChange={onChange}
        />
      );
    case 'wheel':
      return (
        <div className="line">
          <NumberField
            label={WORDS.addKinds.wheel}
            value={step.ticks}
            min={-20}
            max={20}
            onChange={(ticks) => ticks !== 0 && onChange({ ticks })}
          />
          <ChoiceField
            label={WORDS.change}
            value={step.axis}
            options={[
              ['vertical', 'up and down'],
              ['horizontal', 'left and right'],
            ]}
            onChange={(axis) => onChange({ axis })}
          />
          <HeldKeys keys={step.keys} onChange={(keys) => onChange({ keys })} />
        </div>
      );
    case 'pointer':
      return (
        <div className="line">
          <span>{WORDS.pointerChange}</span>
          <ChoiceField
            label={WORDS.pointerChange}
            value={step.change}
            options={(['remember', 'back'] as const).map((each) => [each, WORDS.pointerChanges[each]])}
            onChange={(change) => onChange({ change })}
          />
        </div>
      );
    case 'menu':
      return (
        <>
          <PathField key={step.id} path={step.path} onChange={(path) => onChange({ path })} />
          <div className="line">
            <Button
              variant={picking === 'menu' ? 'contained' : 'outlined'}
              aria-pressed={picking === 'menu'}
              onClick={() => onPick('menu')}
            >
              {WORDS.pickMenu}
            </Button>
          </div>
        </>
      );
    case 'focus':
      return (
        <>
          <div className="line">
            <ChoiceField
              label={WORDS.program}
              value={step.program}
              options={setup.programs.map(({ id, name }) => [id, name])}
              onChange={(program) => onChange({ program })}
            />
          </div>
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={step.launch}
                onChange={({ target }) => onChange({ launch: target.checked })}
              />
            }
            label={WORDS.launch}
          />
        </>
      );
    case 'layer':
      return (
        <div className="line">
          <ChoiceField
            label={WORDS.addKinds.layer}
            value={step.layer}
            options={setup.layers.filter(({ id }) => id !== BASE_LAYER).map(({ id, name }) => [id, name])}
            onChange={(layer) => onChange({ layer })}
          />
          <ChoiceField
            label={WORDS.layerOn}
            value={step.on ? 'on' : 'off'}
            options={(['on', 'off'] as const).map((each) => [each, WORDS.layerStates[each]])}
            onChange={(on) => onChange({ on: on === 'on' })}
          />
        </div>
      );
    case 'macro':
      return (
        <div className="line">
          <ChoiceField
            label={WORDS.addKinds.macro}
            value={step.macro}
            options={setup.macros.filter(({ id }) => id !== macro.id).map(({ id, name }) => [id, name])}
            onChange={(other) => onChange({ macro: other })}
          />
        </div>
      );
    case 'repeat':
      return (
        <div className="line">
          <span>{WORDS.repeatTimes}</span>
          <NumberField
            label={WORDS.repeatTimes}
            value={step.times}
            min={1}
            max={MOST_STEPS}
            onChange={(times) => onChange({ times })}
          />
        </div>
      );
  }
}
