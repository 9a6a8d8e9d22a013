import type { Trigger } from '../devices/index.ts';
import { type EngineEvent, type Simulated, type Stroke, simulate } from '../engine/index.ts';
import { type Action, acting, type Behaviour, type PressStyle, type Setup, slotKey } from '../setup/index.ts';
import { smallSetup } from './smallRig.ts';

/**
 * Strokes in short, the time first: `+KeyA` down, `-KeyA` up, `~1` wheel, `~>1` across, `(0` and `)0` buttons,
 * `“text”`, `!` message, `*` focus, `^` pointer, `≡` menu; a program's name, then a computer's, stands before what it gets.
 */
export function short({ strokes }: { readonly strokes: readonly Stroke[] }): string {
  return strokes
    .map((stroke) => {
      const program = stroke.kind === 'focus' ? '' : (stroke.program ?? '');
      const computer = stroke.computer ? `${stroke.computer}:` : '';
      return `@${Math.round(stroke.t * 1000) / 1000} ${program}${computer}${body(stroke)}`;
    })
    .join(' ');
}

function body(stroke: Stroke): string {
  switch (stroke.kind) {
    case 'key-down':
      return `+${stroke.code}`;
    case 'key-up':
      return `-${stroke.code}`;
    case 'button-down':
      return `(${stroke.button}`;
    case 'button-up':
      return `)${stroke.button}`;
    case 'wheel':
      return `~${stroke.axis === 'horizontal' ? '>' : ''}${stroke.ticks}`;
    case 'text':
      return `“${stroke.text}”`;
    case 'message':
      return `!${stroke.value}`;
    case 'pointer-move':
      return `^${stroke.to.from}:${stroke.to.x},${stroke.to.y}`;
    case 'pointer-remember':
      return '^?';
    case 'pointer-back':
      return '^!';
    case 'menu-item':
      return `≡${stroke.path.join('>')}`;
    case 'focus':
      return `*${stroke.program}`;
  }
}

/** One thing bound: `profile device/control trigger`, and what it does (a text is a shortcut). */
export type BoundRow = readonly [
  place: string,
  does: string | Action | Behaviour,
  style?: PressStyle,
  more?: Partial<Extract<Behaviour, { kind: 'action' }>>,
];

/** The small rig's set-up with some things bound; the layer is `base` unless the profile is `profile@layer`. */
export function bound(rows: readonly BoundRow[], setup: Setup = smallSetup()): Setup {
  for (const [place, does, style = 'follow', more = {}] of rows) {
    const [where = '', at = '', trigger = ''] = place.split(' ');
    const [profile = '', layer = 'base'] = where.split('@');
    const [device = '', control = ''] = at.split('/');
    const bindings = setup.profiles[profile]?.bindings;
    if (!bindings) throw new Error(`no profile ${profile}`);
    const behaviour = behaviourOf(does, style, more);
    bindings[slotKey(layer, device, control, trigger as Trigger)] = { behaviour, face: null, note: null };
  }
  return setup;
}

function behaviourOf(
  does: BoundRow[1],
  style: PressStyle,
  more: Partial<Extract<Behaviour, { kind: 'action' }>>,
): Behaviour {
  if (typeof does === 'string') return { ...acting({ kind: 'shortcut', shortcut: does }, style), ...more };
  if (does.kind === 'action' || does.kind === 'native' || does.kind === 'off') return does;
  return { ...acting(does, style), ...more };
}

const at = (place: string) => {
  const [device = '', control = ''] = place.split('/');
  return { device, control };
};

/** Events in a few words each: `10 down pad/key-1`, `20 turn dial/dial 36`, `0 front brindle`, `5 front-of Loft brindle`. */
export function events(...lines: readonly string[]): EngineEvent[] {
  return lines.map((line): EngineEvent => {
    const [time = '', kind = '', ...rest] = line.split(' ');
    const t = Number(time);
    const [first = '', second = ''] = rest;
    switch (kind) {
      case 'down':
      case 'up':
        return { kind, t, ...at(first) };
      case 'turn':
        return { kind, t, ...at(first), unit: 'degrees', amount: Number(second) };
      case 'detents':
        return { kind: 'turn', t, ...at(first), unit: 'detents', amount: Number(second) };
      case 'to':
        return { kind: 'position', t, ...at(first), value: Number(second) };
      case 'across':
        return { kind: 'position', t, ...at(first), value: Number(second), axis: 'across' };
      case 'move':
        return { kind, t, dx: Number(first), dy: Number(second) };
      case 'said':
        return { kind: 'phrase', t, text: rest.join(' ') };
      case 'front':
        return { kind, t, window: { executable: first, class: '', title: rest.slice(1).join(' ') } };
      case 'front-of':
        return { kind: 'front', t, computer: first, window: { executable: second, class: '', title: '' } };
      case 'pin':
        return { kind, t, profile: first === '' ? null : first };
      case 'answer':
        return { kind, t, macro: first, texts: second === '' ? null : rest.slice(1) };
      case 'attach':
      case 'detach':
        return { kind, t, device: first };
      case 'time':
      case 'reset':
      case 'edited':
        return { kind, t };
      default:
        throw new Error(`no event: ${line}`);
    }
  });
}

/** Runs a set-up with things bound, in short. */
export function played(rows: readonly BoundRow[], ...lines: readonly string[]): string {
  return short(simulate(bound(rows), events(...lines)));
}

/** The same, whole. */
export function run(rows: readonly BoundRow[], ...lines: readonly string[]): Simulated {
  return simulate(bound(rows), events(...lines));
}
