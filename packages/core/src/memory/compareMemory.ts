import type { MemoryDoes, MemoryEntry } from './memoryEntry.ts';

/** One control's trigger as the device has it and as the set-up would store it. */
export interface MemoryDifference {
  readonly control: string;
  readonly trigger: MemoryEntry['trigger'];
  /** Null for nothing. */
  readonly stored: MemoryDoes | null;
  readonly wanted: MemoryDoes | null;
  readonly same: boolean;
}

/** Compares what a device has stored with what would be stored now; in the order of what is wanted, then the rest. */
export function compareMemory(
  stored: readonly MemoryEntry[],
  wanted: readonly MemoryEntry[],
): readonly MemoryDifference[] {
  const keyOf = ({ control, trigger }: MemoryEntry) => `${control}/${trigger}`;
  const before = new Map(stored.map((entry) => [keyOf(entry), entry]));
  const after = new Map(wanted.map((entry) => [keyOf(entry), entry]));
  return [...after.keys(), ...[...before.keys()].filter((key) => !after.has(key))].flatMap((key) => {
    const [old, next] = [before.get(key), after.get(key)];
    const known = next ?? old;
    if (!known) return [];
    const { control, trigger } = known;
    const same = JSON.stringify(old?.does) === JSON.stringify(next?.does);
    return [{ control, trigger, stored: old?.does ?? null, wanted: next?.does ?? null, same }];
  });
}
