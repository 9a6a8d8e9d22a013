import ButtonBase from '@mui/material/ButtonBase';
import { styled } from '@mui/material/styles';
import { type Device, mainTriggersOf } from '@nimble-lever/core/devices';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useAppSelector } from '../../app/store.ts';
import { DeviceCard } from '../../pieces/DeviceCard.tsx';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { selectSimulated, simulatedDevice } from '../../practice/devices/simulatedSlice.ts';
import type { Use } from './use.ts';
import { WORDS } from './words.ts';

const Strip = styled('section')({
  display: 'grid',
  gridAutoFlow: 'column',
  gridAutoColumns: 'minmax(136px, 1fr)',
  '& > :last-child': { width: 96 },
  gap: 12,
  height: 136,
  padding: '8px 16px',
  overflowX: 'auto',
});

const Add = styled(ButtonBase)<{ component: typeof Link; to: string }>(({ theme: { vars } }) => ({
  flexDirection: 'column',
  gap: 6,
  borderRadius: 12,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  border: `1px dashed ${vars?.palette.divider}`,
  '&:hover': { color: vars?.palette.text.primary, backgroundColor: vars?.palette.tokens.sheet },
}));

interface Props {
  readonly devices: readonly Device[];
  readonly selected: { readonly device: string; readonly control: string } | null;
  readonly flashing: ReadonlySet<string>;
  readonly onUse: (device: Device, use: Use) => void;
}

/** The rig above the matrix: pressing or turning a drawn control finds its row. */
export function RigStrip({ devices, selected, flashing, onUse }: Props) {
  const simulated = useAppSelector(selectSimulated);
  // What hinders the person comes first: a device that is gone, then a battery that will be.
  const asideOf = (device: Device) => {
    const { plugged, low, charge } = simulatedDevice(simulated, device);
    if (!plugged) return WORDS.unplugged;
    if (low) return WORDS.lowBattery(charge ?? 0);
    // Many cards leave no room for more than names.
    return devices.length > 5 ? '' : countWords(device);
  };
  return (
    <Strip aria-label={WORDS.rig}>
      {devices.map((device) => (
        <DeviceCard
          key={device.id}
          name={device.name}
          aside={asideOf(device)}
          current={selected?.device === device.id}
        >
          <DeviceDrawing
            device={device}
            lit={litControls(device, flashing)}
            selected={selected?.device === device.id ? selected.control : null}
            angles={{}}
            values={{}}
            hint={(control) => control.name}
            onDown={(control) => onUse(device, { control, trigger: 'press', down: true, select: true })}
            onUp={(control) => onUse(device, { control, trigger: 'press', down: false, select: true })}
            onTurn={(control, _unit, amount) => {
              // A turn is over as soon as it is made, so it lights and fades at once.
              const trigger = amount > 0 ? 'clockwise' : 'anticlockwise';
              onUse(device, { control, trigger, down: true, select: true });
              onUse(device, { control, trigger, down: false, select: true });
            }}
            onPosition={(control, value) => {
              const trigger = control.slider
                ? 'slide'
                : value < 0
                  ? 'shuttle-anticlockwise'
                  : 'shuttle-clockwise';
              if (value !== 0 || control.slider)
                onUse(device, { control, trigger, down: true, select: true });
              onUse(device, { control, trigger, down: false, select: true });
            }}
          />
        </DeviceCard>
      ))}
      <Add component={Link} to="/add-device">
        <Plus size={20} aria-hidden />
        {WORDS.addDevice}
      </Add>
    </Strip>
  );
}

/** What one can do with a device, counted as the trade does: wheel up and wheel down are two. */
function countWords(device: Device): string {
  const count = device.controls.reduce((sum, control) => sum + mainTriggersOf(control).length, 0);
  return `${count} controls`;
}

function litControls(device: Device, flashing: ReadonlySet<string>): ReadonlySet<string> {
  // Rows are lit by trigger, drawings by control: the trigger is dropped.
  const own = [...flashing].filter((key) => key.startsWith(`${device.id}/`));
  return new Set(own.map((key) => key.split('/')[1] ?? ''));
}
