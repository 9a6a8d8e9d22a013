import { PREFIX } from './keptEntries.ts';
import { waitingSetUps } from './waitingSetUps.ts';

const before = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
const store = (get: () => unknown) =>
  Object.defineProperty(globalThis, 'localStorage', { configurable: true, get });
afterEach(() => {
  if (before) Object.defineProperty(globalThis, 'localStorage', before);
  else Reflect.deleteProperty(globalThis, 'localStorage');
});

test('each set-up that a page left edits of is named once; what else is kept is not', () => {
  store(() => ({
    [`${PREFIX}loft:page-1`]: '{}',
    [`${PREFIX}loft:page-2`]: '{}',
    [`${PREFIX}travel-bag:page-1`]: '{}',
    'nimble-lever:keyboard': '{}',
  }));
  expect([...waitingSetUps()]).toEqual(['loft', 'travel-bag']);
});

test('where the browser keeps nothing, none waits', () => {
  store(() => {
    throw new DOMException('forbidden', 'SecurityError');
  });
  expect(waitingSetUps().size).toBe(0);
});
