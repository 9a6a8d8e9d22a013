/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { useCalm } from './useCalm.ts';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Small is what stays in the same ten. */
const isSmall = (a: number, b: number) => Math.floor(a / 10) === Math.floor(b / 10);
const Shown = ({ value }: { value: number }) => <p>{useCalm(value, isSmall, 300)}</p>;

test('small changes show now and then, the last of them always; any other at once', () => {
  const { rerender } = render(<Shown value={1} />);
  const text = () => screen.getByRole('paragraph').textContent;
  const to = (value: number) => rerender(<Shown value={value} />);
  to(2);
  to(3);
  expect(text()).toBe('1');
  act(() => void jest.advanceTimersByTime(200));
  to(4);
  act(() => void jest.advanceTimersByTime(100));
  expect(text()).toBe('4');
  to(5);
  to(25);
  expect(text()).toBe('25');
  to(26);
  act(() => void jest.advanceTimersByTime(300));
  expect(text()).toBe('26');
});
