import { styled } from '@mui/material/styles';
import { controlsOn, type Device, mainTriggersOf } from '@nimble-lever/core/devices';
import { memo, useMemo } from 'react';
import { useAppSelector } from '../../app/store.ts';
import { DeviceCard } from '../../pieces/DeviceCard.tsx';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { DeviceSketch } from '../../pieces/DeviceSketch.tsx';
import { selectSimulated, simulatedDevice } from '../../practice/devices/simulatedSlice.ts';
import { positionTrigger, turnTrigger, type Use } from './use.ts';
import { WORDS } from './words.ts';

const Small = styled('button')(({ theme: { vars } }) => ({
  display: 'flex',
  alignItems: 'center',
  gap: 7,
  padding: '0 9px',
  border: '1px solid transparent',
  borderRadius: 8,
  font: 'inherit',
  fontSize: 12,
  whiteSpace: 'nowrap',
  color: vars?.palette.text.primary,
  background: 'none',
  cursor: 'pointer',
  '&:hover': { backgroundColor: vars?.palette.tokens.sheet },
  '&[data-current=true]': { fontWeight: 650, borderColor: vars?.palette.text.primary },
  '& small': { color: vars?.palette.text.secondary },
}));

interface Props {
  readonly device: Device;
  /** Ids of lit controls, parted by spaces. */
  readonly lit: string;
  /** The id of the control whose row is selected. */
  readonly selected: string | null;
  /** Only a picture and a name. */
  readonly small: boolean;
  /** Whether its controls listen; before that it is only a picture. */
  readonly ready: boolean;
  /** Whether there is room to say how much the device has. */
  readonly counted: boolean;
  readonly onUse: (device: Device, use: Use) => void;
}

/**
 * A device above the matrix: drawn to be pressed and turned, or small. It is drawn anew only when something about it
 * changes; nine drawings at every step of the arrow keys were half of what a step took.
 */
export const StripDevice = memo(function StripDevice(props: Props) {
  const { device: whole, lit, selected, small, ready, counted, onUse } = props;
  const device = useMemo(
    () => (whole.panel ? { ...whole, controls: [...controlsOn(whole, null, [])] } : whole),
    [whole],
  );
  const simulated = useAppSelector(selectSimulated);
  const { plugged, low, charge } = simulatedDevice(simulated, device);
  const litIds = useMemo(() => new Set(lit.split(' ').filter(Boolean)), [lit]);
  const current = selected !== null;
  // What hinders the person comes first: a device that is gone, then a battery that will be.
  const trouble = plugged ? (low ? WORDS.lowBattery(charge ?? 0) : '') : WORDS.unplugged;
  if (small) {
    const first = device.controls[0];
    const [trigger] = first ? mainTriggersOf(first) : [];
    return (
      <Small
        type="button"
        data-current={current}
        title={WORDS.showRows(device.name)}
        onClick={() =>
          first && trigger && onUse(device, { control: first, trigger, down: true, select: true })
        }
      >
        <DeviceSketch device={device} lit={litIds} width={34} height={22} />
        {device.name}
        {trouble && <small>{trouble}</small>}
      </Small>
    );
  }
  return (
    <DeviceCard
      name={device.name}
      aside={trouble || (counted ? WORDS.controlsCount(countOf(device)) : '')}
      current={current}
    >
      {ready ? (
        <DeviceDrawing
          device={device}
          lit={litIds}
          selected={selected}
          angles={{}}
          values={{}}
          hint={(control) => control.name}
          onDown={(control) => onUse(device, { control, trigger: 'press', down: true, select: true })}
          onUp={(control) => onUse(device, { control, trigger: 'press', down: false, select: true })}
          onTurn={(control, _unit, amount) => {
            // A turn is over as soon as it is made, so it lights and fades at once.
            const trigger = turnTrigger(amount);
            onUse(device, { control, trigger, down: true, select: true });
            onUse(device, { control, trigger, down: false, select: true });
          }}
          onPosition={(control, value, axis) => {
            const trigger = positionTrigger(control, value, axis);
            if (value !== 0 || control.slider) onUse(device, { control, trigger, down: true, select: true });
            onUse(device, { control, trigger, down: false, select: true });
          }}
        />
      ) : (
        <DeviceSketch device={device} lit={litIds} width="100%" height="100%" />
      )}
    </DeviceCard>
  );
});

/** What one can do with a device, counted as the trade does: wheel up and wheel down are two. */
function countOf({ controls }: Device): number {
  return controls.reduce((sum, control) => sum + mainTriggersOf(control).length, 0);
}
