import type { Heard } from '@nimble-lever/core/desks';
import fc from 'fast-check';
import { SLIDE_MS, Slides } from './slides.ts';

const [A, B] = ['a', 'b'];
type Message = Extract<Heard, { kind: 'remote-input' }>;

const slide = (seq: number, control = 'fader', remote = A): Message => ({
  kind: 'remote-input',
  remote,
  seq,
  t: seq,
  input: { kind: 'position', device: 'panel', control, value: 0.5 },
});

/** A desk that keeps what it is sent, and when. */
function desk() {
  const got: { at: number; seq: number; control: string }[] = [];
  const slides = new Slides({
    isBusy: () => false,
    send: (message) => {
      if (message.kind !== 'remote-input') return;
      got.push({ at: performance.now(), seq: message.seq, control: message.input.control });
    },
  });
  return { slides, got, seqs: () => got.map(({ seq }) => seq) };
}

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('the first value goes on at once; of those that come soon after it, the newest', () => {
  const { slides, seqs } = desk();
  for (const seq of [1, 2, 3]) slides.add(slide(seq));
  expect(seqs()).toEqual([1]);
  jest.advanceTimersByTime(SLIDE_MS);
  expect(seqs()).toEqual([1, 3]);
});

test('a slow slider goes on as it is', () => {
  const { slides, seqs } = desk();
  for (const seq of [1, 2, 3]) {
    slides.add(slide(seq));
    jest.advanceTimersByTime(SLIDE_MS);
  }
  expect(seqs()).toEqual([1, 2, 3]);
});

test('what a remote does next does not overtake its sliders; those of others wait on', () => {
  const { slides, seqs } = desk();
  for (const seq of [1, 2]) slides.add(slide(seq));
  for (const seq of [3, 4]) slides.add(slide(seq, 'fader', B));
  slides.flush(A);
  expect(seqs()).toEqual([1, 3, 2]);
  slides.end(B);
  expect(seqs()).toEqual([1, 3, 2, 4]);
});

test('of a desk that went nothing is kept', () => {
  const { slides, seqs } = desk();
  for (const seq of [1, 2]) slides.add(slide(seq));
  slides.stop();
  jest.advanceTimersByTime(1000);
  expect(seqs()).toEqual([1]);
});

test('whatever comes when: each slider ends where it came to rest, in order, and not more often than it may', () => {
  const gaps = fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 1, maxLength: 100 });
  fc.assert(
    fc.property(gaps, fc.constantFrom(['a'], ['a', 'b'], ['a', 'b', 'c']), (times, controls) => {
      const { slides, got } = desk();
      times.forEach((gap, i) => {
        jest.advanceTimersByTime(gap);
        slides.add(slide(i, controls[i % controls.length]));
      });
      jest.advanceTimersByTime(1000);
      controls.forEach((control, c) => {
        const own = got.filter((each) => each.control === control);
        const seqs = own.map(({ seq }) => seq);
        expect(seqs).toEqual(seqs.toSorted((a, b) => a - b));
        expect(seqs.at(-1)).toBe(times.map((_, i) => i).findLast((i) => i % controls.length === c));
        own.slice(1).forEach(({ at }, i) => {
          expect(at - (own[i]?.at ?? 0)).toBeGreaterThanOrEqual(SLIDE_MS);
        });
      });
    }),
  );
});
