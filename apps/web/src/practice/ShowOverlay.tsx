import { styled } from '@mui/material/styles';
import { type Device, triggersOf } from '@nimble-lever/core/devices';
import {
  type Compiled,
  type EngineState,
  pagesOn,
  resolutionNow,
  shownPage,
} from '@nimble-lever/core/engine';
import { BASE_LAYER, controlsOnPage, type Setup } from '@nimble-lever/core/setup';
import { describeActionIn, layerName, tidy, triggerNameIn } from '@nimble-lever/core/words';
import { useEngine } from '../app/engine/useEngine.ts';
import { selectCompiled, selectSetup } from '../app/setup/selectors.ts';
import { useAppSelector } from '../app/store.ts';
import { Keycap } from '../pieces/Keycap.tsx';
import { selectSimulated, simulatedDevice } from './devices/simulatedSlice.ts';
import { WORDS } from './words.ts';

const Sheet = styled('section')(({ theme: { vars } }) => ({
  position: 'absolute',
  inset: 12,
  zIndex: 70,
  overflow: 'auto',
  padding: '14px 18px',
  borderRadius: 12,
  columnWidth: 250,
  columnGap: 22,
  fontSize: 13,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: 0, fontSize: 14, fontWeight: 650 },
  '& header': { display: 'flex', gap: 8, alignItems: 'baseline', breakAfter: 'avoid', margin: '0 0 4px' },
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
  '& dl': { margin: '0 0 14px' },
  '& p': { margin: '0 0 14px', fontSize: 12, color: vars?.palette.text.secondary },
  '& div': {
    display: 'flex',
    gap: 8,
    justifyContent: 'space-between',
    alignItems: 'baseline',
    padding: '3px 0',
    breakInside: 'avoid',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& dt': { color: vars?.palette.text.secondary },
  '& dd': { margin: 0, textAlign: 'right' },
}));

/** What every control of the asked devices does right now, over the desk, while something that shows it is held. */
export function ShowOverlay() {
  const setup = useAppSelector(selectSetup);
  const { held, latched } = useEngine();
  const asked = [...Object.values(held), ...Object.values(latched)]
    .flatMap(({ holds }) => holds)
    .flatMap((hold) => (hold.kind === 'show' ? [hold.device] : []));
  if (asked.length === 0) return null;
  const devices = asked.includes(null) ? setup.devices : setup.devices.filter(({ id }) => asked.includes(id));
  return (
    // It may be longer than the desk: keys scroll it.
    <Sheet aria-label={WORDS.shows} tabIndex={0}>
      {devices.map((device) => (
        <DeviceUses key={device.id} device={device} />
      ))}
    </Sheet>
  );
}

/** A device, how it is, and what its controls do. */
function DeviceUses({ device }: { readonly device: Device }) {
  const setup = useAppSelector(selectSetup);
  const compiled = useAppSelector(selectCompiled);
  const engine = useEngine();
  const { charge } = simulatedDevice(useAppSelector(selectSimulated), device);
  const uses = usesOf(setup, compiled, engine, device);
  return (
    <>
      <header>
        <h2>{device.name}</h2>
        <small>{stateWords(setup, compiled, engine, device, charge).join(' · ')}</small>
      </header>
      {uses.length === 0 && <p>{WORDS.nothingSet}</p>}
      {uses.length > 0 && (
        <dl>
          {uses.map(({ key, use, does, shortcut }) => (
            <div key={key}>
              <dt>{use}</dt>
              <dd>
                {does} {shortcut && <Keycap shortcut={shortcut} />}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </>
  );
}

/** A way of using a control that something is set for. */
interface Use {
  readonly key: string;
  readonly use: string;
  readonly does: string;
  readonly shortcut: string | null;
}

/** What is set for the controls of a device, with the layers and the page of now. */
function usesOf(setup: Setup, compiled: Compiled, engine: EngineState, device: Device): readonly Use[] {
  const column = setup.profiles[engine.profile];
  return controlsOnPage(setup, device, shownPage(compiled, engine, device.id)).flatMap((control) =>
    triggersOf(control).flatMap((trigger): Use[] => {
      const { decided } = resolutionNow(compiled, engine, device.id, control.id, trigger);
      const owner = decided && setup.profiles[decided.profile];
      const behaviour = decided?.binding.behaviour;
      if (!column || !owner || behaviour?.kind !== 'action') return [];
      const { name, shortcut } = describeActionIn(setup, column, owner, behaviour.action);
      const does = decided.binding.face?.label ?? name;
      const use = triggerNameIn(setup, device.id, control.id, trigger);
      return [{ key: `${control.id}/${trigger}`, use, does, shortcut }];
    }),
  );
}

/** Its page, the layers that are on, its pointer speed and its battery, as far as it has them. */
function stateWords(
  setup: Setup,
  compiled: Compiled,
  engine: EngineState,
  device: Device,
  charge: number | null,
): readonly string[] {
  const { layers, speeds } = engine;
  const pages = pagesOn(compiled, engine, device.id).map(({ name }) => name);
  const on = layers.filter((layer) => layer !== BASE_LAYER).map((layer) => layerName(setup, layer));
  const speed = device.settings.pointerSpeeds[speeds[device.id] ?? 0];
  return [
    ...(pages.length === 0 ? [] : [WORDS.showsPages(pages)]),
    ...(on.length === 0 ? [] : [WORDS.showsLayers(on)]),
    ...(speed === undefined ? [] : [WORDS.showsSpeed(tidy(speed))]),
    ...(charge === null ? [] : [WORDS.showsCharge(charge)]),
  ];
}
