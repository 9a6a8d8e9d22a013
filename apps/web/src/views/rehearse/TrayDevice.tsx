import { styled } from '@mui/material/styles';
import {
  type Control,
  type Device,
  movesPointer,
  readingDistance,
  tunedControl,
} from '@nimble-lever/core/devices';
import {
  controlKey,
  type EngineState,
  type FaceState,
  pagesOn,
  shownPage,
  sliderKey,
  wheelModeNow,
} from '@nimble-lever/core/engine';
import { controlsOnPage, type Setup, sameJson } from '@nimble-lever/core/setup';
import { describeAction, nativeName } from '@nimble-lever/core/words';
import { useMemo, useState } from 'react';
import type { Happening } from '../../app/engine/engineSlice.ts';
import { feed } from '../../app/engine/feed.ts';
import { useEngine } from '../../app/engine/useEngine.ts';
import { selectCompiled, selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { cellFace, controlFace } from '../../pieces/controlFace.ts';
import { DeviceCard } from '../../pieces/DeviceCard.tsx';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { FaceMark } from '../../pieces/FaceMark.tsx';
import { PanelBackground } from '../../pieces/PanelBackground.tsx';
import { selectSimulated, simulatedDevice } from '../../practice/devices/simulatedSlice.ts';
import { PointerPad } from './PointerPad.tsx';
import { SayField } from './SayField.tsx';
import { useCoasting } from './useCoasting.ts';
import { useFaces } from './useFaces.ts';
import { PEDAL_KEYS } from './usePedalKeys.ts';
import { WORDS } from './words.ts';

const Inside = styled('div')({
  height: '100%',
  display: 'flex',
  gap: 8,
  '& > svg': { flex: 1, minWidth: 0 },
  // Unplugged, it is there but says nothing.
  '&[data-plugged=false]': { opacity: 0.35 },
});

/** Where the sliders of a device are, by control. */
function slidesOf({ id, controls }: Device, { sliderValues }: EngineState) {
  return Object.fromEntries(
    controls
      .filter(({ slider }) => slider !== null)
      .map((control) => {
        const key = controlKey(id, control.id);
        return [control.id, { up: sliderValues[key], across: sliderValues[sliderKey(key, 'across')] }];
      }),
  );
}

/** A device of the tray: its drawing, and a pad where it moves the pointer. */
export function TrayDevice({ device: plain }: { readonly device: Device }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const engine = useEngine();
  const { held, waiting, springs } = engine;
  const slides = useAppSelector((state) => slidesOf(plain, state.engine.engine), sameJson);
  // The device used last is marked, so that the eye finds from drawing to account.
  const latest = useAppSelector((state) =>
    state.engine.happenings.find(
      ({ explanation: { outcome } }) => outcome.kind === 'pressed' || outcome.kind === 'turned',
    ),
  );
  const { lit, light, fade } = useFlash();
  const [angles, setAngles] = useState<Readonly<Record<string, number>>>({});
  const { wheel } = plain.settings;
  const isFree = wheelModeNow(engine, plain.id, wheel.free) === 'free';
  const compiled = useAppSelector(selectCompiled);
  const page = shownPage(compiled, engine, plain.id);
  const device = useMemo(() => {
    const settings = { ...plain.settings, wheel: { ...plain.settings.wheel, free: isFree } };
    const shown = controlsOnPage(setup, plain, page);
    return { ...plain, controls: shown.map((control) => tunedControl(control, settings)) };
  }, [setup, plain, isFree, page]);
  const { id } = device;
  const faces = useFaces(device);
  const picture = (setup.pages.find((each) => each.id === page) ?? device.panel)?.picture ?? null;
  const pages = pagesOn(compiled, engine, id).map(({ name }) => name);
  const simulated = useAppSelector(selectSimulated);
  const { plugged, low, charge } = simulatedDevice(simulated, plain);

  // The mark turns at once; what the engine makes of it comes with its own explanation.
  const turn = (control: Control, unit: 'degrees' | 'detents', amount: number) => {
    // The drawn mark turns by degrees, also where the knob counts in detents.
    const detent = control.rotor?.kind === 'detented' ? control.rotor.detentDegrees : 1;
    const degrees = unit === 'detents' ? amount * detent : amount;
    setAngles((before) => ({ ...before, [control.id]: (before[control.id] ?? 0) + degrees }));
    light(control.id);
    fade(control.id);
    dispatch(feed({ kind: 'turn', device: id, control: control.id, unit, amount }));
    return degrees;
  };
  const free = useCoasting(plugged && isFree ? wheel.coastMs : 0, (control, degrees) =>
    turn(control, 'degrees', degrees),
  );
  const places = Object.fromEntries(
    device.controls.flatMap((control): [string, number][] => {
      const key = controlKey(id, control.id);
      const at = springs[key]?.position ?? slides[control.id]?.up;
      return at === undefined ? [] : [[control.id, at]];
    }),
  );
  const across = Object.fromEntries(
    Object.entries(slides).flatMap(([control, { across: at }]): [string, number][] =>
      at === undefined ? [] : [[control, at]],
    ),
  );
  const down = [...Object.keys(held), ...Object.keys(springs)];
  // A press that waits to become hold or double press is down as well.
  for (const [key, { down: isDown }] of Object.entries(waiting)) if (isDown) down.push(key);
  const own = down.filter((key) => key.startsWith(`${id}/`)).map((key) => key.slice(id.length + 1));
  // Named on its card, so that a press on one device is not looked for on another.
  const isLatest = latest !== undefined && deviceOf(latest) === id;
  const pedals = setup.devices.find(({ kind }) => kind === 'pedals')?.id === id;
  const done = isLatest ? doneWords(setup, latest) : '';
  const points = movesPointer(device.kind);
  const asideOf = () => {
    if (!plugged) return WORDS.unplugged;
    if (low) return WORDS.lowBattery(charge ?? 0);
    return done || (pedals ? PEDAL_KEYS.slice(0, device.controls.length).join(' ') : '');
  };
  return (
    <DeviceCard name={device.name} pages={pages} aside={asideOf()} current={isLatest}>
      <Inside data-plugged={plugged} inert={!plugged}>
        <DeviceDrawing
          device={device}
          lit={new Set([...lit, ...own])}
          selected={null}
          angles={angles}
          values={places}
          across={across}
          under={picture && <PanelBackground width={device.width} height={device.height} picture={picture} />}
          faceOf={(control) => {
            const now = faces.get(control.id);
            const seen = !control.cell?.seeThrough;
            const face = seen && (cellFace(control) ?? (now && controlFace(now, now.does)));
            return (
              face && (
                <FaceMark
                  shape={control.shape}
                  cell={control.cell}
                  face={face}
                  onPicture={picture !== null && control.kind === 'words'}
                  distance={readingDistance(device)}
                  state={now}
                />
              )
            );
          }}
          hint={(control) => {
            const now = faces.get(control.id);
            return hintOf(control, now?.label ?? now?.does, now);
          }}
          onDown={(control) =>
            dispatch(
              control.phrase === null
                ? feed({ kind: 'down', device: id, control: control.id })
                : feed({ kind: 'phrase', text: control.phrase }),
            )
          }
          onUp={(control) => {
            if (control.phrase === null) dispatch(feed({ kind: 'up', device: id, control: control.id }));
          }}
          onTurn={(control, unit, amount) => {
            const degrees = turn(control, unit, amount);
            if (control.kind === 'wheel') free.felt(control, degrees);
          }}
          onTouch={(control, touches) => {
            if (control.kind === 'wheel') free.touched(control, touches);
          }}
          onPosition={(control, value, axis) =>
            dispatch(
              feed({ kind: 'position', device: id, control: control.id, value, ...(axis && { axis }) }),
            )
          }
          onMove={(dx, dy) => dispatch(feed({ kind: 'move', dx, dy }))}
        />
        {points && <PointerPad device={device} />}
        {device.kind === 'voice' && <SayField />}
      </Inside>
    </DeviceCard>
  );
}

/** The device an event is about; none where a window or the clock is. */
function deviceOf({ explanation: { event } }: Happening): string | null {
  return 'device' in event ? event.device : null;
}

/** What one can do with a drawn control, for those who do so by keys. */
function hintOf(control: Control, face: string | undefined, state: FaceState | undefined): string {
  if (control.phrase !== null) return `${control.name}, Space says it`;
  const turns = control.rotor ? ', Up and Down turn it' : '';
  const does = face ? `, ${face}` : '';
  const goes = state ? WORDS.goesOn(state) : '';
  return `${control.name}${does}${goes}${control.canPress ? ', Space presses it' : ''}${turns}`;
}

/** The name of what a device did last. */
function doneWords(setup: Setup, { explanation: { outcome } }: Happening): string {
  if (outcome.kind !== 'pressed' && outcome.kind !== 'turned') return '';
  const { decided } = outcome.resolution;
  const behaviour = decided?.binding.behaviour;
  const profile = decided && setup.profiles[decided.profile];
  if (!behaviour || !profile || behaviour.kind === 'native') {
    const { device: id, control: own, trigger } = outcome.resolution;
    const device = setup.devices.find((each) => each.id === id);
    const control = device?.controls.find((each) => each.id === own);
    const native = device && control && tunedControl(control, device.settings).native[trigger];
    return native ? nativeName(native) : '';
  }
  if (behaviour.kind === 'off') return 'off';
  return describeAction(setup, profile, behaviour.action).name;
}
