import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { styled } from '@mui/material/styles';
import {
  addHeardControl,
  type Control,
  controlHeard,
  type Device,
  deviceOf,
  heardAsControl,
  mainTriggersOf,
} from '@nimble-lever/core/devices';
import { changesOf, itemAt } from '@nimble-lever/core/setup';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import type { AskedUse } from '../../app/askedUse.ts';
import { addDevice } from '../../app/setup/addDevice.ts';
import { makeEdits } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { gamepadSource } from '../../app/sources/gamepadSource.ts';
import { hidSource } from '../../app/sources/hidSource.ts';
import { isTyping } from '../../app/sources/isTyping.ts';
import { keySource } from '../../app/sources/keySource.ts';
import { midiSource } from '../../app/sources/midiSource.ts';
import { mouseSource, penSource } from '../../app/sources/pointerSources.ts';
import { SourceList } from '../../app/sources/SourceList.tsx';
import type { Heard } from '../../app/sources/source.ts';
import { useSources } from '../../app/sources/useSources.ts';
import { type AppStore, useAppDispatch } from '../../app/store.ts';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) 232px',
  gap: '8px 16px',
  padding: '12px 16px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.accentTint,
  '& .said': { height: 48, margin: 0, overflow: 'hidden', fontSize: 20, lineHeight: 1.25, fontWeight: 650 },
  '& .said small': { display: 'block', fontSize: 13, fontWeight: 400, color: vars?.palette.text.secondary },
  '& .pad': {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    height: 62,
    margin: '8px 0',
    borderRadius: 10,
    border: `1px dashed ${vars?.palette.tokens.accent}`,
    backgroundColor: vars?.palette.tokens.sheet,
    fontSize: 12,
    textAlign: 'center',
    touchAction: 'none',
  },
  '& .unknown': { display: 'flex', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

/** Keys the page itself is worked with are heard only as themselves: Tab, Enter, Space, Escape, arrows. */
const OWN_KEYS = /^key\/(Tab|Enter|Space|Escape|Arrow\w+|ShiftLeft|ShiftRight)$/;

/** What the page is worked with: found on the pad only. */
const PAGES_OWN: ReadonlySet<string> = new Set(['mouse/button/0', 'mouse/button/2', 'mouse/wheel']);

/** Which control was used last, and whose it is. */
interface Props {
  /** The device that is shown; what is heard for the first time can be added to it. */
  readonly device: Device;
  /** The control that is looked at. */
  readonly control: Control | null;
  readonly onUsed: (device: Device, control: Control, down: boolean) => void;
  /** Shows another device. */
  readonly onSelect: (device: string) => void;
}

/** “Press a control”: whatever is used, on screen or real, is named and found; what belongs to none can be added. */
export function FindPanel({ device, control, onUsed, onSelect }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const store = useStore() as AppStore;
  const pad = useRef<HTMLDivElement>(null);
  const [heard, setHeard] = useState<Heard | null>(null);
  const [felt, setFelt] = useState<string | null>(null);
  const [mapping, setMapping] = useState(false);
  const [described, setDescribed] = useState<Device | null>(null);
  // What is heard goes to the device that is shown now, not to the one at the time the panel opened.
  const owner = useRef(device);
  owner.current = device;
  const sources = useMemo(
    () => [
      // Everywhere on the page: the real back button must not leave what one is finding it with.
      mouseSource(() => null, true),
      penSource(() => pad.current),
      keySource,
      gamepadSource,
      midiSource,
      hidSource(setDescribed),
    ],
    [],
  );
  const change = useCallback(
    (next: Device) => {
      // As it is at this moment: another page may have edited it since.
      const now = selectSetup(store.getState()).devices.find(({ id }) => id === next.id);
      if (now) dispatch(makeEdits(changesOf(itemAt.device(next.id), now, next)));
    },
    [dispatch, store],
  );
  const onHeard = (input: Heard) => {
    // The page itself is worked by these, outside of the pad that is there for them.
    if (PAGES_OWN.has(input.id) && !pad.current?.matches(':hover')) return false;
    if (input.id.startsWith('key/') && (OWN_KEYS.test(input.id) || isTyping())) return false;
    hear(input);
    return true;
  };
  const hear = (input: Heard) => {
    const { devices } = selectSetup(store.getState());
    const found = controlHeard(devices, input);
    const isUp = input.change.kind === 'up';
    if (found) {
      // Lit as long as it is down; what has no up is lit for a moment.
      onUsed(found.device, found.control, !isUp);
      if (input.change.kind === 'turn' || input.change.kind === 'value')
        onUsed(found.device, found.control, false);
    }
    // Hovering and pressure are felt, not used: they are told where they are felt.
    if (!found && (input.id === 'pen/hover' || input.id === 'pen/pressure')) {
      const part = input.change.kind === 'value' ? ` ${Math.round(input.change.value * 100)} %` : '';
      setFelt(isUp ? null : `${input.name}${part}`);
      return;
    }
    if (isUp) return;
    setHeard(input);
    // Mapping goes on by itself: twelve keys in a row are twelve presses, not twelve clicks.
    if (found || !mapping) return;
    const current = devices.find(({ id }) => id === owner.current.id) ?? owner.current;
    change(addHeardControl(current, input.id, input.name, input.change).device);
  };
  const states = useSources(sources, true, onHeard);
  const { devices } = selectSetup(store.getState());
  const found = heard && controlHeard(devices, heard);
  const addPad = () => {
    if (!heard) return;
    const id = newId(WORDS.padName, 'device');
    const empty = deviceOf({
      id,
      name: WORDS.padName,
      kind: 'key-pad',
      width: 150,
      height: 32,
      controls: [],
    });
    const { device: item } = addHeardControl(empty, heard.id, heard.name, heard.change);
    dispatch(addDevice(item));
    onSelect(id);
  };
  const addDescribed = () => {
    if (!described) return;
    const id = newId(described.name, 'device');
    dispatch(addDevice({ ...described, id }));
    setDescribed(null);
    onSelect(id);
  };
  // What was selected on the drawing since counts more than what was found before.
  const onScreen =
    control && (!heard || (found && found.control.id !== control.id)) ? { device, control } : null;
  const shown = onScreen ?? found;
  return (
    <Box aria-label={WORDS.find}>
      <div>
        <p className="said" role="status">
          {shown ? shown.control.name : heard ? heard.name : WORDS.listening}
          <small>
            {shown ? WORDS.foundOn(shown.device.name) : heard ? WORDS.notFound(heard.name) : WORDS.findHint}
          </small>
        </p>
        <div ref={pad} className="pad" data-find-pad="">
          {felt ?? WORDS.findPad}
        </div>
        {heard && !found && (
          <div className="unknown">
            <Button
              onClick={() => change(addHeardControl(device, heard.id, heard.name, heard.change).device)}
            >
              {WORDS.addTo(device.name)}
            </Button>
            <Button onClick={addPad}>{WORDS.newPad}</Button>
            {control && (
              <Button onClick={() => change(heardAsControl(device, control.id, heard.id))}>
                {WORDS.isThis(control.name)}
              </Button>
            )}
          </div>
        )}
        {shown && (
          <div className="unknown">
            {([false, true] as const).map((assigning) => (
              <Button
                key={String(assigning)}
                onClick={() => {
                  const { device: owner, control: its } = shown;
                  const [trigger = 'press'] = mainTriggersOf(its);
                  const state: AskedUse = { device: owner.id, control: its.id, trigger, assigning };
                  void navigate('/board', { state });
                }}
              >
                {assigning ? WORDS.assign : WORDS.showOnBoard}
              </Button>
            ))}
          </div>
        )}
        {described && <Button onClick={addDescribed}>{WORDS.hidFound(described.name)}</Button>}
        <FormControlLabel
          title={WORDS.mapAllHint}
          label={WORDS.mapAll}
          slotProps={{ typography: { variant: 'body2' } }}
          control={
            <Checkbox size="small" checked={mapping} onChange={({ target }) => setMapping(target.checked)} />
          }
        />
      </div>
      <SourceList sources={states} />
    </Box>
  );
}
