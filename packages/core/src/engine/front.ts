import { resolveProfile } from '../resolve/index.ts';
import { controlAt } from './compile.ts';
import type { Outcome } from './explanation.ts';
import { orderLayers } from './layers.ts';
import { endWhere } from './letGo.ts';
import { stillDecides } from './lookup.ts';
import type { Run } from './run.ts';
import type { EngineState, Using } from './state.ts';

type Decided = Extract<Outcome, { kind: 'profile-decided' }>;
type Changed = Partial<Pick<EngineState, 'front' | 'pinned'>>;

/**
 * Decides the profile anew after the front window or the pin changed. What is held by a binding that would no
 * longer decide is ended first; a control still down then comes up in silence.
 */
export function decideProfile(run: Run, changed: Changed): Decided {
  const from = run.state.profile;
  const outcome = setProfile(run, changed);
  if (outcome.decision.profile === from) return { ...outcome, ended: [] };
  const which = (using: Using) => !stillDecides(run, using);
  return { ...outcome, ended: endWhere(run, { down: which, rest: which, goesOn: true }) };
}

/**
 * The set-up was edited. Where that changes the profile, all is as if another window came to the front. Where
 * not, what a control that is down resolved to still holds; but what goes on by itself (latches, macros, pages)
 * ends where its binding is no longer there to end it, and everything of controls that are gone does.
 */
export function afterEdit(run: Run): Decided {
  const from = run.state.profile;
  const outcome = setProfile(run, {});
  orderLayers(run);
  const changed = outcome.decision.profile !== from;
  const isGone = ({ device, control }: Using) => !controlAt(run.compiled, device, control);
  const rest = (using: Using) => isGone(using) || !stillDecides(run, using);
  const down = changed ? rest : isGone;
  return { ...outcome, ended: endWhere(run, { down, rest, goesOn: changed }) };
}

function setProfile(run: Run, changed: Changed): Decided {
  const from = run.state.profile;
  const front = changed.front === undefined ? run.state.front : changed.front;
  const asked = changed.pinned === undefined ? run.state.pinned : changed.pinned;
  const pinned = asked !== null && run.compiled.profiles.has(asked) ? asked : null;
  const decision = resolveProfile(run.compiled.rules, front, pinned);
  Object.assign(run.state, { front, pinned, profile: decision.profile });
  if (from !== decision.profile) run.changes.push({ kind: 'profile', from, to: decision.profile });
  return { kind: 'profile-decided', window: front, decision, ended: [] };
}
