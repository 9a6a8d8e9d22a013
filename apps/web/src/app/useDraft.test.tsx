/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { useDraft } from './useDraft.ts';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function Field({ saved, save }: { saved: string; save: (text: string) => void }) {
  return <input {...useDraft(saved, save)} />;
}

function field(saved = 'Wing') {
  const written: string[] = [];
  const save = (text: string) => written.push(text);
  const { rerender, unmount } = render(<Field saved={saved} save={save} />);
  const input = screen.getByRole<HTMLInputElement>('textbox');
  return {
    input,
    written,
    unmount,
    type: (text: string) => fireEvent.change(input, { target: { value: text } }),
    press: (key: string) => fireEvent.keyDown(input, { key }),
    leave: () => fireEvent.blur(input),
    savedNow: (text: string) => rerender(<Field saved={text} save={save} />),
  };
}

test('it is saved after a pause in typing, once', () => {
  const { type, written, savedNow } = field();
  type('Wings');
  act(() => jest.advanceTimersByTime(500));
  type('Wings, left');
  act(() => jest.advanceTimersByTime(899));
  expect(written).toEqual([]);
  act(() => jest.advanceTimersByTime(1));
  expect(written).toEqual(['Wings, left']);
  savedNow('Wings, left');
  act(() => jest.advanceTimersByTime(10_000));
  expect(written).toHaveLength(1);
});

test('it is saved at Enter, when it is left, and when what it is about goes from the screen', () => {
  const entered = field();
  entered.type('A');
  entered.press('Enter');
  expect(entered.written).toEqual(['A']);
  entered.unmount();
  const left = field();
  left.type('B');
  left.leave();
  expect(left.written).toEqual(['B']);
  left.unmount();
  const gone = field();
  gone.type('C');
  gone.unmount();
  expect(gone.written).toEqual(['C']);
});

/** A field that goes when it is saved, as one that is named after what was typed. */
function Vanishing({ save }: { save: (text: string) => void }) {
  const [there, setThere] = useState(true);
  const onSave = (text: string) => {
    save(text);
    setThere(false);
  };
  return there ? <Field saved="Wing" save={onSave} /> : null;
}

test.each([
  ['Enter', (press: (key: string) => void) => press('Enter')],
  ['a pause', () => act(() => jest.advanceTimersByTime(1000))],
])('a field that its own saving takes away, at %s, is saved once', (_when, save) => {
  const written: string[] = [];
  render(<Vanishing save={(text) => written.push(text)} />);
  const input = screen.getByRole('textbox');
  fireEvent.change(input, { target: { value: 'Tail' } });
  save((key) => fireEvent.keyDown(input, { key }));
  expect(screen.queryByRole('textbox')).toBeNull();
  expect(written).toEqual(['Tail']);
});

test('Escape goes back to what is saved; what another page saved does not take away what is being typed', () => {
  const { input, type, press, savedNow, leave, written } = field();
  type('Feather');
  savedNow('Beak');
  expect(input.value).toBe('Feather');
  press('Escape');
  expect(input.value).toBe('Beak');
  leave();
  expect(written).toEqual([]);
});
