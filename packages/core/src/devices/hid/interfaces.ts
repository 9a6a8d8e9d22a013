import type { Descriptor } from './descriptor.ts';
import { parseDescriptor } from './parseDescriptor.ts';
import { bytesText, readBytes } from './readBytes.ts';

/** Parts the descriptors of a device's interfaces where they are kept as one text. */
const BETWEEN = ' / ';

/** More interfaces than this no device of ours has: a report cannot tell by which it came. Common practice, no source. */
export const MOST_INTERFACES = 8;

/** The descriptors of a device's interfaces as one text, in their order. */
export function interfacesText(descriptors: readonly Uint8Array[]): string {
  return descriptors.map(bytesText).join(BETWEEN);
}

/** What was kept by `interfacesText`, read; null where one of them is none. */
export function readInterfaces(text: string): readonly Descriptor[] | null {
  const read = text.split(BETWEEN).map((part) => {
    const bytes = readBytes(part);
    const parsed = bytes.ok ? parseDescriptor(bytes.value) : null;
    return parsed?.ok ? parsed.value : null;
  });
  const all = read.flatMap((descriptor) => descriptor ?? []);
  return all.length === read.length ? all : null;
}
