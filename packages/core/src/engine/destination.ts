import { EVERYWHERE } from '../setup/index.ts';
import type { Compiled } from './compile.ts';
import type { Destination, EngineState } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Where what a device sends now goes: to a program (null: the one in front) of the computer it talks to. */
export function destinationOf(
  { compiled, state }: StepContext,
  device: string,
  program: string | null,
): Destination {
  return { device, program, computer: computerOf(compiled, state, device) };
}

/** The computer a device talks to, by name; null for this one, which is the first of its list. */
export function computerOf(compiled: Compiled, { computers }: EngineState, device: string): string | null {
  const at = computers[device] ?? 0;
  return at === 0 ? null : (compiled.settings.get(device)?.computers[at] ?? null);
}

/** The profile that decides for a device: that of the computer it talks to. */
export function profileFor(compiled: Compiled, state: EngineState, device: string): string {
  return profileAt(state, computerOf(compiled, state, device));
}

/** The profile at a computer, null for this one. Where nothing is known of its windows only Everywhere can apply. */
export function profileAt({ profile, pinned, elsewhere }: EngineState, computer: string | null): string {
  return computer === null ? profile : (elsewhere[computer]?.profile ?? pinned ?? EVERYWHERE);
}

/** The program in front at a computer, null for this one; null where none is, or nothing is known. */
export function programAt({ frontProgram, elsewhere }: EngineState, computer: string | null): string | null {
  return computer === null ? frontProgram : (elsewhere[computer]?.frontProgram ?? null);
}
