import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import OutlinedInput from '@mui/material/OutlinedInput';
import { controlsOn, type Device, MOST_COMPUTERS } from '@nimble-lever/core/devices';
import { LAYOUTS_BY_NAME } from '@nimble-lever/core/keys/layouts/list';
import { acting, BASE_LAYER, EVERYWHERE, itemAt, type Setup, slotOf } from '@nimble-lever/core/setup';
import { profileName, triggerNameIn } from '@nimble-lever/core/words';
import { X } from 'lucide-react';
import { useState } from 'react';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { TuneCard } from './TuneCard.tsx';
import { useDeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

/** The computers a device can talk to, and what switches between them. */
export function ComputersTab({ device }: { readonly device: Device }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const edits = useDeviceEdits(device);
  const { computers } = device.settings;
  const pressed = controlsOn(device, null, []).filter(({ canPress }) => canPress);
  const [wanted, setWanted] = useState('');
  // The last control by default: switching away is best put where the hand does not rest.
  const chosen = pressed.find(({ id }) => id === wanted) ?? pressed.at(-1);
  const add = () => {
    // Two at once: one computer alone is nothing to switch between.
    const first = computers.length === 0 ? [WORDS.thisOne] : computers;
    edits.set({ computers: [...first, WORDS.another] });
  };
  const giveSwitch = () => {
    if (!chosen) return;
    const slot = {
      // Everywhere: whoever has gone to another computer must be able to come back, whatever is in front.
      profile: EVERYWHERE,
      layer: BASE_LAYER,
      device: device.id,
      control: chosen.id,
      trigger: 'press',
    } as const;
    const behaviour = acting({ kind: 'computer', device: null, change: 'next', computer: 0 }, 'tap');
    dispatch(makeEdit({ kind: 'set', at: itemAt.binding(slot), fields: { behaviour } }));
  };
  // Found in the bindings rather than kept: there can be several, on other devices too.
  const switchers = switchersOf(setup, device.id);
  return (
    <>
      <TuneCard title={WORDS.computers} onReset={null}>
        <p>{WORDS.computersHint}</p>
        {computers.map((name, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a computer is its place in the round.
          <div key={i} className="line">
            <ComputerName
              name={name}
              at={i}
              onChange={(next) => edits.set({ computers: computers.with(i, next) })}
            />
            {i > 0 && <ComputerLayout computer={name} />}
            <IconButton
              aria-label={WORDS.removeComputer(name)}
              onClick={() => edits.set({ computers: computers.toSpliced(i, 1) })}
            >
              <X size={15} aria-hidden />
            </IconButton>
          </div>
        ))}
        <Button disabled={computers.length >= MOST_COMPUTERS} onClick={add} sx={{ alignSelf: 'flex-start' }}>
          {WORDS.addComputer}
        </Button>
      </TuneCard>
      <TuneCard title={WORDS.switchers} onReset={null}>
        {switchers.length === 0 && <p>{WORDS.noSwitcher}</p>}
        {switchers.map((words) => (
          <p key={words}>{words}</p>
        ))}
        {computers.length > 1 && chosen && (
          <div className="line">
            <ChoiceField
              label={WORDS.use}
              value={chosen.id}
              options={pressed.map(({ id, name }) => [id, name] as const)}
              onChange={setWanted}
            />
            <Button onClick={giveSwitch}>{WORDS.switchWith}</Button>
          </div>
        )}
      </TuneCard>
    </>
  );
}

/** A computer by its place in the device's list. */
interface NameProps {
  readonly name: string;
  /** From 0. */
  readonly at: number;
  readonly onChange: (name: string) => void;
}

/** Its name; an empty one goes back to what it was. */
function ComputerName({ name, at, onChange }: NameProps) {
  const draft = useDraft(name, (text) => {
    if (text.trim()) onChange(text.trim());
  });
  return (
    <OutlinedInput
      {...draft}
      inputProps={{ 'aria-label': WORDS.computerNumber(at + 1), maxLength: 60 }}
      sx={{ width: 220 }}
    />
  );
}

/** The keyboard layout of another computer: shortcuts sent there are the keys of that one. */
function ComputerLayout({ computer }: { readonly computer: string }) {
  const dispatch = useAppDispatch();
  const { keyboards } = useAppSelector(selectSetup);
  const here = useAppSelector(selectLayout);
  const set = (id: string) => {
    const { [computer]: _old, ...others } = keyboards;
    const next = id === SAME ? others : { ...others, [computer]: id };
    dispatch(makeEdit({ kind: 'set', at: '', fields: { keyboards: next } }));
  };
  return (
    <ChoiceField
      label={WORDS.layoutOf(computer)}
      value={keyboards[computer] ?? SAME}
      options={[
        [SAME, WORDS.sameLayout(here.name)] as const,
        ...LAYOUTS_BY_NAME.map(({ id, name }) => [id, name] as const),
      ]}
      onChange={set}
    />
  );
}

/** Stands for no layout of its own. */
const SAME = 'same';

/** Every binding that switches a device's computer, in words. */
function switchersOf(setup: Setup, device: string): readonly string[] {
  return Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, { behaviour }]) => {
      const slot = slotOf(id, key);
      if (!slot || behaviour.kind !== 'action' || behaviour.action.kind !== 'computer') return [];
      // Null means the device the control is on.
      if ((behaviour.action.device ?? slot.device) !== device) return [];
      const owner = setup.devices.find((each) => each.id === slot.device)?.name ?? slot.device;
      const use = triggerNameIn(setup, slot.device, slot.control, slot.trigger);
      return [`${owner}, ${use}, in ${profileName(setup, id)}`];
    }),
  );
}
