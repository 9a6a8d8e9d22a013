import type { Destination } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Where what a device sends now goes: to a program (null: the one in front) of the computer it talks to. */
export function destinationOf(context: StepContext, device: string, program: string | null): Destination {
  return { device, program, computer: computerOf(context, device) };
}

/** The computer a device talks to, by name; null for this one, which is the first of its list. */
function computerOf({ state, compiled }: StepContext, device: string): string | null {
  const at = state.computers[device] ?? 0;
  return at === 0 ? null : (compiled.settings.get(device)?.computers[at] ?? null);
}
