import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { useMemo, useRef, useState } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { useSize } from '../../pieces/useSize.ts';
import { TrayDevice } from './TrayDevice.tsx';
import { WORDS } from './words.ts';

/** A device needs this much width to be pressed well: pixels. */
const LEAST_WIDTH = 232;

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  height: 232,
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  padding: '8px 16px 10px',
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.background,
  '& .devices': {
    flex: 1,
    minHeight: 0,
    display: 'grid',
    gridAutoFlow: 'column',
    gridAutoColumns: 'minmax(0, 1fr)',
    gridTemplateRows: 'minmax(0, 1fr)',
    gap: 12,
    '& > div': { minHeight: 0, display: 'grid' },
  },
}));

const Tabs = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 4,
  padding: 2,
  margin: -2,
  overflowX: 'auto',
  '& button': {
    flex: 'none',
    height: 26,
    padding: '0 10px',
    font: 'inherit',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    backgroundColor: 'transparent',
    border: '1px solid transparent',
    borderRadius: 7,
    cursor: 'pointer',
  },
  '& .gone': {
    flex: 'none',
    marginLeft: 'auto',
    alignSelf: 'center',
    fontSize: 12,
    color: vars?.palette.text.secondary,
  },
  '& button[aria-pressed=true]': {
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.sheet,
    borderColor: vars?.palette.divider,
  },
}));

/** How many devices are shown before the tray's width is known. */
const FITS_AT_FIRST = 3;

/** The rig's devices to press and turn: as many as fit, the others by tabs. */
export function Tray({ first }: { readonly first: string | null }) {
  const { devices } = useAppSelector(selectSetup);
  const element = useRef<HTMLElement>(null);
  /** Ids, the one asked for last at the end. */
  const [asked, setAsked] = useState<readonly string[]>(first === null ? [] : [first]);
  /** Who made room for whom, in words. */
  const [gone, setGone] = useState('');
  const { width } = useSize(element);
  // Before it is measured nothing must be drawn that would vanish at once.
  const fits = width === 0 ? FITS_AT_FIRST : Math.max(1, Math.floor(width / LEAST_WIDTH));
  const shown = useMemo(() => shownDevices(devices, asked, fits), [devices, asked, fits]);
  return (
    <Box ref={element} aria-label={WORDS.tray} title={WORDS.trayHint}>
      {devices.length > fits && (
        <Tabs role="group" aria-label={WORDS.showDevice}>
          {devices.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={shown.some((device) => device.id === id)}
              onClick={() => {
                const next = [...asked.filter((other) => other !== id), id];
                const stays = shownDevices(devices, next, fits);
                const left = shown.filter((device) => !stays.includes(device)).map((device) => device.name);
                setAsked(next);
                setGone(left.length > 0 ? WORDS.madeRoom(left.join(', ')) : '');
              }}
            >
              {name}
            </button>
          ))}
          <span className="gone" role="status">
            {gone}
          </span>
        </Tabs>
      )}
      <div className="devices">
        {/* In the rig's own order, whichever was asked for last: places one has learnt stay. } */}
        {shown.map((device) => (
          <div key={device.id} style={{ gridColumn: `span ${Math.min(fits, placesFor(device))}` }}>
            <TrayDevice device={device} />
          </div>
        ))}
      </div>
    </Box>
  );
}

/** How many places of the tray a device takes: a tablet is wide, and has its pad beside it. */
function placesFor({ kind }: Device): number {
  return kind === 'pen-tablet' ? 2 : 1;
}

/** The devices asked for last, filled up from the start of the rig; in the rig's own order. */
function shownDevices(devices: readonly Device[], asked: readonly string[], fits: number): readonly Device[] {
  const ids = devices.map(({ id }) => id);
  const latest = asked.filter((id) => ids.includes(id)).toReversed();
  const chosen = new Set<string>();
  let room = fits;
  for (const id of [...latest, ...ids.filter((other) => !latest.includes(other))]) {
    const device = devices.find((each) => each.id === id);
    if (!device || room < 1) break;
    // A wide device may be left out for two narrow ones, but never when it was the one asked for.
    if (placesFor(device) > room && chosen.size > 0) continue;
    chosen.add(id);
    room -= placesFor(device);
  }
  return devices.filter(({ id }) => chosen.has(id));
}
