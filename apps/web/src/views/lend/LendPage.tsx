import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { type AccountLine, cannotDo, MOST_DEVICES, type OpenWindow } from '@nimble-lever/core/desks';
import { controlHeard, type Device, usesHeard } from '@nimble-lever/core/devices';
import { Check } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
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
import { useAppSelector } from '../../app/store.ts';
import { useLending } from './useLending.ts';
import { WORDS } from './words.ts';

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: '300px minmax(0, 1fr) 340px',
  '@media (max-width: 1180px)': { gridTemplateColumns: '256px minmax(0, 1fr) 300px' },
  gridTemplateRows: 'minmax(0, 1fr)',
  '& > section': { display: 'flex', flexDirection: 'column', gap: 12, padding: 16, overflow: 'auto' },
  '& > section + section': { borderLeft: `1px solid ${vars?.palette.divider}` },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, lineHeight: 1.5, color: vars?.palette.text.secondary },
  '& fieldset': { margin: 0, padding: 0, border: 0, display: 'flex', flexDirection: 'column' },
  '& fieldset small': { fontSize: 11, color: vars?.palette.text.secondary },
  '& legend': { padding: 0, fontSize: 13, fontWeight: 650 },
  '& .state': { fontSize: 20, lineHeight: 1.3, fontWeight: 650, color: vars?.palette.text.primary },
  '& .state svg': { marginRight: 8, verticalAlign: '-3px', color: vars?.palette.tokens.accent },
  '& .pad': {
    flex: '1 0 140px',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    border: `1px dashed ${vars?.palette.text.secondary}`,
    backgroundColor: vars?.palette.tokens.sheet,
    fontSize: 13,
    textAlign: 'center',
    touchAction: 'none',
  },
  '& .pad[data-on=true]': {
    borderColor: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& ol': { margin: 0, padding: 0, listStyle: 'none', fontSize: 13 },
  '& li': { padding: '5px 0', borderTop: `1px solid ${vars?.palette.divider}` },
  '& li small': { display: 'block', fontSize: 12, color: vars?.palette.text.secondary },
  '& .heard': { minHeight: 150 },
}));

/** How many of the things heard are listed. */
const LISTED = 5;

/** Something that was heard, and the control it is of; null where it is of none that is lent. */
interface Told {
  readonly key: number;
  readonly name: string;
  readonly to: string | null;
}

/** Lends the devices that this browser hears to a desk elsewhere, and tells what came of them there. */
export function LendPage() {
  const { devices } = useAppSelector(selectSetup);
  const [lending, state] = useLending();
  const [desk, setDesk] = useState<string | null>(null);
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    devices
      .filter(isHeard)
      .slice(0, MOST_DEVICES)
      .map(({ id }) => id),
  );
  const [isOn, setOn] = useState(false);
  const at = state?.at ?? state?.desks.find(({ id }) => desk === null || id === desk);
  const cannot = at ? cannotDo(at.can) : [];
  const begin = (next: boolean, at = desk, which = chosen) => {
    const own = which.filter((id) => devices.some((device) => device.id === id));
    setOn(next && own.length > 0);
    if (next) lending.lend(at, own);
    else lending.stop();
  };
  const choose = (id: string, on: boolean) => {
    const next = on ? [...chosen, id].slice(0, MOST_DEVICES) : chosen.filter((each) => each !== id);
    setChosen(next);
    if (isOn) begin(true, desk, next);
  };
  return (
    <Page>
      <section aria-label={WORDS.devices}>
        <p>{WORDS.means}</p>
        <TextField
          select
          size="small"
          label={WORDS.desk}
          value={desk !== null && state?.desks.some(({ id }) => id === desk) ? desk : ''}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          onChange={({ target }) => {
            const next = target.value === '' ? null : target.value;
            setDesk(next);
            if (isOn) begin(true, next);
          }}
        >
          <MenuItem value="">{WORDS.lastUsed}</MenuItem>
          {state?.desks.map(({ id, name, kind }) => (
            <MenuItem key={id} value={id}>
              {name}, {WORDS.kinds[kind]}
            </MenuItem>
          ))}
        </TextField>
        {cannot.length > 0 && <p>{WORDS.cannot(cannot)}</p>}
        <fieldset>
          <legend>{WORDS.devices}</legend>
          {devices.map(({ id, name, ...device }) => (
            <FormControlLabel
              key={id}
              label={
                <>
                  {name} {!isHeard(device) && <small>{WORDS.notHeard}</small>}
                </>
              }
              slotProps={{ typography: { variant: 'body2' } }}
              control={
                <Checkbox
                  size="small"
                  checked={chosen.includes(id)}
                  disabled={!chosen.includes(id) && chosen.length >= MOST_DEVICES}
                  onChange={({ target }) => choose(id, target.checked)}
                />
              }
            />
          ))}
        </fieldset>
        {devices.some((device) => !isHeard(device)) && <p>{WORDS.notHeardMeans}</p>}
        {chosen.length >= MOST_DEVICES && <p>{WORDS.tooMany(MOST_DEVICES)}</p>}
      </section>
      <section aria-label={WORDS.heard}>
        <p role="status" className="state">
          {isOn && state?.at && <Check size={20} aria-hidden />}
          {stateWords(isOn, state)}
        </p>
        <div>
          <Button
            variant={isOn ? 'outlined' : 'contained'}
            aria-disabled={!isOn && chosen.length === 0}
            onClick={() => begin(!isOn)}
          >
            {isOn ? WORDS.stop : WORDS.lend}
          </Button>
        </div>
        {chosen.length === 0 && <p>{WORDS.choose}</p>}
        <Listening
          key={String(isOn)}
          isOn={isOn}
          devices={devices.filter(({ id }) => chosen.includes(id))}
          onUse={(use) => lending.use(use)}
        />
      </section>
      <section aria-label={WORDS.happened}>
        <Windows windows={state?.windows ?? []} />
        <h2>{WORDS.happened}</h2>
        {state && state.lines.length > 0 ? <Lines lines={state.lines} /> : <p>{WORDS.nothingHappened}</p>}
      </section>
    </Page>
  );
}

/** Whether a browser hears something of a device: by what it was said to be heard as, or as the mouse or the pen. */
function isHeard({ kind, controls }: Pick<Device, 'kind' | 'controls'>): boolean {
  return kind === 'mouse' || kind === 'pen-tablet' || controls.some(({ heardAs }) => heardAs.length > 0);
}

function stateWords(isOn: boolean, state: ReturnType<typeof useLending>[1]): string {
  if (state && !state.isOpen) return WORDS.noServer;
  if (state && state.desks.length === 0) return WORDS.noDesk;
  if (!isOn) return WORDS.off;
  return state?.at ? WORDS.on(state.at.name) : WORDS.waiting;
}

interface ListeningProps {
  readonly isOn: boolean;
  /** Those that are lent. */
  readonly devices: readonly Device[];
  readonly onUse: (use: ReturnType<typeof usesHeard>[number]) => void;
}

/** What is listened to, and what was heard. */
function Listening({ isOn, devices, onUse }: ListeningProps) {
  const pad = useRef<HTMLDivElement>(null);
  const [told, setTold] = useState<readonly Told[]>([]);
  const sources = useMemo(
    () => [
      mouseSource(() => pad.current),
      penSource(() => pad.current),
      keySource,
      gamepadSource,
      midiSource,
      hidSource(() => undefined),
    ],
    [],
  );
  const onHeard = useCallback(
    (heard: Heard) => {
      const found = controlHeard(devices, heard);
      // The page itself is worked by keys that belong to nothing that is lent.
      if (heard.id.startsWith('key/') && (!found || isTyping())) return false;
      if (heard.change.kind !== 'up') {
        const to = found && `${found.device.name}, ${found.control.name}`;
        setTold((before) =>
          [{ key: (before[0]?.key ?? 0) + 1, name: heard.name, to }, ...before].slice(0, LISTED),
        );
      }
      if (found) for (const use of usesHeard(found, heard.change)) onUse(use);
      return true;
    },
    [devices, onUse],
  );
  const states = useSources(sources, isOn, onHeard);
  return (
    <>
      <div ref={pad} className="pad" data-on={isOn} data-lend-pad="">
        {isOn ? WORDS.pad : WORDS.padOff}
      </div>
      {isOn && <SourceList sources={states} />}
      <div className="heard">
        <h2>{WORDS.heard}</h2>
        {told.length === 0 && <p>{WORDS.nothingHeard}</p>}
        <ol aria-live="polite">
          {told.map(({ key, name, to }) => (
            <li key={key}>
              {name} <small>{to ?? WORDS.notLent}</small>
            </li>
          ))}
        </ol>
      </div>
    </>
  );
}

function Windows({ windows }: { readonly windows: readonly OpenWindow[] }) {
  if (windows.length === 0) return null;
  return (
    <>
      <h2>{WORDS.windows}</h2>
      <ol>
        {windows.map(({ title, isInFront }) => (
          <li key={title}>
            {title} {isInFront && <small>{WORDS.inFront}</small>}
          </li>
        ))}
      </ol>
    </>
  );
}

function Lines({ lines }: { readonly lines: readonly (AccountLine & { readonly key: number })[] }) {
  return (
    <ol aria-live="polite" aria-relevant="additions">
      {lines.map(({ key, subject, did, sent, why }) => (
        <li key={key}>
          {subject} <b>{did}</b> {sent.length > 0 && `→ ${sent.join(', ')}`}
          <small>{why}</small>
        </li>
      ))}
    </ol>
  );
}
