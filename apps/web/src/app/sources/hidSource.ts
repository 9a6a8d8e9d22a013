import { cutName, type Device, freeId } from '@nimble-lever/core/devices';
import {
  decodeReport,
  decoderFor,
  describedInterfaces,
  fromWebHid,
  type HeardEvent,
  type HeardState,
  NOTHING_HEARD,
  type WebHidCollection,
} from '@nimble-lever/core/devices/hid';
import type { InputSource, OnHeard } from './source.ts';
import { WORDS } from './words.ts';

/** The parts of WebHID that are used; TypeScript's own library does not have it. */
interface HidDevice extends EventTarget {
  readonly opened: boolean;
  readonly productName: string;
  readonly vendorId: number;
  readonly productId: number;
  readonly collections: readonly WebHidCollection[];
  open(): Promise<void>;
}
/** An input report (WebHID, `HIDInputReportEvent`); TypeScript's library has no types for it. */
interface HidReportEvent extends Event {
  readonly reportId: number;
  readonly data: DataView;
}
/** The part of `navigator.hid` that is used (WebHID, `HID`). */
interface Hid {
  requestDevice(options: { filters: readonly object[] }): Promise<readonly HidDevice[]>;
}

/** Null in browsers without WebHID, and on pages that are not secure. */
const hidOf = () => (navigator as unknown as { hid?: Hid }).hid;

/** Devices that speak HID (W3C WebHID), each chosen by the person; their reports are read by our own decoder. */
export function hidSource(onFound: (device: Device) => void): InputSource {
  return {
    id: 'hid',
    name: WORDS.hid,
    isThere: () => hidOf() !== undefined,
    asks: true,
    listen: async (onHeard) => {
      const chosen = (await hidOf()?.requestDevice({ filters: [] })) ?? [];
      if (chosen.length === 0) throw new Error(WORDS.hidNothing);
      const ended = new AbortController();
      for (const interfaces of byDevice(chosen)) await hear(interfaces, onHeard, onFound, ended.signal);
      return () => ended.abort();
    },
  };
}

/** What the browser lists as several is one device where vendor, product and name are the same: its interfaces. */
function byDevice(chosen: readonly HidDevice[]): readonly (readonly HidDevice[])[] {
  const key = ({ vendorId, productId, productName }: HidDevice) => `${vendorId}/${productId}/${productName}`;
  const groups = new Map<string, HidDevice[]>();
  for (const device of chosen) groups.set(key(device), [...(groups.get(key(device)) ?? []), device]);
  return [...groups.values()];
}

/**
 * Opens all interfaces of a device and hears their reports until `signal` ends it. A device nobody has described yet is
 * described here, from its own descriptors.
 */
async function hear(
  interfaces: readonly HidDevice[],
  onHeard: OnHeard,
  onFound: (device: Device) => void,
  signal: AbortSignal,
) {
  for (const each of interfaces) if (!each.opened) await each.open();
  const name = cutName(interfaces[0]?.productName.trim() ?? '') || WORDS.hidDevice;
  const slug = freeId(name, new Set(), 'device');
  const descriptors = interfaces.map(({ collections }) => fromWebHid(collections));
  const described = describedInterfaces(descriptors, slug, name);
  const controls = described.device.controls.map((control) => ({
    ...control,
    heardAs: [`hid/${slug}/${control.id}`],
  }));
  onFound({ ...described.device, controls });
  for (const [i, each] of interfaces.entries()) {
    const [descriptor, own] = [descriptors[i], described.interfaces[i]];
    if (!descriptor || !own) continue;
    const decoder = decoderFor(descriptor, own);
    let state: HeardState = NOTHING_HEARD;
    const onReport = (event: Event) => {
      const { reportId, data } = event as HidReportEvent;
      const bytes = new Uint8Array(data.buffer, data.byteOffset, data.byteLength);
      // A report of a device that numbers them begins with its number, which WebHID tells apart.
      const whole = descriptor.numbered ? Uint8Array.of(reportId, ...bytes) : bytes;
      const decoded = decodeReport(decoder, state, whole);
      state = decoded.state;
      for (const heard of decoded.events) tell(heard, slug, described.device, onHeard);
    };
    each.addEventListener('inputreport', onReport, { signal });
  }
}

/** An event of a report, told with the name of the control it came from. */
function tell(event: HeardEvent, slug: string, device: Device, onHeard: OnHeard): void {
  if (event.kind === 'move') return;
  const control = device.controls.find(({ id }) => id === event.control);
  const name = `${device.name}, ${control?.name ?? event.control}`;
  const id = `hid/${slug}/${event.control}`;
  if (event.kind === 'turn') onHeard({ id, name, change: { kind: 'turn', amount: event.amount } });
  else if (event.kind !== 'position') onHeard({ id, name, change: { kind: event.kind } });
  else {
    const positions = control?.spring?.rates.length;
    const value = positions ? (event.value / positions + 1) / 2 : event.value;
    onHeard({ id, name, change: { kind: 'value', value } });
  }
}
