import fc from 'fast-check';
import { readBytes, readInterfaces } from '../devices/hid/index.ts';
import { readCommandList, readEventLines, readSetupDocument } from '../formats/index.ts';
import { parsePointer, parseSteps } from '../keys/index.ts';
import { readList } from '../programs/index.ts';
import { TRYING_PIECES, takesLinearTime } from './linearTime.ts';

const clock = () => performance.now();

/** Everything that reads a text of any length; what is read of windows by rules is short. */
const READERS = {
  'a list': readList,
  'bytes of a descriptor': readBytes,
  'descriptors of interfaces': readInterfaces,
  'a shortcut': parseSteps,
  'a use of the pointer': parsePointer,
  'a set-up': readSetupDocument,
  'a command list': readCommandList,
  events: readEventLines,
} satisfies Record<string, (text: string) => unknown>;

/** A few pieces over and over, each as often as it likes, between a beginning and an end. */
const texts = fc
  .tuple(
    fc.constantFrom('', 'a', '- a', '| a', '{"', '<li>a'),
    fc.array(fc.constantFrom(...TRYING_PIECES), { minLength: 1, maxLength: 3 }),
    fc.constantFrom('', 'x', '\nx'),
  )
  .map(([begin, pieces, end]) => (size: number) => {
    const round = pieces.join('');
    return `${begin}${round.repeat(Math.ceil(size / round.length))}${end}`;
  });

test.each(Object.entries(READERS))('reading %s takes twice as long for twice as much', (_name, read) => {
  fc.assert(
    fc.property(texts, (textOf) => takesLinearTime(read, textOf, 4000, clock)),
    { numRuns: 60 },
  );
});

test('one that is quadratic is found out', () => {
  const blanks = (size: number) => `a${' '.repeat(size)}x`;
  expect(takesLinearTime((text) => /\s*:\s+$/.test(text), blanks, 2000, clock)).toBe(false);
});
