import { styled } from '@mui/material/styles';
import type { Control, Device } from '@nimble-lever/core/devices';
import { controlKey } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { describeAction } from '@nimble-lever/core/words';
import { useState } from 'react';
import type { Happening } from '../../app/engine/engineSlice.ts';
import { feed } from '../../app/engine/feed.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { DeviceCard } from '../../pieces/DeviceCard.tsx';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  height: 214,
  display: 'grid',
  gridAutoFlow: 'column',
  gridAutoColumns: 'minmax(200px, 1fr)',
  gap: 12,
  padding: '10px 16px',
  overflowX: 'auto',
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.background,
}));

/** The rig's devices to press and turn. */
export function Tray() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const held = useAppSelector((state) => state.engine.engine.held);
  const sprung = useAppSelector((state) => state.engine.engine.sprung);
  const slid = useAppSelector((state) => state.engine.engine.slid);
  const happenings = useAppSelector((state) => state.engine.happenings);
  const { lit, light, fade } = useFlash();
  const [angles, setAngles] = useState<Readonly<Record<string, Readonly<Record<string, number>>>>>({});
  const latest = happenings.find(
    ({ explanation: { outcome } }) => outcome.kind === 'pressed' || outcome.kind === 'turned',
  );

  const turn = (device: Device, control: Control, unit: 'degrees' | 'detents', amount: number) => {
    const degrees =
      unit === 'detents' && control.rotor?.kind === 'detented'
        ? amount * control.rotor.detentDegrees
        : amount;
    setAngles((before) => {
      const own = before[device.id] ?? {};
      return { ...before, [device.id]: { ...own, [control.id]: (own[control.id] ?? 0) + degrees } };
    });
    light(`${device.id}/${control.id}`);
    fade(`${device.id}/${control.id}`);
    dispatch(feed({ kind: 'turn', device: device.id, control: control.id, unit, amount }));
  };
  const placesOf = ({ id, controls }: Device) =>
    Object.fromEntries(
      controls.flatMap((control): [string, number][] => {
        const key = controlKey(id, control.id);
        const at = sprung[key]?.position ?? slid[key];
        return at === undefined ? [] : [[control.id, at]];
      }),
    );
  return (
    <Box aria-label={WORDS.tray} title={WORDS.trayHint}>
      {setup.devices.map((device) => (
        <DeviceCard
          key={device.id}
          name={device.name}
          aside={deviceOf(latest) === device.id && latest ? doneWords(setup, latest) : ''}
          current={deviceOf(latest) === device.id}
        >
          <DeviceDrawing
            device={device}
            lit={litOf(device, [...lit, ...Object.keys(held), ...Object.keys(sprung)])}
            selected={null}
            angles={angles[device.id] ?? {}}
            values={placesOf(device)}
            hint={(control) => hintOf(control)}
            onDown={({ id }) => dispatch(feed({ kind: 'down', device: device.id, control: id }))}
            onUp={({ id }) => dispatch(feed({ kind: 'up', device: device.id, control: id }))}
            onTurn={(control, unit, amount) => turn(device, control, unit, amount)}
            onPosition={({ id }, value) =>
              dispatch(feed({ kind: 'position', device: device.id, control: id, value }))
            }
          />
        </DeviceCard>
      ))}
    </Box>
  );
}

function deviceOf(happening: Happening | undefined): string | null {
  const event = happening?.explanation.event;
  return event && 'device' in event ? event.device : null;
}

function litOf(device: Device, keys: readonly string[]): ReadonlySet<string> {
  return new Set(
    keys.filter((key) => key.startsWith(`${device.id}/`)).map((key) => key.slice(device.id.length + 1)),
  );
}

function hintOf(control: Control): string {
  const turns = control.rotor ? ', arrow keys turn it' : '';
  return `${control.name}${control.canPress ? ', Space presses it' : ''}${turns}`;
}

/** The name of what a device did last. */
function doneWords(setup: Setup, { explanation: { outcome } }: Happening): string {
  if (outcome.kind !== 'pressed' && outcome.kind !== 'turned') return '';
  const { decided } = outcome.resolution;
  if (!decided) return 'native';
  const { behaviour } = decided.binding;
  const profile = setup.profiles[decided.profile];
  if (behaviour.kind !== 'action' || !profile) return behaviour.kind;
  return describeAction(setup, profile, behaviour.action).name;
}
