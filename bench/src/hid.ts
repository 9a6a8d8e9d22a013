import {
  decodeReport,
  decoderFor,
  describedDevice,
  NOTHING_HEARD,
  parseDescriptor,
  readBytes,
  SAMPLES,
} from '@nimble-lever/core/devices/hid';
import { type Times, timed } from './times.ts';

/** Bytes of the long descriptor: as long as any a device may have sensibly, and what the aim is given for. */
const LONG = 4096;

/** A descriptor of four kilobytes: a mouse's collections over and over, each in a report of its own. */
function longDescriptor(): Uint8Array {
  const sample = bytesOf(SAMPLES.find(({ id }) => id === 'nine-mouse')?.descriptor ?? '');
  const head = [...sample.subarray(0, 6)];
  const rest = [...sample.subarray(6)];
  const all: number[] = [];
  for (let report = 1; all.length < LONG && report < 256; report++) all.push(...head, 0x85, report, ...rest);
  return Uint8Array.from(all);
}

/** Bytes of a sample's text. */
function bytesOf(text: string): Uint8Array {
  const read = readBytes(text);
  if (!read.ok) throw new Error(read.problem.code);
  return read.value;
}

/** Reading a descriptor of four kilobytes. */
export function timeParse(count: number): Times & { bytes: number } {
  const bytes = longDescriptor();
  const times = timed(count, () => {
    if (!parseDescriptor(bytes).ok) throw new Error('The long descriptor is not read.');
  });
  return { ...times, bytes: bytes.length };
}

/** Decoding a mouse's reports, and what part of one core 8,000 of them a second take, in percent. */
export function timeDecode(count: number): Times & { share: number } {
  const sample = SAMPLES.find(({ id }) => id === 'nine-mouse');
  const parsed = parseDescriptor(bytesOf(sample?.descriptor ?? ''));
  if (!parsed.ok || !sample) throw new Error('The sample is not read.');
  const decoder = decoderFor(parsed.value, describedDevice(parsed.value, 'mouse', 'Mouse'));
  const reports = sample.recording.map(({ report }) => bytesOf(report));
  let state = NOTHING_HEARD;
  const go = (i: number) => {
    state = decodeReport(decoder, state, reports[i % reports.length] ?? new Uint8Array()).state;
  };
  const times = timed(count, go);
  const began = performance.now();
  for (let i = 0; i < count; i++) go(i);
  const each = (performance.now() - began) / count;
  return { ...times, share: each * 8000 * 0.1 };
}
