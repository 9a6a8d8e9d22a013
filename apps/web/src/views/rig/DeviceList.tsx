import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { itemAt, moveTo } from '@nimble-lever/core/setup';
import { BatteryLow, BatteryMedium, ChevronDown, ChevronUp, Plug, Unplug } from 'lucide-react';
import { Link } from 'react-router';
import { makeEdit } from '../../app/setup/edits.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { selectSimulated, simulatedDevice } from '../../practice/devices/simulatedSlice.ts';
import { AddDevice } from './AddDevice.tsx';
import { WORDS } from './words.ts';

const Box = styled('nav')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  '& ul': { flex: 1, minHeight: 0, overflow: 'auto', margin: 0, padding: 8, listStyle: 'none' },
  '& li': { position: 'relative', marginBottom: 4 },
  '& .device': {
    width: '100%',
    display: 'flex',
    flexDirection: 'column',
    gap: 3,
    padding: '8px 40px 8px 12px',
    textAlign: 'left',
    font: 'inherit',
    color: vars?.palette.text.primary,
    backgroundColor: 'transparent',
    border: '1px solid transparent',
    borderRadius: 10,
    cursor: 'pointer',
  },
  '& .device:hover': { backgroundColor: vars?.palette.tokens.sheet },
  '& .device[aria-current=true]': {
    backgroundColor: vars?.palette.tokens.sheet,
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& b': {
    fontWeight: 650,
    fontSize: 13,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
  '& b small': { marginLeft: 8, fontSize: 11, fontWeight: 400, color: vars?.palette.tokens.accent },
  '& .state': {
    display: 'flex',
    alignItems: 'center',
    gap: 5,
    fontSize: 11,
    whiteSpace: 'nowrap',
    color: vars?.palette.text.secondary,
  },
  '& .state.gone, & .state .low': { color: vars?.palette.tokens.brick },
  '& .state .low': { display: 'inline-flex', alignItems: 'center', gap: 3, fontWeight: 650 },
  '& .moves': { position: 'absolute', right: 6, top: 8, display: 'flex', flexDirection: 'column' },
  '& .moves button': {
    width: 26,
    height: 24,
    padding: 0,
    border: 0,
    borderRadius: 6,
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
  },
  '& .moves button:hover:not(:disabled)': { backgroundColor: vars?.palette.tokens.sunk },
  '& .moves button:disabled': { opacity: 0.35, cursor: 'default' },
  '& .lend': { display: 'block', marginTop: 8, fontSize: 12, color: vars?.palette.text.secondary },
  '& footer': { flex: 'none', padding: '8px 12px 12px', borderTop: `1px solid ${vars?.palette.divider}` },
}));

/** The devices in the person's order. */
interface Props {
  readonly devices: readonly Device[];
  readonly selected: string;
  readonly onSelect: (id: string) => void;
}

/** All devices of the set-up, connected or not, in the person's order; it is plain which one is being edited. */
export function DeviceList({ devices, selected, onSelect }: Props) {
  const dispatch = useAppDispatch();
  // The order is the Board's as well, and part of the set-up.
  const move = (device: Device, at: number) =>
    dispatch(makeEdit(moveTo(itemAt.device(device.id), devices, device.id, at)));
  return (
    <Box aria-label={WORDS.devices}>
      <ul>
        {devices.map((device, i) => (
          <li key={device.id}>
            <button
              type="button"
              className="device"
              aria-current={device.id === selected}
              onClick={() => onSelect(device.id)}
            >
              <b>
                {device.name}
                {device.id === selected && <small>{WORDS.editing}</small>}
              </b>
              <DeviceState device={device} />
            </button>
            {/* Moved by keys and by pointer alike, only where one is: fewer targets, all of them large enough. } */}
            {device.id === selected && (
              <span className="moves">
                <button
                  type="button"
                  aria-label={WORDS.up(device.name)}
                  disabled={i === 0}
                  onClick={() => move(device, i - 1)}
                >
                  <ChevronUp size={15} aria-hidden />
                </button>
                <button
                  type="button"
                  aria-label={WORDS.down(device.name)}
                  disabled={i === devices.length - 1}
                  onClick={() => move(device, i + 1)}
                >
                  <ChevronDown size={15} aria-hidden />
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {/* Below the list, which scrolls: adding is in the same place with one device and with thirty. } */}
      <footer>
        <AddDevice current={devices.find(({ id }) => id === selected) ?? null} onAdded={onSelect} />
        <Link to="/lend" className="lend">
          {WORDS.lend}
        </Link>
      </footer>
    </Box>
  );
}

/** Whether it is plugged in, and its charge where it has a battery. */
function DeviceState({ device }: { readonly device: Device }) {
  const simulated = useAppSelector(selectSimulated);
  const { plugged, charge, low } = simulatedDevice(simulated, device);
  return (
    <span className={plugged ? 'state' : 'state gone'}>
      {plugged ? <Plug size={12} aria-hidden /> : <Unplug size={12} aria-hidden />}
      {plugged ? WORDS.plugged : WORDS.gone}
      {charge !== null &&
        (low ? (
          <span className="low">
            <BatteryLow size={13} aria-hidden /> {WORDS.low(charge)}
          </span>
        ) : (
          <>
            <BatteryMedium size={13} aria-hidden /> {charge} %
          </>
        ))}
    </span>
  );
}
