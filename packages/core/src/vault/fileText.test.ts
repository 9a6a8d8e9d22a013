import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { fileText, MOST_FILE_BYTES, tooLargeWords } from './fileText.ts';

const zip = (files: Record<string, Uint8Array>) => zipSync(files, { level: 9 });
const bytesOf = (text: string) => new TextEncoder().encode(text);

test('a text is read as it is, and the one set-up that is packed with other things', () => {
  expect(fileText(bytesOf('{"a":1}'))).toEqual({ text: '{"a":1}' });
  const packed = zip({ 'read me.txt': strToU8('hello'), 'loft.json': strToU8('{"a":2}') });
  expect(fileText(packed)).toEqual({ text: '{"a":2}' });
});

test.each([
  ['two of them', zip({ 'a.json': strToU8('{}'), 'b.json': strToU8('{}') }), 'Several files'],
  ['none', zip({ 'a.txt': strToU8('{}') }), 'no set-up packed'],
  ['one that is cut off', zip({ 'a.json': strToU8('x'.repeat(500)) }).subarray(0, 60), 'damaged'],
  ['no text', new Uint8Array([0xff, 0xfe, 0x00]), 'no text in UTF-8'],
])('%s is refused in words', (_name, bytes, words) => {
  expect(fileText(bytes)).toEqual({ why: expect.stringContaining(words) });
});

test('however many are packed in it, no more than the first is unpacked', () => {
  const large = new Uint8Array(5_000_000);
  const packed = zip({ 'a.json': strToU8('{}'), 'b.json': large, 'c.json': large, 'd.json': large });
  const before = process.memoryUsage().arrayBuffers;
  expect(fileText(packed)).toEqual({ why: expect.stringContaining('Several files') });
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(5_000_000);
});

test('one that says it is larger than is read is not unpacked', () => {
  const packed = zip({ 'a.json': strToU8('{}') });
  // Its size in the list at the end (APPNOTE.TXT, 4.3.12).
  const entry = Buffer.from(packed).indexOf('PK\x01\x02');
  new DataView(packed.buffer).setUint32(entry + 24, MOST_FILE_BYTES + 1, true);
  expect(fileText(packed)).toEqual({ why: 'What is packed in it is larger than 50 MB.' });
  expect(tooLargeWords(MOST_FILE_BYTES + 1)).toBe('The file has 51 MB; up to 50 MB are read.');
  expect(tooLargeWords(MOST_FILE_BYTES)).toBeNull();
});

test('whatever bytes come, there is a text or a reason', () => {
  const packed = zip({ 'a.json': strToU8('{"a":[1,2,3]}'.repeat(9)) });
  fc.assert(
    fc.property(fc.nat(packed.length - 1), fc.uint8Array({ maxLength: 9 }), (at, noise) => {
      const given = packed.slice();
      given.set(noise.subarray(0, given.length - at), at);
      const read = fileText(given);
      expect('text' in read || read.why.length > 10).toBe(true);
    }),
  );
});
