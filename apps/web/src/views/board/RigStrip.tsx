import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { ChevronDown, ChevronUp, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { whenIdle } from '../../app/whenIdle.ts';
import { selectBoardState, viewChanged } from './boardSlice.ts';
import { StripDevice } from './StripDevice.tsx';
import { STRIP } from './stripHeight.ts';
import type { Use } from './use.ts';
import { WORDS } from './words.ts';

const Strip = styled('section')({
  flex: 'none',
  display: 'grid',
  gridAutoFlow: 'column',
  gridTemplateRows: 'minmax(0, 1fr)',
  gap: 10,
  padding: '6px 12px 6px 16px',
  overflow: 'auto hidden',
  '&[data-small=false]': { height: STRIP.large, gridAutoColumns: 'minmax(116px, 1fr)' },
  '&[data-small=true]': { height: STRIP.small, gridAutoColumns: 'max-content', gap: 4 },
  '& > .tools': { display: 'flex', gap: 4, alignItems: 'center', width: 'max-content' },
});

const Add = styled(ButtonBase)<{ component: typeof Link; to: string }>(({ theme: { vars } }) => ({
  height: '100%',
  width: 84,
  flexDirection: 'column',
  gap: 4,
  borderRadius: 12,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  border: `1px dashed ${vars?.palette.divider}`,
  '&:hover': { color: vars?.palette.text.primary, backgroundColor: vars?.palette.tokens.sheet },
  '[data-small=true] &': { width: 32, borderRadius: 8 },
}));

interface Props {
  readonly devices: readonly Device[];
  readonly selected: { readonly device: string; readonly control: string } | null;
  /** The `device/control/trigger` rows that are lit. */
  readonly flashing: ReadonlySet<string>;
  /** One line of small drawings, which leaves the room to the matrix. */
  readonly small: boolean;
  readonly onUse: (device: Device, use: Use) => void;
}

/** The rig above the matrix: pressing or turning a drawn control finds its row. */
export function RigStrip({ devices, selected, flashing, small, onUse }: Props) {
  const dispatch = useAppDispatch();
  const { smallRig } = useAppSelector((state) => selectBoardState(state).view);
  // Drawn first, and to be pressed a moment later: a hundred controls that listen are a tenth of a second.
  const [ready, setReady] = useState(false);
  useEffect(() => whenIdle(() => setReady(true)), []);
  const words = smallRig ? WORDS.largeRig : WORDS.smallRig;
  return (
    <Strip aria-label={WORDS.rig} data-small={small}>
      {devices.map((device) => (
        <StripDevice
          key={device.id}
          device={device}
          // As a text, which is the same as long as the same controls are lit: a set would be another one each time.
          lit={litControls(device, flashing)}
          selected={selected?.device === device.id ? selected.control : null}
          small={small}
          ready={ready}
          // Many cards leave no room for more than names.
          counted={devices.length <= 5}
          onUse={onUse}
        />
      ))}
      <div className="tools">
        <Add component={Link} to="/add-device" aria-label={WORDS.addDevice} title={WORDS.addDevice}>
          <Plus size={small ? 16 : 20} aria-hidden />
          {!small && WORDS.addDevice}
        </Add>
        <IconButton
          aria-label={words}
          title={words}
          sx={{ width: 28, height: 28 }}
          onClick={() => dispatch(viewChanged({ smallRig: !smallRig }))}
        >
          {smallRig ? <ChevronDown size={16} aria-hidden /> : <ChevronUp size={16} aria-hidden />}
        </IconButton>
      </div>
    </Strip>
  );
}

/** The lit controls of a device, parted by spaces. Rows are lit by trigger, drawings by control: that is dropped. */
function litControls(device: Device, flashing: ReadonlySet<string>): string {
  const own = [...flashing].filter((key) => key.startsWith(`${device.id}/`));
  return own.map((key) => key.split('/')[1] ?? '').join(' ');
}
