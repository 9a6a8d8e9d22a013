import { pairSchema, rightsSchema } from './pairing.ts';

test.each([
  ['482913', '482913'],
  [' 482 913 ', '482913'],
  ['48 29 13', '482913'],
])('%j is the code %s', (typed, code) => {
  expect(pairSchema.parse({ code: typed, name: 'Tablet' })).toEqual({ code, name: 'Tablet' });
});

test.each(['', '48291', '4829130', '48291a', '٤٨٢٩١٣', '482-913', `${' '.repeat(20)}482913`])(
  '%j is no code',
  (typed) => {
    expect(pairSchema.safeParse({ code: typed, name: 'Tablet' }).success).toBe(false);
  },
);

test('rights of a panel name it; nothing else may stand in them', () => {
  expect(rightsSchema.safeParse({ may: 'panel' }).success).toBe(false);
  expect(rightsSchema.safeParse({ may: 'everything', device: 'wall-panel' }).success).toBe(false);
  expect(rightsSchema.safeParse({ may: 'panel', setUp: 'saltmarsh', device: '../x' }).success).toBe(false);
  expect(rightsSchema.safeParse({ may: 'panel', setUp: 'saltmarsh', device: 'wall-panel' }).success).toBe(
    true,
  );
});
