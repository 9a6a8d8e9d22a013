import { EMPTY_RECORDING, type Recording, type RecordingRules, recordKey } from './recorder.ts';
import { BARE, formatShortcut, keyByCode } from './shortcut.ts';

const run = (keys: string): Recording =>
  keys
    .split(' ')
    .reduce(
      (recording, key) => recordKey(recording, { down: key[0] === '+', code: key.slice(1) }),
      EMPTY_RECORDING,
    );
const text = (recording: Recording) => recording.taken && formatShortcut(recording.taken);

test.each([
  ['+KeyA -KeyA', 'A'],
  ['+ControlLeft +KeyZ -KeyZ -ControlLeft', 'Ctrl+Z'],
  ['+ControlRight +ShiftRight +KeyZ -ControlRight -KeyZ -ShiftRight', 'Ctrl+Shift+Z'],
  ['+ShiftLeft -ShiftLeft', 'Shift'],
  ['+KeyA +KeyA +KeyA -KeyA', 'A'],
  ['+KeyA -KeyA +KeyB -KeyB', 'B'],
  ['+ControlLeft +KeyK -KeyK +KeyS -KeyS -ControlLeft', 'Ctrl+S'],
])('%s records %s', (keys, shortcut) => {
  expect(text(run(keys))).toBe(shortcut);
});

test('nothing is taken while a key is down, and modifiers show as they go down', () => {
  const recording = run('+ControlLeft +ShiftLeft');
  expect(recording.taken).toBeNull();
  expect(recording.seen).toMatchObject({ ctrl: true, shift: true, key: null });
});

test('a key outside the table is named and takes nothing', () => {
  const recording = run('+LaunchRocket -LaunchRocket');
  expect(recording.unknown).toBe('LaunchRocket');
  expect(recording.taken).toBeNull();
});

const withAltGr = (phantomCtrl: boolean) => {
  const rules = {
    meaningOf: ({ code, held }: Parameters<RecordingRules['meaningOf']>[0]) => ({
      ...held,
      key: keyByCode(code),
    }),
    phantomCtrl,
  };
  return ['ControlLeft', 'AltRight', 'KeyE'].reduce(
    (recording, code) =>
      recordKey(recording, { down: true, code, value: code === 'AltRight' ? 'AltGraph' : '' }, rules),
    EMPTY_RECORDING,
  );
};

test('Ctrl before AltGr is nobody’s where the system says it by itself, and the person’s elsewhere', () => {
  expect(formatShortcut(withAltGr(true).seen ?? { ...BARE, key: null })).toBe('AltGr+E');
  expect(formatShortcut(withAltGr(false).seen ?? { ...BARE, key: null })).toBe('Ctrl+AltGr+E');
});
