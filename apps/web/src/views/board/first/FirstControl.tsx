import Button from '@mui/material/Button';
import { controlsOn, mainTriggersOf, type Trigger, wayOf } from '@nimble-lever/core/devices';
import {
  acting,
  BASE_LAYER,
  bindingChanges,
  EVERYWHERE,
  keyOf,
  profileOf,
  type Slot,
} from '@nimble-lever/core/setup';
import { triggerNameIn } from '@nimble-lever/core/words';
import { useState } from 'react';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from './words.ts';

/** A control and what it shall do: the first of all that follow on the Board. */
export function FirstControl() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { devices, programs, commonCommands } = setup;
  const [use, setUse] = useState('');
  const [command, setCommand] = useState('');
  const program = programs.at(-1);
  const profile = (program ? profileOf(setup, program.id)?.id : undefined) ?? EVERYWHERE;
  const uses = devices.flatMap((device) => {
    const { id, name } = device;
    return controlsOn(device, null, []).flatMap((control) =>
      // What the hand needs is left alone to begin with: a mouse's left button, a pen's tip.
      mainTriggersOf(control)
        .filter((trigger) => !control.native[trigger] && wayOf(trigger) !== 'slide')
        .map((trigger) => ({
          key: `${id}/${control.id}/${trigger}`,
          device: id,
          control: control.id,
          trigger,
          name,
        })),
    );
  });
  const commands = [...(program?.commands ?? []), ...commonCommands];
  const chosen = uses.find(({ key }) => key === use) ?? uses[0];
  const does = commands.find(({ id }) => id === command) ?? commands[0];
  const set = () => {
    if (!chosen || !does) return;
    const { device, control, trigger } = chosen;
    const slot: Slot = { profile, layer: BASE_LAYER, device, control, trigger: trigger as Trigger };
    const before = setup.profiles[profile]?.bindings[keyOf(slot)] ?? null;
    const behaviour = acting({ kind: 'command', command: does.id }, 'tap');
    dispatch(makeEdits(bindingChanges(slot, before, { behaviour, face: null, note: null })));
  };
  return (
    <>
      <p>{WORDS.controlMeans}</p>
      <div className="choices">
        <ChoiceField
          label={WORDS.controlField}
          value={chosen?.key ?? ''}
          options={uses.map(({ key, name, device, control, trigger }) => [
            key,
            `${name}, ${triggerNameIn(setup, device, control, trigger).toLowerCase()}`,
          ])}
          onChange={setUse}
        />
        {WORDS.does}
        <ChoiceField
          label={WORDS.commandField}
          value={does?.id ?? ''}
          options={commands.map(({ id, name }) => [id, name] as const)}
          onChange={setCommand}
        />
        <Button onClick={set} disabled={!chosen || !does}>
          {WORDS.set}
        </Button>
      </div>
    </>
  );
}
