import type { Device } from '../devices/index.ts';
import { TRIGGERS } from '../devices/index.ts';
import { KEY_BY_CODE, KEY_TABLE } from '../keys/index.ts';
import { LAYOUT_IDS } from '../keys/layouts/list.ts';
import { ok, type Result, refuse } from '../result.ts';
import type { Memory, MemoryDoes, MemoryEntry } from './memoryEntry.ts';

/**
 * The bytes of a memory slot: `4E 4C 02`, the number of the keyboard layout its keys were chosen for (its place in the
 * list of layouts, from 1; 0 for none known), how many entries, the entries, and a check byte that makes the sum of all
 * bytes 0 modulo 256. An entry is the control's place in the device's list, the trigger's in `TRIGGERS`, then what it
 * does (upper half: its kind, lowest bit: held), how many words follow, and those, high byte first. A key is its HID
 * usage page (two bits: keyboard 0, consumer 1, desktop 2) and id (fourteen bits); `FFFF` parts chords.
 */
const MAGIC = [0x4e, 0x4c] as const;
/** Version 1 said nothing of the layout. */
const VERSION = 2;
/** Kinds by their number in the memory; their order is part of the format. */
const KINDS = ['nothing', 'keys', 'steps', 'button', 'wheel'] as const;
const PAGES = [0x07, 0x0c, 0x01] as const;
const PART = 0xffff;
/** The word for no tick: ticks are kept with this added. */
const TICKS_AT = 0x80;

/** Bytes of a slot besides its entries. */
export const MEMORY_FRAME = 6;
const OLD_FRAME = 5;

/** Whether the key is one that a device can send by itself. */
export function hasUsage(code: string): boolean {
  return wordOf(code) !== null;
}

/** A key as two bytes; null for one that no device can send by itself. */
function wordOf(code: string): number | null {
  const usage = KEY_BY_CODE.get(code)?.usage;
  const page = usage ? (PAGES as readonly number[]).indexOf(usage.page) : -1;
  return usage && page >= 0 && usage.id < 0x4000 ? (page << 14) | usage.id : null;
}

/** A key's code from its word in the memory. */
const CODE_BY_WORD = new Map(KEY_TABLE.map(({ code }) => [wordOf(code), code]));

/** What an entry does, as two-byte words. */
function wordsOf(does: MemoryDoes): readonly number[] {
  const words = (codes: readonly string[]) => codes.flatMap((code) => wordOf(code) ?? []);
  switch (does.kind) {
    case 'keys':
      return words(does.codes);
    case 'steps':
      return does.chords.flatMap((chord, i) => (i === 0 ? words(chord) : [PART, ...words(chord)]));
    case 'button':
      return [does.button];
    case 'wheel':
      return [does.axis === 'vertical' ? 0 : 1, does.ticks + TICKS_AT];
    case 'nothing':
      return [];
  }
}

/** How many bytes an entry takes. */
export function entryBytes({ does }: MemoryEntry): number {
  return 4 + 2 * wordsOf(does).length;
}

/** A slot's bytes for a memory of a device. Entries of controls it does not have are left out. */
export function writeMemory(device: Device, { layout, entries }: Memory): Uint8Array {
  const body = entries.flatMap(({ control, trigger, does }) => {
    const at = device.controls.findIndex(({ id }) => id === control);
    if (at < 0) return [];
    const held = 'held' in does && does.held ? 1 : 0;
    const words = wordsOf(does);
    const head = [at, TRIGGERS.indexOf(trigger), (KINDS.indexOf(does.kind) << 4) | held, words.length];
    return [...head, ...words.flatMap((word) => [word >> 8, word & 0xff])];
  });
  const number = LAYOUT_IDS.indexOf(layout ?? '') + 1;
  const bytes = [...MAGIC, VERSION, number, entries.length, ...body];
  const sum = bytes.reduce((total, byte) => (total + byte) & 0xff, 0);
  return Uint8Array.from([...bytes, (0x100 - sum) & 0xff]);
}

/**
 * What is wrong with bytes that were read back: nothing was stored, they are damaged, of another device, or of a newer
 * version than is known.
 */
export type MemoryProblem = 'empty' | 'damaged' | 'other-device' | 'newer';

/** Reads a slot's bytes back. */
export function readMemory(device: Device, bytes: Uint8Array): Result<Memory, MemoryProblem> {
  if (bytes.length === 0) return refuse('empty');
  const sum = bytes.reduce((total, byte) => (total + byte) & 0xff, 0);
  const version = bytes[MAGIC.length];
  const frame = version === 1 ? OLD_FRAME : MEMORY_FRAME;
  if (bytes.length < frame || sum !== 0 || MAGIC.some((byte, i) => bytes[i] !== byte)) {
    return refuse('damaged');
  }
  if (version !== 1 && version !== VERSION) return refuse('newer');
  const layout = version === 1 ? null : (LAYOUT_IDS[(bytes[MAGIC.length + 1] ?? 0) - 1] ?? null);
  const entries: MemoryEntry[] = [];
  let at = frame - 1;
  for (let i = 0; i < (bytes[frame - 2] ?? 0); i++) {
    const [place = 0, use = 0, kind = 0, count = 0] = bytes.subarray(at, at + 4);
    const end = at + 4 + 2 * count;
    if (end > bytes.length - 1) return refuse('damaged');
    const words = Array.from({ length: count }, (_, w) => {
      const from = at + 4 + 2 * w;
      return ((bytes[from] ?? 0) << 8) | (bytes[from + 1] ?? 0);
    });
    const control = device.controls[place];
    const trigger = TRIGGERS[use];
    const does = doesOf(kind, words);
    if (!control || !trigger) return refuse('other-device');
    if (!does) return refuse('damaged');
    entries.push({ control: control.id, trigger, does });
    at = end;
  }
  return at === bytes.length - 1 ? ok({ layout, entries }) : refuse('damaged');
}

/** Read back; null for a kind this version does not know. */
function doesOf(byte: number, words: readonly number[]): MemoryDoes | null {
  const held = (byte & 1) === 1;
  const codes = (some: readonly number[]) => some.flatMap((word) => CODE_BY_WORD.get(word) ?? []);
  switch (KINDS[byte >> 4]) {
    case 'keys':
      return { kind: 'keys', held, codes: codes(words) };
    case 'steps': {
      const chords: number[][] = [[]];
      for (const word of words) {
        if (word === PART) chords.push([]);
        else chords.at(-1)?.push(word);
      }
      return { kind: 'steps', chords: chords.map(codes) };
    }
    case 'button':
      return { kind: 'button', held, button: words[0] ?? 0 };
    case 'wheel':
      return {
        kind: 'wheel',
        axis: words[0] === 0 ? 'vertical' : 'horizontal',
        ticks: (words[1] ?? TICKS_AT) - TICKS_AT,
      };
    case 'nothing':
      return { kind: 'nothing' };
    default:
      return null;
  }
}
