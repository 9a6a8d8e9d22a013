import type { Setup } from './setup.ts';

/** Whether there is nothing yet to arrange: no device, no program, or nothing that any control does. */
export function isBeginning({ devices, programs, profiles }: Setup): boolean {
  if (devices.length === 0 || programs.length === 0) return true;
  return Object.values(profiles).every(({ bindings }) => Object.keys(bindings).length === 0);
}
