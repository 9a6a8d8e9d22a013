import { type Control, controlOf, USUAL_RATES } from '../control.ts';
import type { Device } from '../device.ts';
import { deviceOf } from '../device.ts';
import { freeId } from '../freeId.ts';
import { cutName } from '../names.ts';
import type { Descriptor } from './descriptor.ts';
import { layOut } from './layOut.ts';
import { type ControlPart, isFine, type Source, sourcesOf } from './sources.ts';
import { PAGES } from './usages.ts';

/** A device derived from its report descriptor, and which control each part became. */
export interface DescribedDevice {
  readonly device: Device;
  /** Where in reports each control is found. */
  readonly sources: readonly Source[];
  /** The id of the control that a part became. */
  readonly ids: ReadonlyMap<ControlPart, string>;
}

/** The most controls a device may have. */
const MOST_TAKEN = 400;

/** A device that the computer sees as several, and each of them: its own sources, of one and the same device. */
export interface DescribedInterfaces {
  readonly device: Device;
  /** In the order of the descriptors. */
  readonly interfaces: readonly DescribedDevice[];
}

/** Derives a device from its descriptor: controls named after their usages, laid out as a drawing. */
export function describedDevice(descriptor: Descriptor, id: string, name: string): DescribedDevice {
  const { device, interfaces } = describedInterfaces([descriptor], id, name);
  return interfaces[0] ?? { device, sources: [], ids: new Map() };
}

/** Derives one device from the descriptors of all its interfaces, the main one first: it says what kind it is. */
export function describedInterfaces(
  descriptors: readonly Descriptor[],
  id: string,
  name: string,
): DescribedInterfaces {
  const sources = descriptors.map(sourcesOf);
  const parts = sources.flat().flatMap(partsOf).slice(0, MOST_TAKEN);
  const names = distinct(
    parts.map((part) => part.name),
    (name, number) => `${name} (${number})`,
  );
  const idNames = distinct(
    parts.map((part) => part.idName),
    (name, number) => `${name} ${number}`,
  );
  const ids = new Map<ControlPart, string>();
  const shaped = layOut(parts.map(({ kind }) => kind));
  const taken = new Set<string>();
  const controls = parts.map((part, i): Control => {
    const called = names[i] ?? part.name;
    const own = freeId(idNames[i] ?? called, taken, 'control');
    taken.add(own);
    ids.set(part, own);
    return controlFor(part, own, called, shaped.shapes[i]);
  });
  const { width, height } = shaped;
  const body = [{ kind: 'rect', x: 1, y: 1, width: width - 2, height: height - 2, radius: 8 }] as const;
  const first = new Set(sources[0]?.flatMap(partsOf).map((part) => ids.get(part)));
  const kind = kindOf(
    descriptors[0]?.collections ?? [],
    controls.filter((control) => first.has(control.id)),
  );
  const device = deviceOf({ id, name, kind, width, height, body: [...body], controls });
  return { device, interfaces: sources.map((own) => ({ device, sources: own, ids })) };
}

/** The parts of a source that become controls. */
function partsOf(source: Source): readonly ControlPart[] {
  if ('part' in source) return [source.part];
  return 'parts' in source ? source.parts.flatMap((part) => part ?? []) : [];
}

/** Names of which no two are the same: later ones are numbered. */
function distinct(
  names: readonly string[],
  numbered: (name: string, number: number) => string,
): readonly string[] {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  const next = new Map<string, number>();
  return names.map((name) => {
    if (counts.get(name) === 1) return name;
    const number = (next.get(name) ?? 0) + 1;
    next.set(name, number);
    return numbered(name, number);
  });
}

/** A part as a control of a device. */
function controlFor(
  part: ControlPart,
  id: string,
  name: string,
  shaped: ReturnType<typeof layOut>['shapes'][number] | undefined,
): Control {
  const { shape = { kind: 'circle', cx: 0, cy: 0, r: 1 }, cap = null } = shaped ?? {};
  const turns = part.detents !== null;
  return controlOf({
    id,
    name: cutName(name),
    kind: part.kind,
    shape,
    cap,
    canPress: !turns && part.positions === null && part.kind !== 'slider',
    rotor: rotorOf(part),
    spring: part.positions === null ? null : { rates: ratesFor(part.positions) },
    slider: part.kind === 'slider' ? { thresholds: [0.25, 0.5, 0.75] } : null,
    native: nativeOf(part),
  });
}

/** How it turns: by detents, of which a whole turn has so many; one that counts finer than a hand can is continuous. */
function rotorOf({ detents }: ControlPart): Control['rotor'] {
  if (detents === null) return null;
  if (isFine(detents)) return { kind: 'continuous', stepDegrees: USUAL_STEP_DEGREES, speedUp: null };
  return { kind: 'detented', detentDegrees: Math.min(360, 360 / detents), speedUp: null };
}

/** A step of a dial that has none of its own: degrees (common practice, no source). */
const USUAL_STEP_DEGREES = 18;

/** The usual rates; a ring with more positions goes on at the last. */
function ratesFor(positions: number): number[] {
  return Array.from({ length: positions }, (_, i) => USUAL_RATES[i] ?? USUAL_RATES.at(-1) ?? 60);
}

/** What a computer makes of the usage without us: pointer buttons, wheels, a pen's tip and switches. */
function nativeOf({ kind, usage, isPointers }: ControlPart): Control['native'] {
  if (kind === 'button' && isPointers && usage.page === PAGES.button && usage.id <= 5) {
    // Buttons 2 and 3 of the usage tables are right and middle; the browser counts the middle one first.
    const button = [0, 2, 1, 3, 4][usage.id - 1] ?? 0;
    return { press: { kind: 'button', button } };
  }
  if (kind === 'pen-tip') return { press: { kind: 'button', button: 0 } };
  if (kind === 'pen-switch') return { press: { kind: 'button', button: 2 } };
  if (kind !== 'wheel' && !(usage.page === PAGES.consumer && usage.id === AC_PAN)) return {};
  const axis = kind === 'wheel' ? 'vertical' : 'horizontal';
  return {
    clockwise: { kind: 'wheel', ticks: 1, axis },
    anticlockwise: { kind: 'wheel', ticks: -1, axis },
  };
}

/** Usage of a wheel that tilts: AC Pan of the consumer page (HID Usage Tables 1.5, section 15). */
const AC_PAN = 0x238;

/** What kind of device it is, by what it says it is, else by its controls. */
function kindOf(collections: Descriptor['collections'], controls: readonly Control[]): Device['kind'] {
  if (controls.some(({ spring }) => spring !== null)) return 'shuttle';
  const usages = collections.map(({ usage }) => `${usage?.page}/${usage?.id}`);
  // A pad that moves the pointer too is a pad: what it is comes first.
  const presses = controls.some(({ kind }) => kind === 'key' || kind === 'button');
  if (/^1\/[4-7]$/.test(usages[0] ?? '') && presses) return 'key-pad';
  if (usages.some((usage) => usage === '1/1' || usage === '1/2')) return 'mouse';
  if (usages.some((usage) => /^13\/[12]$/.test(usage))) return 'pen-tablet';
  if (usages.some((usage) => /^13\/[45]$/.test(usage))) return 'touch-panel';
  const [only] = controls;
  return controls.length <= 2 && only?.rotor ? 'dial' : 'key-pad';
}
