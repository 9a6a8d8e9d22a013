import {
  bytesText,
  decodeReport,
  decoderFor,
  describedDevice,
  NOTHING_HEARD,
  parseDescriptor,
  readBytes,
} from '@nimble-lever/core/devices/hid';
import { bytesProblemWords, descriptorProblemWords } from '@nimble-lever/core/words';
import { Refused, readBytesOf } from './files.ts';

/** The controls a report descriptor describes, a line each; and what reports say, an event a line. */
export function device(file: string, reports: readonly string[]): string {
  const bytes = readDescriptor(file);
  const parsed = parseDescriptor(bytes);
  if (!parsed.ok) throw new Refused(`${file}: ${descriptorProblemWords(parsed.problem)}`);
  const described = describedDevice(parsed.value, 'device', file);
  const { kind, controls } = described.device;
  const lines = controls.map(({ id, name, kind: own }) => `${id}\t${own}\t${name}\n`);
  const decoder = decoderFor(parsed.value, described);
  let state = NOTHING_HEARD;
  const heard = reports.map((text) => {
    const report = readBytes(text);
    if (!report.ok) throw new Refused(`--report ${text}: ${bytesProblemWords(report.problem)}`);
    const decoded = decodeReport(decoder, state, report.value);
    state = decoded.state;
    const events = decoded.events.map((event) => `${JSON.stringify(event)}\n`).join('');
    return `report ${bytesText(report.value)}\n${events}`;
  });
  return `${kind}, ${bytes.length} bytes, ${controls.length} controls\n${lines.join('')}${heard.join('')}`;
}

/** A descriptor from a file of text in any common spelling, or of the bytes themselves. */
function readDescriptor(file: string): Uint8Array {
  const data = readBytesOf(file);
  const isText = data.every((byte) => byte === 9 || byte === 10 || byte === 13 || (byte >= 32 && byte < 127));
  if (!isText) return data;
  const read = readBytes(data.toString('latin1'));
  if (!read.ok) throw new Refused(`${file}: ${bytesProblemWords(read.problem)}`);
  return read.value;
}
