import type { Device } from '@nimble-lever/core/devices';
import {
  bytesText,
  type Decoder,
  type Descriptor,
  decoderFor,
  describedInterfaces,
  interfacesText,
  parseDescriptor,
  readBytes,
} from '@nimble-lever/core/devices/hid';
import { bytesProblemWords, descriptorProblemWords } from '@nimble-lever/core/words';

/** Descriptors that were read: the device they make, and how its reports are decoded. */
export interface Read {
  /** Of all descriptors. */
  readonly bytes: number;
  /** In one spelling, to be kept. */
  readonly text: string;
  readonly device: Device;
  /** One for each descriptor. */
  readonly decoders: readonly Decoder[];
}

/** Why a descriptor is none, in words, and which of them. */
export interface Unread {
  readonly at: number;
  readonly words: string;
}

/** Reads what was pasted or dropped, a text for each interface of one device. */
export function readDescribed(texts: readonly string[]): Read | Unread {
  const bytes: Uint8Array[] = [];
  const descriptors: Descriptor[] = [];
  for (const [at, text] of texts.entries()) {
    const read = readBytes(text);
    if (!read.ok) return { at, words: bytesProblemWords(read.problem) };
    const parsed = parseDescriptor(read.value);
    if (!parsed.ok) return { at, words: descriptorProblemWords(parsed.problem) };
    bytes.push(read.value);
    descriptors.push(parsed.value);
  }
  const { device, interfaces } = describedInterfaces(descriptors, 'new', 'New device');
  return {
    bytes: bytes.reduce((sum, { length }) => sum + length, 0),
    text: interfacesText(bytes),
    device,
    decoders: descriptors.flatMap((descriptor, i) => {
      const own = interfaces[i];
      return own ? [decoderFor(descriptor, own)] : [];
    }),
  };
}

/** A dropped file as text: as it is, or its bytes as hexadecimal numbers. */
export function fileText(data: Uint8Array): string {
  const isText = data.every((byte) => byte === 9 || byte === 10 || byte === 13 || (byte >= 32 && byte < 127));
  return isText ? new TextDecoder('latin1').decode(data) : bytesText(data);
}
