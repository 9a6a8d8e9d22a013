import {
  bytesText,
  type Decoder,
  type DescribedDevice,
  decoderFor,
  describedDevice,
  parseDescriptor,
  readBytes,
} from '@nimble-lever/core/devices/hid';
import { bytesProblemWords, descriptorProblemWords } from '@nimble-lever/core/words';

/** A descriptor that was read: the device it makes, and how its reports are decoded. */
export interface Read {
  /** The descriptor. */
  readonly bytes: Uint8Array;
  /** As it was typed, to be known again. */
  readonly text: string;
  readonly described: DescribedDevice;
  /** Null where its reports cannot be read. */
  readonly decoder: Decoder;
}

/** Reads what was pasted or dropped; a text in words where it is no descriptor. */
export function readDescribed(text: string): Read | string {
  const read = readBytes(text);
  if (!read.ok) return bytesProblemWords(read.problem);
  const parsed = parseDescriptor(read.value);
  if (!parsed.ok) return descriptorProblemWords(parsed.problem);
  const described = describedDevice(parsed.value, 'new', 'New device');
  return {
    bytes: read.value,
    text: bytesText(read.value),
    described,
    decoder: decoderFor(parsed.value, described),
  };
}

/** A dropped file as text: as it is, or its bytes as hexadecimal numbers. */
export function fileText(data: Uint8Array): string {
  const isText = data.every((byte) => byte === 9 || byte === 10 || byte === 13 || (byte >= 32 && byte < 127));
  return isText ? new TextDecoder('latin1').decode(data) : bytesText(data);
}
