import { closestPhrase } from '../devices/index.ts';
import { type Ended, type Explanation, MOST_DUE, type Outcome } from '../engine/index.ts';
import type { ProfileDecision, Resolution } from '../resolve/index.ts';
import type { Rule, Setup } from '../setup/index.ts';
import { describeAction } from './actions.ts';
import { changeWords } from './changes.ts';
import { holdWords } from './holdWords.ts';
import {
  capital,
  deviceName,
  layerName,
  macroName,
  pageName,
  profileName,
  programName,
  triggerNameIn,
} from './names.ts';
import { tidy } from './numbers.ts';

/** One sentence or two: why an event became what it became, and what else changed. */
export function whyOf(setup: Setup, explanation: Explanation): string {
  const changes = explanation.changes.flatMap((change) => changeWords(setup, change));
  return [reasonOf(setup, explanation), ...changes].filter(Boolean).join(' ');
}

/** One sentence or two; what nobody wonders about gets none. */
function reasonOf(setup: Setup, { outcome, event, changes }: Explanation): string {
  const nothingHeld = changes.length === 0 ? 'Nothing was held.' : '';
  switch (outcome.kind) {
    case 'pressed':
      return decidedWords(setup, outcome.resolution);
    case 'waiting':
      return waitingWords(outcome);
    case 'repeated':
      return 'Sent again while it is held.';
    case 'too-many':
      return `More than ${MOST_DUE.toLocaleString('en')} were due at once, so it was ended.`;
    case 'released':
      if (outcome.turned) return 'It was turned while it was down, so it is no press.';
      return outcome.silent
        ? 'What it held was let go before, so it comes up in silence.'
        : `Held for ${tidy(outcome.heldFor)} ms.`;
    case 'turned': {
      const { steps, stepDegrees, remainder, resolution } = outcome;
      const amount =
        event.kind === 'turn' && event.unit === 'degrees' ? stepWords(event.amount, outcome) : '';
      if (steps === 0) return `${tidy(Math.abs(remainder))}° of ${tidy(stepDegrees)}° for one step.`;
      if (outcome.silent) return 'What turning it while pressed did was let go before, so nothing is sent.';
      return `${decidedWords(setup, resolution)}${amount}`;
    }
    case 'profile-decided':
      return [
        decisionWords(setup, outcome.decision),
        ...outcome.ended.map((ended) => endedWords(setup, ended)),
      ].join(' ');
    case 'guarded':
      return guardedWords(setup, outcome);
    case 'spring':
      return springWords(setup, outcome);
    case 'slid':
      return slidWords(setup, outcome);
    case 'moved':
      return outcome.nudged.map((resolution) => decidedWords(setup, resolution)).join(' ');
    case 'menu':
      return '';
    case 'menu-turned': {
      const { steps, remainder, stepDegrees } = outcome;
      if (steps > 0) return 'It goes round the sets.';
      return `${tidy(Math.abs(remainder))}° of ${tidy(stepDegrees)}° to the next set.`;
    }
    case 'macro':
      return `${macroName(setup, outcome.macro)} goes on.`;
    case 'answered':
      return outcome.texts === null ? 'Nothing was answered.' : '';
    case 'let-go': {
      const slept = event.kind === 'reset' && event.slept !== undefined ? sleptWords(event.slept) : '';
      const ended =
        outcome.ended.length === 0
          ? nothingHeld
          : outcome.ended.map((each) => endedWords(setup, each)).join(' ');
      return [slept, ended].filter(Boolean).join(' ');
    }
    case 'noted':
      return event.kind === 'attach' ? 'It can be used now.' : '';
    case 'ignored':
      if (event.kind === 'phrase' && outcome.why === 'unknown-phrase')
        return misheardWords(setup, event.text);
      return IGNORED_WORDS[outcome.why];
  }
}

/** What was heard is no phrase: nothing happens, and the one that is most like it is told. */
function misheardWords({ devices }: Setup, heard: string): string {
  const closest = closestPhrase(devices, heard);
  const nothing = IGNORED_WORDS['unknown-phrase'];
  return closest === null ? nothing : `${nothing} The closest is “${closest}”.`;
}

/** Why everything was let go of after a gap of the clock. */
function sleptWords(ms: number): string {
  return `The computer slept for ${tidy(Math.round(ms / 1000))} s, so everything was let go.`;
}

/** Why an event did nothing. */
const IGNORED_WORDS: Readonly<Record<Extract<Outcome, { kind: 'ignored' }>['why'], string>> = {
  'unknown-control': 'The rig has no such control.',
  'already-down': 'It was down already.',
  'not-down': 'It was not down.',
  'cannot-press': 'This control cannot be pressed.',
  'unknown-device': 'There is no such device in this set-up.',
  'cannot-turn': 'This control cannot be turned.',
  'not-shown': 'Its cell is on a page that does not show now.',
  'not-asked': 'It does not ask anything.',
  'no-positions': 'This control has no positions.',
  'unknown-phrase': 'No control of the rig is used by that phrase.',
  'unknown-profile': 'There is no such profile.',
  'unknown-computer': 'No device talks to a computer of that name.',
};

/** What it may still become. */
function waitingWords(outcome: Extract<Outcome, { kind: 'waiting' }>): string {
  const ways = [
    outcome.hold ? 'a hold' : null,
    outcome.double ? 'a double press' : null,
    outcome.nudges ? 'a nudge' : null,
    outcome.turns ? 'a turn while it is down' : null,
  ].filter((way) => way !== null);
  const last = ways.pop();
  return `It waits to see whether it becomes ${ways.length > 0 ? `${ways.join(', ')} or ` : ''}${last}.`;
}

/** What a guard asked for, or that it was answered. */
function guardedWords(
  setup: Setup,
  { how, asks, resolution }: Extract<Outcome, { kind: 'guarded' }>,
): string {
  const what = decidedWords(setup, resolution);
  if (!asks) return `${what} It asks for a longer press, and was let go too soon: nothing was sent.`;
  return how === 'longer' ? `${what} It asks for a longer press.` : `${what} It asks for a second press.`;
}

/** How fast a ring away from rest steps. */
function springWords(setup: Setup, { rate, resolution }: Extract<Outcome, { kind: 'spring' }>): string {
  // Back at rest: no step is due any more.
  if (!resolution) return 'It stops.';
  return `${decidedWords(setup, resolution)} ${tidy(rate)} ${rate === 1 ? 'step' : 'steps'} a second.`;
}

/** What a slider's movement came to: its value, the thresholds it crossed. */
function slidWords(setup: Setup, { steps, resolution, stepped }: Extract<Outcome, { kind: 'slid' }>): string {
  const value = resolution?.decided ? [decidedWords(setup, resolution)] : [];
  const many = `${steps} ${steps === 1 ? 'threshold' : 'thresholds'} crossed.`;
  const stepping = stepped ? [`${decidedWords(setup, stepped)} ${many}`] : [];
  const words = [...value, ...stepping];
  return words.length > 0 ? words.join(' ') : 'Nothing is set for its value.';
}

/** The arithmetic of a turn, so that a dial that seems to skip explains itself. */
function stepWords(degrees: number, outcome: Extract<Outcome, { kind: 'turned' }>): string {
  const { steps, stepDegrees, remainder, factor } = outcome;
  if (factor > 1) return ` ${steps} steps: each counts ${factor} times at this speed.`;
  const kept = remainder === 0 ? '' : `, ${tidy(Math.abs(remainder))}° kept`;
  // Degrees are summed in floating point; a millionth is no remainder.
  const exact = Math.abs(Math.abs(degrees) - steps * stepDegrees) < 1e-6;
  const many = steps === 1 ? 'step' : 'steps';
  if (exact) return ` ${tidy(Math.abs(degrees))}° ÷ ${tidy(stepDegrees)}° = ${steps} ${many}.`;
  return ` ${steps} ${many} of ${tidy(stepDegrees)}°${kept}.`;
}

/** Nothing is set on the folder, and it lets nothing through. */
export function coveredWords(setup: Setup, folder: string): string {
  return `Nothing is set for it in the folder ${pageName(setup, folder)}, so nothing is sent.`;
}

/** `Larkframe, base layer.` and what it does; or that nothing is set. */
function decidedWords(setup: Setup, { decided, covered }: Resolution): string {
  if (covered !== null) return coveredWords(setup, covered);
  if (!decided) return 'Nothing is set, so it does what it does by itself.';
  const place = `${profileName(setup, decided.profile)}, ${layerWords(setup, decided.layer)}`;
  const { behaviour } = decided.binding;
  if (behaviour.kind === 'off') return `${place}: ${offWords(setup, behaviour.heardBy)}.`;
  if (behaviour.kind === 'native') return `${place}: it does what it does by itself.`;
  const profile = setup.profiles[decided.profile];
  return profile ? `${place}: ${describeAction(setup, profile, behaviour.action).name}.` : `${place}.`;
}

/** Off is not silence for everybody. */
function offWords(setup: Setup, heardBy: readonly string[]): string {
  const off = 'off, nothing reaches the program in front';
  if (heardBy.length === 0) return off;
  return `${off}, but ${heardBy.map((id) => programName(setup, id)).join(' and ')} still hears it`;
}

/** `base layer`. */
export function layerWords(setup: Setup, id: string): string {
  const page = setup.pages.find((each) => each.id === id);
  if (page) return `${page.kind} ${page.name}`;
  return `${layerName(setup, id).toLowerCase()} layer`;
}

/** Which rule decided the profile, or why none did. */
export function decisionWords(setup: Setup, decision: ProfileDecision): string {
  const name = profileName(setup, decision.profile);
  const rule = decision.candidates.find(({ verdict }) => verdict === 'decides')?.rule;
  switch (decision.because) {
    case 'rule':
      return rule ? `Rule ${ruleWords(rule)}.` : 'A rule fits.';
    case 'pinned':
      return `${name} is pinned and stays.`;
    case 'nothing-fits':
      return 'No rule fits, so Everywhere applies.';
    case 'no-window':
      return 'No program is in front, so Everywhere applies.';
  }
}

/** `“larkframe” fits the program's name`; fields together are joined by and. */
export function ruleWords(rule: Rule): string {
  const fields = [
    ['executable', "the program's name"],
    ['class', "the window's class"],
    ['title', "the window's title"],
  ] as const;
  const given = fields.flatMap(([field, words]) => {
    const pattern = rule[field];
    return pattern ? [`“${pattern.text}” fits ${words}`] : [];
  });
  return given.join(' and ');
}

/** What was let go first, and who held it. */
export function endedWords(setup: Setup, { device, control, holds }: Ended): string {
  const owner = triggerNameIn(setup, device, control, 'press').toLowerCase();
  return `${capital(holdWords(setup, holds))} was still held by ${deviceName(setup, device)}, ${owner}, and was let go first.`;
}
