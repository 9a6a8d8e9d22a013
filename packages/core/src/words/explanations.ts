import type { EventOf, Explanation, Outcome } from '../engine/index.ts';
import type { Setup } from '../setup/index.ts';
import { deviceName, macroName, profileName, triggerNameIn } from './names.ts';
import { tidy } from './numbers.ts';
import { whyOf } from './why.ts';

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
    case 'turn':
    case 'position': {
      const subject = deviceName(setup, event.device);
      return { subject, did: didControl(setup, event, outcome), why };
    }
    case 'front': {
      const name = outcome.kind === 'profile-decided' ? profileName(setup, outcome.decision.profile) : '';
      const program = event.window?.executable ?? 'Nothing';
      const known = outcome.kind === 'profile-decided' && outcome.decision.because === 'rule';
      return {
        subject: known ? name : program,
        did: `${event.window ? 'came to the front' : 'is in front'}${event.computer === undefined ? '' : ` of ${event.computer}`}`,
        why,
      };
    }
    case 'pin':
      return event.profile === null
        ? { subject: 'Profile', did: 'back to automatic', why }
        : { subject: profileName(setup, event.profile), did: 'pinned', why };
    case 'answer':
      return {
        subject: macroName(setup, event.macro),
        did: event.texts === null ? 'not answered' : 'answered',
        why,
      };
    case 'edited':
      return { subject: 'Set-up', did: 'edited', why };
    case 'move': {
      const nudged = outcome.kind === 'moved' ? outcome.nudged[0] : undefined;
      const subject = nudged ? deviceName(setup, nudged.device) : 'Pointer';
      return { subject, did: movedWords(setup, outcome), why };
    }
    case 'phrase':
      return { subject: 'Voice', did: `“${event.text}”`, why };
    case 'attach':
      return { subject: deviceName(setup, event.device), did: takenOr('connected', outcome), why };
    case 'due': {
      const trigger = outcome.kind === 'pressed' ? outcome.resolution.trigger : 'press';
      const did = triggerNameIn(setup, event.device, event.control, trigger).toLowerCase();
      return { subject: deviceName(setup, event.device), did, why };
    }
    case 'time':
      return { subject: 'Time', did: 'went on', why };
    case 'detach':
      return { subject: deviceName(setup, event.device), did: takenOr('gone', outcome), why };
    case 'reset':
      return { subject: 'Everything', did: 'let go', why };
  }
}

/** What was done, unless there is nothing that could have done it. */
function takenOr(did: string, { kind }: Outcome): string {
  return kind === 'ignored' ? 'not known' : did;
}

/** Events of a control. */
type ControlEvent = Extract<Explanation['event'], { kind: 'down' | 'up' | 'turn' | 'position' }>;

/** What the hand did, before what became of it. */
function didControl(setup: Setup, event: ControlEvent, outcome: Outcome): string {
  const { device, control } = event;
  if (event.kind === 'turn') return turnedWords(setup, event, outcome);
  if (event.kind === 'position') return positionWords(setup, event, outcome);
  const name = triggerNameIn(setup, device, control, 'press').toLowerCase();
  return event.kind === 'down' ? name : `${name} came up`;
}

/** `turned 108°` for a dial, `upper knob turned back 2 detents` for one of several, `wheel up 1 detent`. */
function turnedWords(setup: Setup, event: EventOf<'turn'>, outcome: Outcome): string {
  const { device, control, amount, unit } = event;
  const trigger = outcome.kind === 'turned' ? outcome.resolution.trigger : 'clockwise';
  // The trigger decides, not the sign: a wheel that scrolls the other way turns back all the same.
  const back = trigger === 'anticlockwise' || trigger === 'pressed-anticlockwise';
  const pressed = trigger.startsWith('pressed-') ? 'while pressed ' : '';
  const size = tidy(Math.abs(amount));
  const much = unit === 'degrees' ? `${size}°` : `${size} ${size === '1' ? 'detent' : 'detents'}`;
  const known = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
  if (known?.kind === 'wheel') return `${known.name.toLowerCase()} ${back ? 'down' : 'up'} ${pressed}${much}`;
  const which = known && known.kind !== 'dial' ? `${known.name.toLowerCase()} ` : '';
  return `${which}turned ${pressed}${back ? 'back ' : ''}${much}`;
}

/** `shuttle ring to 3 clockwise`, `fader 1 to 40 %`. */
function positionWords(
  setup: Setup,
  { device, control, value, axis }: EventOf<'position'>,
  outcome: Outcome,
): string {
  const known = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
  const name = (known?.name ?? control).toLowerCase();
  if (outcome.kind === 'slid') {
    const way = known?.across ? (axis === 'across' ? ' across' : ' up') : '';
    return `${name}${way} to ${Math.round(outcome.value * 100)} %`;
  }
  const at = outcome.kind === 'spring' ? outcome.position : value;
  return at === 0
    ? `${name} back at rest`
    : `${name} to ${Math.abs(at)} ${at > 0 ? 'clockwise' : 'anticlockwise'}`;
}

/** A movement, with what it nudged. */
function movedWords(setup: Setup, outcome: Outcome): string {
  const nudged = outcome.kind === 'moved' ? outcome.nudged : [];
  if (nudged.length === 0) return 'moved';
  return nudged
    .map(({ device, control, trigger }) => triggerNameIn(setup, device, control, trigger).toLowerCase())
    .join(' and ');
}
