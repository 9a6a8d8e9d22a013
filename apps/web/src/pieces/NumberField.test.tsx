/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { NumberField } from './NumberField.tsx';

interface Range {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
}

/** A field whose value its owner takes over. */
function Owner({ range, onTaken }: { range: Range; onTaken: (value: number) => void }) {
  const [value, setValue] = useState(range.value);
  const onChange = (next: number) => {
    onTaken(next);
    setValue(next);
  };
  return <NumberField label="Speed" {...range} value={value} onChange={onChange} />;
}

function field(range: Range) {
  const taken: number[] = [];
  render(<Owner range={range} onTaken={(value) => taken.push(value)} />);
  const input = screen.getByRole<HTMLInputElement>('textbox', { name: 'Speed' });
  const type = (text: string) => fireEvent.change(input, { target: { value: text } });
  const press = (key: string) => fireEvent.keyDown(input, { key });
  return { input, taken, type, press, leave: () => fireEvent.blur(input) };
}

test.each([
  ['12', [12], '12'],
  ['10', [], '10'],
  ['2', [], '10'],
  ['101', [], '10'],
  ['12.5', [], '10'],
  ['a dozen', [], '10'],
  [' ', [], '10'],
])('“%s” in a field of whole numbers from 5 to 100 that had 10', (text, expected, shown) => {
  const { input, taken, type, leave } = field({ value: 10, min: 5, max: 100 });
  type(text);
  const wrong = expected.length === 0 && text !== '10';
  expect(input.getAttribute('aria-invalid')).toBe(String(wrong));
  expect(screen.queryByRole('alert')?.textContent).toBe(wrong ? 'A whole number from 5 to 100' : undefined);
  leave();
  expect([taken, input.value]).toEqual([expected, shown]);
});

test('a comma is a decimal point; Enter takes, Escape goes back', () => {
  const { input, taken, type, press } = field({ value: 1, min: 0, max: 2, whole: false });
  type('1,5');
  press('Enter');
  type('0.7');
  press('Escape');
  expect([taken, input.value]).toEqual([[1.5], '1.5']);
});

test('arrow keys step, and stop at the ends', () => {
  const { taken, press } = field({ value: 99, min: 5, max: 100 });
  press('ArrowUp');
  press('ArrowUp');
  press('ArrowDown');
  expect(taken).toEqual([100, 99]);
});
