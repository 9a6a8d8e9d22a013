import {
  bytesText,
  decodeReport,
  decoderFor,
  describedInterfaces,
  NOTHING_HEARD,
  parseDescriptor,
  readBytes,
} from '@nimble-lever/core/devices/hid';
import { bytesProblemWords, descriptorProblemWords } from '@nimble-lever/core/words';
import { Refused, readBytesOf } from './files.ts';

/**
 * The controls that report descriptors describe, a line each, and what reports say, an event a line. Several
 * descriptors are the interfaces of one device; `2=01 00` is a report of the second.
 */
export function device(files: readonly string[], reports: readonly string[]): string {
  const read = files.map((file) => {
    const bytes = readDescriptor(file);
    const parsed = parseDescriptor(bytes);
    if (!parsed.ok) throw new Refused(`${file}: ${descriptorProblemWords(parsed.problem)}`);
    return { descriptor: parsed.value, size: bytes.length };
  });
  const descriptors = read.map(({ descriptor }) => descriptor);
  const { device, interfaces } = describedInterfaces(descriptors, 'device', files[0] ?? 'device');
  const { kind, controls } = device;
  const lines = controls.map(({ id, name, kind: own }) => `${id}\t${own}\t${name}\n`);
  const heard = interfaces.map((each, i) => {
    const descriptor = descriptors[i];
    return descriptor && { decoder: decoderFor(descriptor, each), state: NOTHING_HEARD };
  });
  const said = reports.map((given) => {
    const [, number = '1', text = given] = /^(\d+)=(.*)$/s.exec(given) ?? [];
    const own = heard[Number(number) - 1];
    if (!own) throw new Refused(`--report ${given}: there is no interface ${number}.`);
    const report = readBytes(text);
    if (!report.ok) throw new Refused(`--report ${given}: ${bytesProblemWords(report.problem)}`);
    const decoded = decodeReport(own.decoder, own.state, report.value);
    own.state = decoded.state;
    const events = decoded.events.map((event) => `${JSON.stringify(event)}\n`).join('');
    return `report ${bytesText(report.value)}\n${events}`;
  });
  const size = read.reduce((sum, each) => sum + each.size, 0);
  return `${kind}, ${size} bytes, ${controls.length} controls\n${lines.join('')}${said.join('')}`;
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
