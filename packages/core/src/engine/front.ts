import { resolveProfile } from '../resolve/index.ts';
import type { Outcome } from './explanation.ts';
import { endWhere } from './letGo.ts';
import { type Run, resolveNow } from './run.ts';
import type { EngineState, Using } from './state.ts';

/**
 * Decides the profile anew after the front window, the pin or the set-up changed. What is held by a
 * binding that would no longer decide is ended first; a control still down then comes up in silence.
 */
export function decideProfile(run: Run, changed: Partial<Pick<EngineState, 'front' | 'pinned'>>): Outcome {
  const from = run.state.profile;
  const front = changed.front === undefined ? run.state.front : changed.front;
  const asked = changed.pinned === undefined ? run.state.pinned : changed.pinned;
  const pinned = asked !== null && run.compiled.profiles.has(asked) ? asked : null;
  const decision = resolveProfile(run.compiled.rules, front, pinned);
  Object.assign(run.state, { front, pinned, profile: decision.profile });
  const ended = from === decision.profile ? [] : endWhere(run, (using) => !stillDecides(run, using));
  if (from !== decision.profile) run.changes.push({ kind: 'profile', from, to: decision.profile });
  return { kind: 'profile-decided', window: front, decision, ended };
}

function stillDecides(run: Run, held: Using): boolean {
  const { decided } = resolveNow(run, held.device, held.control, held.trigger);
  if (decided === null || held.decided === null) return decided === held.decided;
  const { profile, layer, binding } = held.decided;
  return decided.binding === binding && decided.profile === profile && decided.layer === layer;
}
