/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { PassingNotice } from './PassingNotice.tsx';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** A field at a place of the window, left with a value that is refused. */
function refusedAt(box: { top: number; left: number } | null) {
  render(<input aria-label="Name" />);
  const input = screen.getByRole('textbox');
  const place = box ?? { top: 0, left: 0 };
  const size = { width: box ? 180 : 0, height: box ? 32 : 0 };
  input.getBoundingClientRect = () =>
    ({ ...place, ...size, bottom: place.top + size.height, right: place.left + size.width }) as DOMRect;
  fireEvent.focusIn(input);
  fireEvent.blur(input);
  let gone = 0;
  const onGone = () => {
    gone += 1;
  };
  render(<PassingNotice onGone={onGone}>Taken already.</PassingNotice>);
  const notice = screen.getByText('Taken already.');
  return { notice, gone: () => gone };
}

test.each([
  ['below its field', { top: 100, left: 200 }, { top: '138px', left: '200px' }],
  ['within the window on the right', { top: 100, left: 980 }, { top: '138px', left: '598px' }],
  ['above it at the bottom', { top: 730, left: 200 }, { bottom: '44px', left: '200px' }],
  ['in the corner for one that is gone', null, { top: '56px', right: '16px' }],
])('it stands %s', (_where, box, place) => {
  // jsdom's window is 1024 by 768.
  expect(refusedAt(box).notice.style).toMatchObject(place);
});

test('it goes by itself, but not while the pointer or the keys are on it', () => {
  const { notice, gone } = refusedAt({ top: 100, left: 200 });
  act(() => jest.advanceTimersByTime(14_000));
  fireEvent.pointerEnter(notice);
  act(() => jest.advanceTimersByTime(60_000));
  expect(gone()).toBe(0);
  fireEvent.pointerLeave(notice);
  act(() => jest.advanceTimersByTime(15_000));
  expect(gone()).toBe(1);
});
