import type { Ended, EventOf, Explanation, Outcome } from '../engine/index.ts';
import { legendOf } from '../keys/index.ts';
import type { Resolution } from '../resolve/index.ts';
import { nextUnder } from '../resolve/index.ts';
import type { Layer, Rule, Setup } from '../setup/index.ts';
import { describeAction, deviceName, profileName, triggerNameIn } from './names.ts';

/** An explanation in words: who, what they did, and one sentence why. */
export interface Account {
  readonly subject: string;
  readonly did: string;
  readonly why: string;
}

/** Puts an explanation into words. */
export function accountOf(setup: Setup, explanation: Explanation): Account {
  const { event, outcome } = explanation;
  const why = whyOf(setup, explanation);
  switch (event.kind) {
    case 'down':
    case 'up':
    case 'turn': {
      const subject = deviceName(setup, event.device);
      return { subject, did: didControl(setup, event, outcome), why };
    }
    case 'front': {
      const name = outcome.kind === 'profile-decided' ? profileName(setup, outcome.decision.profile) : '';
      const program = event.window?.executable ?? 'Nothing';
      const known = outcome.kind === 'profile-decided' && outcome.decision.because === 'rule';
      return {
        subject: known ? name : program,
        did: event.window ? 'came to the front' : 'is in front',
        why,
      };
    }
    case 'pin':
      return event.profile === null
        ? { subject: 'Profile', did: 'back to automatic', why }
        : { subject: profileName(setup, event.profile), did: 'pinned', why };
    case 'edited':
      return { subject: 'Set-up', did: 'edited', why };
    case 'attach':
      return { subject: deviceName(setup, event.device), did: 'connected', why };
    case 'due': {
      const trigger = outcome.kind === 'pressed' ? outcome.resolution.trigger : 'press';
      const did = triggerNameIn(setup, event.device, event.control, trigger).toLowerCase();
      return { subject: deviceName(setup, event.device), did, why };
    }
    case 'time':
      return { subject: 'Time', did: 'went on', why };
    case 'detach':
      return { subject: deviceName(setup, event.device), did: 'gone', why };
    case 'reset':
      return { subject: 'Everything', did: 'let go', why };
  }
}

type ControlEvent = Extract<Explanation['event'], { kind: 'down' | 'up' | 'turn' }>;

function didControl(setup: Setup, event: ControlEvent, outcome: Outcome): string {
  const { device, control } = event;
  if (event.kind === 'turn') return turnedWords(setup, event, outcome);
  const name = triggerNameIn(setup, device, control, 'press').toLowerCase();
  return event.kind === 'down' ? name : `${name} came up`;
}

/** `turned 108°` for a dial, `upper knob turned back 2 detents` for one of several, `wheel up 1 detent`. */
function turnedWords(setup: Setup, event: EventOf<'turn'>, outcome: Outcome): string {
  const { device, control, amount, unit } = event;
  const trigger = outcome.kind === 'turned' ? outcome.resolution.trigger : 'clockwise';
  const back = trigger === 'anticlockwise' || trigger === 'pressed-anticlockwise';
  const pressed = trigger.startsWith('pressed-') ? 'while pressed ' : '';
  const size = tidy(Math.abs(amount));
  const much = unit === 'degrees' ? `${size}°` : `${size} ${size === '1' ? 'detent' : 'detents'}`;
  const known = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
  if (known?.kind === 'wheel') return `${known.name.toLowerCase()} ${back ? 'down' : 'up'} ${pressed}${much}`;
  const which = known && known.kind !== 'dial' ? `${known.name.toLowerCase()} ` : '';
  return `${which}turned ${pressed}${back ? 'back ' : ''}${much}`;
}

function whyOf(setup: Setup, { outcome, event }: Explanation): string {
  switch (outcome.kind) {
    case 'pressed':
      return decidedWords(setup, outcome.resolution);
    case 'waiting':
      return waitingWords(outcome);
    case 'repeated':
      return 'Sent again while it is held.';
    case 'released':
      if (outcome.turned) return 'It was turned while it was down, so it is no press.';
      return outcome.silent
        ? 'Its key was let go before, so it comes up in silence.'
        : `Held for ${tidy(outcome.heldFor)} ms.`;
    case 'turned': {
      const { steps, stepDegrees, rest, resolution } = outcome;
      const amount =
        event.kind === 'turn' && event.unit === 'degrees' ? stepWords(event.amount, outcome) : '';
      if (steps === 0) return `${tidy(Math.abs(rest))}° of ${tidy(stepDegrees)}° for one step.`;
      return `${decidedWords(setup, resolution)}${amount}`;
    }
    case 'profile-decided':
      return [decisionWords(setup, outcome), ...outcome.ended.map((ended) => endedWords(setup, ended))].join(
        ' ',
      );
    case 'let-go':
      return outcome.ended.length === 0
        ? 'Nothing was held.'
        : outcome.ended.map((ended) => endedWords(setup, ended)).join(' ');
    case 'noted':
      return event.kind === 'attach' ? 'It can be used now.' : '';
    case 'ignored':
      return IGNORED_WORDS[outcome.why];
  }
}

const IGNORED_WORDS: Readonly<Record<Extract<Outcome, { kind: 'ignored' }>['why'], string>> = {
  'unknown-control': 'The rig has no such control.',
  'already-down': 'It was down already.',
  'not-down': 'It was not down.',
  'cannot-press': 'This control cannot be pressed.',
  'cannot-turn': 'This control cannot be turned.',
  'unknown-profile': 'There is no such profile.',
};

function waitingWords({ hold, double, turns }: Extract<Outcome, { kind: 'waiting' }>): string {
  if (turns && !hold && !double) return 'It waits to see whether it is turned while it is down.';
  if (hold && double) return 'It waits to see whether it becomes a hold or a double press.';
  return hold ? 'It waits to see whether it becomes a hold.' : 'It waits for a second press.';
}

function stepWords(degrees: number, outcome: Extract<Outcome, { kind: 'turned' }>): string {
  const { steps, stepDegrees, rest, factor } = outcome;
  if (factor > 1) return ` ${steps} steps: each counts ${factor} times at this speed.`;
  const kept = rest === 0 ? '' : `, ${tidy(Math.abs(rest))}° kept`;
  const exact = Math.abs(Math.abs(degrees) - steps * stepDegrees) < 1e-6;
  const many = steps === 1 ? 'step' : 'steps';
  if (exact) return ` ${tidy(Math.abs(degrees))}° ÷ ${tidy(stepDegrees)}° = ${steps} ${many}.`;
  return ` ${steps} ${many} of ${tidy(stepDegrees)}°${kept}.`;
}

/** `Larkframe, base layer.` and what it does; or that nothing is set. */
function decidedWords(setup: Setup, { decided }: Resolution): string {
  if (!decided) return 'Nothing is set, so it does what it does by itself.';
  const place = `${profileName(setup, decided.profile)}, ${layerWords(setup.layers, decided.layer)}`;
  const { behaviour } = decided.binding;
  if (behaviour.kind === 'off') return `${place}: off, nothing reaches the program in front.`;
  if (behaviour.kind === 'native') return `${place}: it does what it does by itself.`;
  const profile = setup.profiles[decided.profile];
  return profile ? `${place}: ${describeAction(setup, profile, behaviour.action).name}.` : `${place}.`;
}

function layerWords(layers: readonly Layer[], id: string): string {
  return `${(layers.find((layer) => layer.id === id)?.name ?? id).toLowerCase()} layer`;
}

function decisionWords(setup: Setup, outcome: Extract<Outcome, { kind: 'profile-decided' }>): string {
  const { decision } = outcome;
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

function endedWords(setup: Setup, { device, control, codes, buttons }: Ended): string {
  const keys = [...codes.map(legendOf), ...buttons.map((button) => `mouse button ${button + 1}`)].join('+');
  const owner = triggerNameIn(setup, device, control, 'press').toLowerCase();
  return `${keys} was still held by ${deviceName(setup, device)}, ${owner}, and was let go first.`;
}

/** Why a cell does what it does: where it is set, and what would apply without it. */
export function whyThisOne(setup: Setup, resolution: Resolution, asked: string): string {
  const { decided } = resolution;
  if (!decided) return 'Nothing is set here or below, so the control does what it does by itself.';
  const place = profileName(setup, decided.profile);
  const layer = layerWords(setup.layers, decided.layer);
  const under = nextUnder(resolution);
  const here =
    decided.profile === asked
      ? `Set in ${place}, ${layer}.`
      : `Nothing set here; comes from ${place}, ${layer}.`;
  if (!under?.binding) return `${here} Without it, the control would do what it does by itself.`;
  const profile = setup.profiles[under.profile];
  const { behaviour } = under.binding;
  const what =
    behaviour.kind === 'action' && profile
      ? `“${describeAction(setup, profile, behaviour.action).name}”`
      : behaviour.kind === 'off'
        ? 'off'
        : 'what it does by itself';
  return `${here} Without it, ${what} from ${profileName(setup, under.profile)} would apply.`;
}

/** A number with at most three decimals and no trailing noughts. */
function tidy(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}
