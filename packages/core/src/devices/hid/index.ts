export {
  type Decoded,
  type Decoder,
  decodeReport,
  decoderFor,
  type HeardEvent,
  type HeardState,
  NOTHING_HEARD,
  reportSize,
} from './decode.ts';
export {
  type DescribedDevice,
  type DescribedInterfaces,
  describedDevice,
  describedInterfaces,
} from './describedDevice.ts';
export type { Collection, Descriptor, Field } from './descriptor.ts';
export { interfacesText, MOST_INTERFACES, readInterfaces } from './interfaces.ts';
export type { DescriptorProblem } from './items.ts';
export { parseDescriptor } from './parseDescriptor.ts';
export { type BytesProblem, bytesText, readBytes } from './readBytes.ts';
export { SAMPLES, type Sample } from './samples.ts';
export { pageName, type Usage, usageName } from './usages.ts';
export { fromWebHid, type WebHidCollection } from './webHid.ts';
