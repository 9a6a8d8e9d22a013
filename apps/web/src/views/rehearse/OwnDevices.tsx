import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import { controlHeard, usesHeard } from '@nimble-lever/core/devices';
import { X } from 'lucide-react';
import { type RefObject, useCallback, useEffect, useMemo, useState } from 'react';
import { useStore } from 'react-redux';
import { feed } from '../../app/engine/feed.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { gamepadSource } from '../../app/sources/gamepadSource.ts';
import { hidSource } from '../../app/sources/hidSource.ts';
import { keySource } from '../../app/sources/keySource.ts';
import { midiSource } from '../../app/sources/midiSource.ts';
import { mouseSource, penSource } from '../../app/sources/pointerSources.ts';
import { SourceList } from '../../app/sources/SourceList.tsx';
import type { Heard } from '../../app/sources/source.ts';
import { useSources } from '../../app/sources/useSources.ts';
import { type AppStore, useAppDispatch } from '../../app/store.ts';
import { selectDesk } from '../../practice/deskSlice.ts';
import { movePointer } from '../../practice/pointing.ts';
import { WORDS } from './words.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  position: 'absolute',
  right: 10,
  top: 8,
  zIndex: 70,
  width: 290,
  maxHeight: 'calc(100% - 16px)',
  overflow: 'auto',
  padding: '10px 12px 12px',
  borderRadius: 10,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  boxShadow: '0 6px 22px rgb(0 0 0 / 0.22)',
  '& header': { display: 'flex', alignItems: 'center', justifyContent: 'space-between' },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& ol': { margin: '8px 0 0', padding: 0, listStyle: 'none', fontSize: 12 },
  '& ol li': { display: 'flex', justifyContent: 'space-between', gap: 8, padding: '2px 0' },
  '& ol small': { fontSize: 11, color: vars?.palette.text.secondary },
}));

/** A control that was heard, and where it went. */
interface Told {
  readonly key: number;
  readonly name: string;
  /** Null for what belongs to no control of the rig. */
  readonly to: string | null;
}

/** How many of the things heard are listed. */
const LISTED = 6;

/** Real devices are heard while the pointer is over `surface` or keys go there, and left alone elsewhere. */
interface Props {
  /** The desk's screen, over which real pointers are heard. */
  readonly surface: RefObject<HTMLElement | null>;
  readonly onClose: () => void;
}

/** Real devices led into the engine: what is listened to, and what was heard. */
export function OwnDevices({ surface, onClose }: Props) {
  const dispatch = useAppDispatch();
  const store = useStore() as AppStore;
  const [told, setTold] = useState<readonly Told[]>([]);
  const sources = useMemo(() => {
    return [
      mouseSource(() => surface.current),
      penSource(() => surface.current),
      keySource,
      gamepadSource,
      midiSource,
      hidSource(() => undefined),
    ];
  }, [surface]);
  const onHeard = useCallback(
    (heard: Heard) => {
      const { devices } = selectSetup(store.getState());
      const found = controlHeard(devices, heard);
      // Keys that belong to no device of the rig go to the program, as typing does.
      if (!found && heard.id.startsWith('key/')) return false;
      const to = found && `${found.device.name}, ${found.control.name}`;
      // Told when it goes down; the way up is not worth a line.
      if (heard.change.kind !== 'up') {
        setTold((before) =>
          [{ key: (before[0]?.key ?? 0) + 1, name: heard.name, to }, ...before].slice(0, LISTED),
        );
      }
      if (found) for (const use of usesHeard(found, heard.change)) dispatch(feed(use));
      return true;
    },
    [dispatch, store],
  );
  const states = useSources(sources, true, onHeard);

  // What the real pointer does over the desk reaches the programs by way of the engine only.
  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    let last: { x: number; y: number } | null = null;
    const onPointer = (event: PointerEvent) => {
      // The panel itself is worked by the same mouse.
      const inPanel = event.target instanceof Element && event.target.closest('aside') !== null;
      if (!event.isTrusted || inPanel) return;
      // Else a program would get the press twice: from the pointer, and from what the engine sends.
      event.stopPropagation();
      if (event.type !== 'pointermove') return;
      const { left, top } = element.getBoundingClientRect();
      const at = { x: event.clientX - left, y: event.clientY - top };
      const known = selectDesk(store.getState()).pointer ?? last ?? at;
      last = at;
      dispatch(movePointer(at.x - known.x, at.y - known.y));
    };
    const kinds = ['pointerdown', 'pointermove', 'pointerup'] as const;
    for (const kind of kinds) element.addEventListener(kind, onPointer, { capture: true });
    return () => {
      for (const kind of kinds) element.removeEventListener(kind, onPointer, { capture: true });
    };
  }, [dispatch, store, surface]);

  return (
    <Box aria-label={WORDS.ownDevices}>
      <header>
        <h2>{WORDS.ownDevices}</h2>
        <IconButton aria-label={WORDS.close} onClick={onClose}>
          <X size={16} aria-hidden />
        </IconButton>
      </header>
      <SourceList sources={states} />
      <ol aria-label={WORDS.heardList} aria-live="polite">
        {told.map(({ key, name, to }) => (
          <li key={key}>
            {name} <small>{to ?? WORDS.noControl}</small>
          </li>
        ))}
      </ol>
    </Box>
  );
}
