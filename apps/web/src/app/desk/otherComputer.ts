import type { RootState } from '../store.ts';

/** The computer a device talks to, by name, where that is not this one; else null. */
export function otherComputer({ engine, setup }: RootState, device: string): string | null {
  const at = engine.engine.computers[device] ?? 0;
  if (at === 0) return null;
  const { computers } = setup.setup?.devices.find(({ id }) => id === device)?.settings ?? { computers: [] };
  return computers[at] ?? null;
}
