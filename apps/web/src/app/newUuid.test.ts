import { webcrypto } from 'node:crypto';
import { z } from 'zod';
import { newUuid } from './newUuid.ts';

test.each([
  ['with what browsers give at encrypted addresses', webcrypto],
  ['without', { getRandomValues: <A extends Uint8Array>(array: A) => webcrypto.getRandomValues(array) }],
])('%s there are UUIDs of version 4, all different', (_name, given) => {
  const before = Object.getOwnPropertyDescriptor(globalThis, 'crypto');
  Object.defineProperty(globalThis, 'crypto', { value: given, configurable: true });
  try {
    const made = Array.from({ length: 200 }, newUuid);
    expect(made.filter((each) => !z.uuidv4().safeParse(each).success)).toEqual([]);
    expect(new Set(made).size).toBe(200);
  } finally {
    if (before) Object.defineProperty(globalThis, 'crypto', before);
  }
});
