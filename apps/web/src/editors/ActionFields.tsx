import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { styled } from '@mui/material/styles';
import { type Device, movesPointer, WHEEL_MODES } from '@nimble-lever/core/devices';
import { type Action, CORNERS, type Message } from '@nimble-lever/core/setup';
import { ChoiceField } from '../pieces/ChoiceField.tsx';
import { NumberField } from '../pieces/NumberField.tsx';
import type { ActionTarget } from './actionTarget.ts';
import { HeldKeys } from './HeldKeys.tsx';
import { TextActionField } from './TextActionField.tsx';
import { WORDS } from './words.ts';

const Row = styled('div')({
  gridColumn: '1 / -1',
  display: 'flex',
  flexWrap: 'wrap',
  gap: 6,
  alignItems: 'center',
  minHeight: 28,
});

/** A kind of action, and the actions of that kind. */
type Kind = Action['kind'];
type Of<Own extends Kind> = Extract<Action, { kind: Own }>;

/** Whether an action of a kind asks for more than the chooser and the shortcut field say. */
const ASKS = {
  shortcut: false,
  command: false,
  intent: false,
  show: false,
  sequence: false,
  button: false,
  page: false,
  profile: false,
  macro: false,
  text: true,
  click: true,
  drag: true,
  wheel: true,
  layer: true,
  program: true,
  radial: true,
  message: true,
  speed: true,
  'wheel-mode': true,
  computer: true,
} as const satisfies Record<Kind, boolean>;

/** Whether an action asks for more than the chooser and the shortcut field say: its text, its numbers, its device. */
export function hasFields({ kind }: Action): boolean {
  return ASKS[kind];
}

/** The action of a cell or an item, with what the person may do to it. */
interface Props {
  readonly target: ActionTarget;
  readonly action: Action;
  /** Opens the menu an action names, to be edited. */
  readonly onEditMenu: (menu: string) => void;
}

/** What only this action asks: its text, its numbers, its device… */
export function ActionFields({ target, action, onEditMenu }: Props) {
  const { setAction, setup } = target;
  switch (action.kind) {
    case 'text':
      return <TextActionField action={action} onChange={setAction} />;
    case 'click':
      return <ClickFields action={action} onChange={setAction} />;
    case 'drag':
      return (
        <Row>
          <ChoiceField
            label={WORDS.dragButton}
            value={String(action.button)}
            options={WORDS.dragButtons.map((name, i) => [String(i), name] as const)}
            onChange={(button) => setAction({ ...action, button: Number(button) })}
          />
          <HeldKeys keys={action.keys} onChange={(keys) => setAction({ ...action, keys })} />
        </Row>
      );
    case 'wheel':
      return (
        <Row>
          <NumberField
            label={WORDS.ticks}
            value={Math.abs(action.ticks)}
            min={1}
            max={20}
            // The direction was chosen in the list; here only how far.
            onChange={(ticks) => setAction({ ...action, ticks: Math.sign(action.ticks) * ticks })}
          />
          <HeldKeys keys={action.keys ?? null} onChange={(keys) => setAction(withHeld(action, keys))} />
        </Row>
      );
    case 'layer':
      return (
        <Row>
          <ChoiceField
            label={WORDS.layerMode}
            value={action.mode}
            options={[
              ['on', target.latched ? WORDS.layerModes.latched : WORDS.layerModes.held],
              ['once', WORDS.layerModes.once],
            ]}
            onChange={(mode) => setAction({ ...action, mode })}
          />
        </Row>
      );
    case 'program':
      return (
        <FormControlLabel
          label={WORDS.launches}
          slotProps={{ typography: { variant: 'body2' } }}
          control={
            <Checkbox
              size="small"
              checked={action.launch}
              onChange={({ target: { checked } }) => setAction({ ...action, launch: checked })}
            />
          }
        />
      );
    case 'radial':
      return <Button onClick={() => onEditMenu(action.menu)}>{WORDS.editMenu}</Button>;
    case 'message':
      return (
        <MessageFields message={action.message} onChange={(message) => setAction({ ...action, message })} />
      );
    case 'speed':
    case 'wheel-mode':
    case 'computer':
      return (
        <OfDevice
          setup={setup}
          own={setup.devices.find(({ id }) => id === target.device)}
          action={action}
          onChange={setAction}
        />
      );
    case 'shortcut':
    case 'command':
    case 'intent':
    case 'show':
    case 'sequence':
    case 'button':
    case 'page':
    case 'profile':
    case 'macro':
      return null;
  }
}

/**
 * Where a click goes: the pointer's place, or a corner of a window with a distance from it, so that windows
 * of any size work.
 */
function ClickFields({ action, onChange }: { action: Of<'click'>; onChange: (action: Action) => void }) {
  const { at, count } = action;
  return (
    <Row>
      <ChoiceField
        label={WORDS.clicks}
        value={String(count)}
        options={WORDS.clickCounts.map((name, i) => [String(i + 1), name])}
        onChange={(next) => onChange({ ...action, count: Number(next) })}
      />
      <ChoiceField
        label={WORDS.clicks}
        value={at?.from ?? 'none'}
        options={(['none', 'pointer', 'window', 'screen'] as const).map((from) => [
          from,
          WORDS.clickFrom[from],
        ])}
        onChange={(from) =>
          // A place that was given stays when only what it counts from is changed.
          onChange({ ...action, at: from === 'none' ? null : { ...(at ?? ORIGIN), from } })
        }
      />
      {at?.from === 'window' && (
        <ChoiceField
          label={WORDS.corner}
          value={at.corner}
          options={CORNERS.map((corner) => [corner, WORDS.corners[corner]])}
          onChange={(corner) => onChange({ ...action, at: { ...at, corner } })}
        />
      )}
      {at &&
        (['x', 'y'] as const).map((axis) => (
          <NumberField
            key={axis}
            label={axis === 'x' ? WORDS.across : WORDS.downwards}
            value={at[axis]}
            min={-20_000}
            max={20_000}
            onChange={(value) => onChange({ ...action, at: { ...at, [axis]: value } })}
          />
        ))}
      <HeldKeys keys={action.keys ?? null} onChange={(keys) => onChange(withHeld(action, keys))} />
    </Row>
  );
}

/** A place that nobody has moved yet. */
const ORIGIN = { corner: 'top-left', x: 0, y: 0 } as const;

/** A click or wheel ticks with other keys held, or none. */
function withHeld(action: Of<'click'> | Of<'wheel'>, keys: string | null): Action {
  const { keys: _before, ...bare } = action;
  return keys === null ? bare : { ...bare, keys };
}

/** Which devices an action can be about. */
const OFFERED = {
  speed: ({ kind, settings }: Device) => movesPointer(kind) || settings.pointerSpeeds.length > 0,
  'wheel-mode': ({ controls }: Device) => controls.some(({ kind }) => kind === 'wheel'),
  computer: ({ settings }: Device) => settings.computers.length > 1,
} as const;

/** For which device an action counts: the one it is on, or another. Null is "the one that is pressed". */
function OfDevice({
  setup,
  own,
  action,
  onChange,
}: {
  setup: ActionTarget['setup'];
  /** The device the action is on, where that is known. */
  own: Device | undefined;
  action: Of<'speed'> | Of<'wheel-mode'> | Of<'computer'>;
  onChange: (action: Action) => void;
}) {
  // Names of computers are the device's own; without a device they have only numbers.
  const owner = setup.devices.find(({ id }) => id === action.device);
  // A device without a pointer has no speed; one with a single computer has nothing to switch.
  const offered = setup.devices.filter(OFFERED[action.kind]);
  const speeds = (owner ?? own)?.settings.pointerSpeeds ?? [];
  const names = (count: number, name: (i: number) => string) =>
    Array.from({ length: count }, (_, i) => [String(i), name(i)] as const);
  return (
    <Row>
      <ChoiceField
        label={WORDS.ofDevice}
        value={action.device ?? ''}
        options={[['', WORDS.ownDevice], ...offered.map(({ id, name }) => [id, name] as const)]}
        onChange={(id) => onChange({ ...action, device: id === '' ? null : id })}
      />
      {action.kind === 'speed' && (action.change === 'set' || action.change === 'while-held') && (
        <ChoiceField
          label={WORDS.speedStep}
          value={String(action.step)}
          options={names(Math.max(speeds.length, action.step + 1), (i) =>
            WORDS.speedNumber(i + 1, speeds[i]),
          )}
          onChange={(step) => onChange({ ...action, step: Number(step) })}
        />
      )}
      {action.kind === 'wheel-mode' && action.change === 'while-held' && (
        <ChoiceField
          label={WORDS.wheelMode}
          value={action.mode}
          options={WHEEL_MODES.map((mode) => [mode, WORDS.wheelModes[mode]] as const)}
          onChange={(mode) => onChange({ ...action, mode })}
        />
      )}
      {action.kind === 'computer' && action.change === 'set' && (
        <ChoiceField
          label={WORDS.computerNumber(1)}
          value={String(action.computer)}
          options={names(3, (i) => owner?.settings.computers[i] ?? WORDS.computerNumber(i + 1))}
          onChange={(computer) => onChange({ ...action, computer: Number(computer) })}
        />
      )}
    </Row>
  );
}

/**
 * A MIDI or OSC message with what the two ends of the control send (MIDI values are 0 to 127; OSC takes any
 * number).
 */
function MessageFields({ message, onChange }: { message: Message; onChange: (message: Message) => void }) {
  // OSC carries floats, and receivers differ in what range they like (OSC 1.0, "float32").
  const most = message.protocol === 'midi' ? 127 : 1e6;
  const ends = (['low', 'high'] as const).map((end) => (
    <NumberField
      key={end}
      label={WORDS[end]}
      value={message[end]}
      // Controllers take seven bits (MIDI 1.0); low may be above high, which turns the fader round.
      min={message.protocol === 'midi' ? 0 : -most}
      max={most}
      whole={message.protocol === 'midi'}
      onChange={(value) => onChange({ ...message, [end]: value })}
    />
  ));
  if (message.protocol === 'osc') {
    return (
      <Row>
        <TextActionField
          action={{ kind: 'text', text: message.address }}
          label={WORDS.address}
          // An OSC address: parts that begin with a slash, without the characters patterns are made of (OSC 1.0, "OSC
          // Address Spaces").
          pattern={/^(\/[^\s#*,/?[\]{}]+)+$/}
          onChange={({ text }) => onChange({ ...message, address: text })}
        />
        {ends}
      </Row>
    );
  }
  return (
    <Row>
      <NumberField
        label={WORDS.channel}
        value={message.channel}
        min={1}
        max={16}
        onChange={(channel) => onChange({ ...message, channel })}
      />
      <NumberField
        label={WORDS.controller}
        value={message.controller}
        min={0}
        max={127}
        onChange={(controller) => onChange({ ...message, controller })}
      />
      {ends}
    </Row>
  );
}
