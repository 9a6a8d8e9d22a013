import type { BytesProblem, DescriptorProblem } from '../devices/hid/index.ts';

/** Why a descriptor cannot be read, as the end of a sentence. */
const REASONS: Readonly<Record<DescriptorProblem['code'], string>> = {
  'descriptor-empty': 'there is nothing in it',
  'descriptor-too-long': 'it is longer than any descriptor may be',
  'item-cut-off': 'an item is cut off; bytes are missing at the end',
  'collection-not-open': 'a collection ends that was not begun',
  'collection-not-closed': 'a collection was not ended; bytes are missing at the end',
  'pop-without-push': 'it goes back to settings that were never kept',
  'report-id-zero': 'a report is numbered 0 or beyond 255, which may not be',
  'report-too-long': 'a report is longer than any may be',
  'too-many-fields': 'it has more fields than we take',
  'nested-too-deep': 'collections are inside each other too deep',
  'delimiter-nested': 'a set of choices begins inside another',
};

/** Why bytes are no report descriptor, with the place of the byte. */
export function descriptorProblemWords({ code, at }: DescriptorProblem): string {
  return `This is not a whole report descriptor: at byte ${at}, ${REASONS[code]}.`;
}

/** Why a text holds no bytes. */
export function bytesProblemWords({ code, token, at }: BytesProblem): string {
  const where = `At character ${at + 1}, “${token}”`;
  switch (code) {
    case 'bytes-none':
      return 'There are no bytes here. Paste them as hexadecimal numbers, such as 05 01 09 02.';
    case 'bytes-not-hex':
      return `${where} is not a hexadecimal number.`;
    case 'bytes-half':
      return `${where} has an odd number of digits; a byte has two.`;
    case 'bytes-too-large':
      return `${where} is more than one byte.`;
  }
}
