import { type FrontWindow, type ProfileDecision, resolveProfile } from '../resolve/index.ts';
import { EVERYWHERE } from '../setup/index.ts';
import { type Compiled, controlAt } from './compile.ts';
import { computerOf, profileAt, profileFor } from './destination.ts';
import { endOutputs } from './endOutputs.ts';
import type { Outcome } from './explanation.ts';
import { orderLayers } from './layers.ts';
import { stillDecides } from './lookup.ts';
import { windowCame } from './macros.ts';
import { closeElsewhere, pagedDevices, tellingPages } from './pages.ts';
import { closeChangedMenu } from './radial.ts';
import { withEntry } from './record.ts';
import type { EngineState, Running, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** That a profile was decided, with every candidate and why it was not taken. */
type Decided = Extract<Outcome, { kind: 'profile-decided' }>;
/** What a change of the front changes in the state. */
type Changed = Partial<Pick<EngineState, 'front' | 'pinned'>>;

/**
 * Decides the profile anew after the front window of a computer (null: this one) or the pin changed. What is held by a
 * binding that would no longer decide is ended first; a control still down then comes up in silence.
 */
export function decideProfile(
  context: StepContext,
  changed: Changed,
  computer: string | null = null,
): Decided {
  const { outcome, moved } = decideAnew(context, changed, computer);
  if (changed.front !== undefined) windowCame(context, computer);
  const which = (using: Using) => moved.has(using.device) && !stillDecides(context, using);
  const macros = (running: Running) => isLeft(context, running);
  const ending = { down: which, background: which, macros, goesOn: true };
  const ended = moved.size === 0 ? [] : endOutputs(context, ending);
  closeChangedMenu(context);
  return { ...outcome, ended };
}

/**
 * The set-up was edited. Where that changes the profile, all is as if another window came to the front. Where
 * not, what a control that is down resolved to still holds; but what goes on by itself (latches, macros)
 * ends where its binding is no longer there to end it, and everything of controls that are gone does.
 */
export function afterEdit(context: StepContext): Decided {
  const { outcome, moved } = decideAnew(context, {}, null);
  orderLayers(context);
  const isGone = ({ device, control }: Using) => !controlAt(context.compiled, device, control);
  const background = (using: Using) => isGone(using) || !stillDecides(context, using);
  const down = (using: Using) => (moved.has(using.device) ? background(using) : isGone(using));
  const macros = (running: Running) => isGone(running.owner) || isLeft(context, running);
  closeChangedMenu(context);
  return { ...outcome, ended: endOutputs(context, { down, background, macros, goesOn: moved.size > 0 }) };
}

/** Whether another profile decides now than that of the window a macro waited for. */
function isLeft({ compiled, state }: StepContext, { belongsTo, owner }: Running): boolean {
  return belongsTo !== profileFor(compiled, state, owner.device);
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

/** What was decided for the computer that was asked about, and the devices another profile decides for now. */
interface Profiles {
  readonly outcome: Decided;
  readonly moved: ReadonlySet<string>;
}

/** The profiles, and with them the pages: each program has sets of its own, and folders of others close. */
function decideAnew(context: StepContext, changed: Changed, computer: string | null): Profiles {
  return tellingPages(context, pagedDevices(context), () => {
    const decided = setProfiles(context, changed, computer);
    closeElsewhere(context);
    return decided;
  });
}

/** Decides anew at every computer that is known: a pin and an edit count at all of them. */
function setProfiles(context: StepContext, changed: Changed, computer: string | null): Profiles {
  const { compiled, state } = context;
  const places = placesOf(context, computer);
  const before = places.map((place) => profileAt(state, place));
  // A pinned profile that is gone is no pin.
  const asked = changed.pinned === undefined ? state.pinned : changed.pinned;
  const pinned = asked !== null && compiled.profiles.has(asked) ? asked : null;
  const decideAt = (front: FrontWindow | null) => {
    const decision = resolveProfile(compiled.rules, front, pinned);
    const frontProgram = programInFront(compiled, front, pinned, decision);
    return { decision, there: { front, frontProgram, profile: decision.profile } };
  };
  const frontAt = (place: string | null, known: FrontWindow | null) =>
    place === computer && changed.front !== undefined ? changed.front : known;
  const here = decideAt(frontAt(null, state.front));
  Object.assign(state, { pinned, ...here.there });
  let asking = here;
  for (const place of places) {
    if (place === null) continue;
    const known = state.elsewhere[place];
    if (!known && place !== computer) continue;
    const decided = decideAt(frontAt(place, known?.front ?? null));
    state.elsewhere = withEntry(state.elsewhere, place, decided.there);
    if (place === computer) asking = decided;
  }
  const changes = new Set<string | null>();
  places.forEach((place, i) => {
    const [from = EVERYWHERE, to] = [before[i], profileAt(state, place)];
    if (from === to) return;
    changes.add(place);
    context.changes.push({ kind: 'profile', from, to, computer: place });
  });
  const devices = changes.size > 0 ? [...compiled.settings.keys()] : [];
  const moved = new Set(devices.filter((device) => changes.has(computerOf(compiled, state, device))));
  const { decision, there } = asking;
  return { outcome: { kind: 'profile-decided', window: there.front, decision, ended: [] }, moved };
}

/** This computer, those something is known of, those that are talked to, and the one that is asked about. */
function placesOf({ compiled, state }: StepContext, computer: string | null): readonly (string | null)[] {
  const { elsewhere, computers } = state;
  return [
    ...new Set([
      null,
      computer,
      ...Object.keys(elsewhere),
      ...Object.keys(computers).map((device) => computerOf(compiled, state, device)),
    ]),
  ];
}
