import { type FrontWindow, type ProfileDecision, resolveProfile } from '../resolve/index.ts';
import { type Compiled, controlAt } from './compile.ts';
import { endOutputs } from './endOutputs.ts';
import type { Outcome } from './explanation.ts';
import { orderLayers } from './layers.ts';
import { stillDecides } from './lookup.ts';
import { stopMacro } from './macros.ts';
import { closeMenu } from './radial.ts';
import type { EngineState, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** That a profile was decided, with every candidate and why it was not taken. */
type Decided = Extract<Outcome, { kind: 'profile-decided' }>;
/** What a change of the front changes in the state. */
type Changed = Partial<Pick<EngineState, 'front' | 'pinned'>>;

/**
 * Decides the profile anew after the front window or the pin changed. What is held by a binding that would no
 * longer decide is ended first; a control still down then comes up in silence.
 */
export function decideProfile(context: StepContext, changed: Changed): Decided {
  const from = context.state.profile;
  const outcome = setProfile(context, changed);
  if (outcome.decision.profile === from) return { ...outcome, ended: [] };
  const which = (using: Using) => !stillDecides(context, using);
  return { ...outcome, ended: endOutputs(context, { down: which, background: which, goesOn: true }) };
}

/**
 * The set-up was edited. Where that changes the profile, all is as if another window came to the front. Where
 * not, what a control that is down resolved to still holds; but what goes on by itself (latches, macros, pages)
 * ends where its binding is no longer there to end it, and everything of controls that are gone does.
 */
export function afterEdit(context: StepContext): Decided {
  const from = context.state.profile;
  const outcome = setProfile(context, {});
  orderLayers(context);
  const changed = outcome.decision.profile !== from;
  const isGone = ({ device, control }: Using) => !controlAt(context.compiled, device, control);
  const background = (using: Using) => isGone(using) || !stillDecides(context, using);
  const down = changed ? background : isGone;
  endEdited(context);
  return { ...outcome, ended: endOutputs(context, { down, background, goesOn: changed }) };
}

/** The program whose rule fits the front window, whatever profile is pinned. */
function programInFront(
  { rules, profiles }: Compiled,
  front: FrontWindow | null,
  pinned: string | null,
  decision: ProfileDecision,
): string | null {
  const { profile } = pinned === null ? decision : resolveProfile(rules, front, null);
  return profiles.get(profile)?.source.program ?? null;
}

/** A macro that runs or a menu that is open ends where the edit made it another. */
function endEdited(context: StepContext): void {
  const { macros, menus } = context.compiled;
  for (const running of Object.values(context.state.running)) {
    if (macros.get(running.macro)?.fingerprint !== running.fingerprint) stopMacro(context, running);
  }
  const { radial } = context.state;
  if (radial && menus.get(radial.menu)?.fingerprint !== radial.fingerprint) closeMenu(context, radial, null);
}

/** A pinned profile that is gone is no pin. */
function setProfile(context: StepContext, changed: Changed): Decided {
  const from = context.state.profile;
  const front = changed.front === undefined ? context.state.front : changed.front;
  const asked = changed.pinned === undefined ? context.state.pinned : changed.pinned;
  const pinned = asked !== null && context.compiled.profiles.has(asked) ? asked : null;
  const decision = resolveProfile(context.compiled.rules, front, pinned);
  Object.assign(context.state, {
    front,
    frontProgram: programInFront(context.compiled, front, pinned, decision),
    pinned,
    profile: decision.profile,
  });
  if (from !== decision.profile) context.changes.push({ kind: 'profile', from, to: decision.profile });
  return { kind: 'profile-decided', window: front, decision, ended: [] };
}
