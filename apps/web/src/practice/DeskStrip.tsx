import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Uses } from '@nimble-lever/core/desks';
import { WHEEL_MODES } from '@nimble-lever/core/devices';
import { pagesOn } from '@nimble-lever/core/engine';
import { BASE_LAYER, type Setup } from '@nimble-lever/core/setup';
import { layerName, profileName, tidy } from '@nimble-lever/core/words';
import { Disc3, Ear, Gauge, Layers, LayoutGrid, Monitor, Pin, Tablet, Terminal } from 'lucide-react';
import { useEngine } from '../app/engine/useEngine.ts';
import { selectCompiled, selectSetup } from '../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { deskShown, selectDesk } from './deskSlice.ts';
import { selectRemotes } from './remotesSlice.ts';
import { WORDS } from './words.ts';

const Strip = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  minHeight: 36,
  padding: '4px 12px 0',
  '& .fill': { flex: 1 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
  '& .state': {
    display: 'inline-flex',
    alignItems: 'center',
    gap: 5,
    height: 26,
    padding: '0 9px',
    borderRadius: 7,
    fontSize: 12,
    whiteSpace: 'nowrap',
    color: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .state.layer': { color: vars?.palette.tokens.layer, backgroundColor: vars?.palette.tokens.layerTint },
}));

/** Whether real devices are heard beside the drawn ones. */
interface Props {
  readonly ownDevices: boolean;
  readonly onOwnDevices: (on: boolean) => void;
}

/** Above the desk: which computer's desk this is, and what lasts now: layers, pages, speeds. */
export function DeskStrip({ ownDevices, onOwnDevices }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const shown = useAppSelector((state) => selectDesk(state).shown);
  const { remotes } = useAppSelector(selectRemotes);
  const compiled = useAppSelector(selectCompiled);
  const engine = useEngine();
  const { layers, speeds, wheelModes, computers } = engine;
  // Computers are known by their names in the devices' settings: the same name is the same computer.
  const [own, ...others] = [
    setup.devices.find((device) => device.settings.computers.length > 0)?.settings.computers[0] ??
      WORDS.thisComputer,
    ...new Set(setup.devices.flatMap((device) => device.settings.computers.slice(1))),
  ];
  const desk = (name: string, id: string | null) => (
    <Button
      key={name}
      variant={shown === id ? 'contained' : 'outlined'}
      aria-pressed={shown === id}
      startIcon={<Monitor size={14} aria-hidden />}
      onClick={() => dispatch(deskShown(id))}
    >
      {name}
    </Button>
  );
  const deviceOf = (id: string) => setup.devices.find((device) => device.id === id);
  return (
    <Strip role="group" aria-label={WORDS.now}>
      {others.length > 0 && [desk(own ?? '', null), ...others.map((name) => desk(name, name))]}
      <span className="fill" />
      <span aria-live="polite" style={{ display: 'contents' }}>
        {remotes.map(({ id, name, devices, uses }) => {
          const names = devices.map((own) => deviceOf(own)?.name ?? own);
          if (uses) {
            const said = usesWords(setup, uses);
            return (
              <span key={id} className="state" title={said}>
                <Terminal size={14} aria-hidden /> {WORDS.wears(name, said)}
              </span>
            );
          }
          return (
            <span key={id} className="state" title={names.join(', ')}>
              <Tablet size={14} aria-hidden /> {WORDS.joined(names, name)}
            </span>
          );
        })}
        {layers
          .filter((layer) => layer !== BASE_LAYER)
          .map((layer) => (
            <span key={layer} className="state layer">
              <Layers size={14} aria-hidden /> {WORDS.layer(layerName(setup, layer))}
            </span>
          ))}
        {setup.devices.map(({ id, name }) => {
          const names = pagesOn(compiled, engine, id).map((page) => page.name);
          return names.length === 0 ? null : (
            <span key={id} className="state layer">
              <LayoutGrid size={14} aria-hidden /> {WORDS.pages(name, names)}
            </span>
          );
        })}
        {Object.entries(speeds).map(([device, at]) => (
          <span key={device} className="state">
            <Gauge size={14} aria-hidden />
            {WORDS.speed(
              deviceOf(device)?.name ?? device,
              tidy(deviceOf(device)?.settings.pointerSpeeds[at] ?? 1),
            )}
          </span>
        ))}
        {Object.entries(wheelModes).map(([device, at]) => {
          const mode = WHEEL_MODES[at];
          const known = deviceOf(device);
          if (!mode || !known || known.settings.wheel.free === (mode === 'free')) return null;
          return (
            <span key={device} className="state">
              <Disc3 size={14} aria-hidden /> {WORDS.wheel(known.name, mode)}
            </span>
          );
        })}
        {Object.entries(computers).map(([device, at]) => {
          const name = deviceOf(device)?.settings.computers[at];
          return at === 0 || !name ? null : (
            <span key={device} className="state">
              <Pin size={14} aria-hidden /> {WORDS.talksTo(deviceOf(device)?.name ?? device, name)}
            </span>
          );
        })}
      </span>
      <Button
        variant={ownDevices ? 'contained' : 'outlined'}
        aria-pressed={ownDevices}
        startIcon={<Ear size={14} aria-hidden />}
        onClick={() => onOwnDevices(!ownDevices)}
      >
        {WORDS.useOwn}
      </Button>
    </Strip>
  );
}

/** What a script has put on: `stays with Brindle, Key 10 of Twelve pad sends Ctrl+F7`. */
function usesWords(setup: Setup, { pin, sets }: Uses): string {
  const stays = pin === null ? [] : [WORDS.staysWith(profileName(setup, pin))];
  const sends = sets.map(({ device, control, shortcut }) => {
    const own = setup.devices.find(({ id }) => id === device);
    const name = own?.controls.find(({ id }) => id === control)?.name ?? control;
    return WORDS.sends(own?.name ?? device, name, shortcut);
  });
  return [...stays, ...sends].join(', ');
}
