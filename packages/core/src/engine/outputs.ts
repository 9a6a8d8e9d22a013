import { EVERYWHERE } from '../setup/index.ts';
import type { Effect, Sending } from './effect.ts';
import { endHold } from './holds.ts';
import { layerOn, onceLayer, showPage } from './layers.ts';
import { buttonDown, exactly, keyDown, tapKeys } from './ledger.ts';
import { callMacro, stopMacro } from './macros.ts';
import { setPlace } from './places.ts';
import { sendClick, sendWheel } from './pointer.ts';
import { type Run, send } from './run.ts';
import type { Hold, Using } from './state.ts';
import { messageValue } from './stroke.ts';

type EffectOf<Kind extends Effect['kind']> = Extract<Effect, { kind: Kind }>;

/** Starts what is sent: keys and buttons go down and stay; what has no length happens once. */
export function begin(run: Run, sending: Sending, using: Using): readonly Hold[] {
  const { effect, programs, focus } = sending;
  const [first = null] = programs;
  if (focus && first !== null) send(run, first, { kind: 'focus', launch: false });
  switch (effect.kind) {
    case 'keys': {
      const holds: Hold[] = [];
      for (const program of programs)
        for (const code of effect.codes) holds.push(keyDown(run, program, code));
      return holds;
    }
    case 'button':
      return programs.map((program) => buttonDown(run, program, effect.button));
    case 'message':
      return programs.map((program) => sendMessage(run, program, effect));
    case 'sequence':
    case 'text':
    case 'click':
    case 'wheel':
      for (const program of programs) sendOnce(run, program, effect);
      return [];
    default:
      return change(run, effect, using, first);
  }
}

function sendOnce(
  run: Run,
  program: string | null,
  effect: EffectOf<'sequence' | 'text' | 'click' | 'wheel'>,
): void {
  switch (effect.kind) {
    case 'sequence':
      for (const codes of effect.chords) exactly(run, program, codes, [], () => tapKeys(run, program, codes));
      return;
    case 'text':
      exactly(run, program, [], [], () => send(run, program, { kind: 'text', text: effect.text }));
      return;
    case 'click':
      sendClick(run, program, effect);
      return;
    case 'wheel':
      sendWheel(run, program, effect);
      return;
  }
}

function sendMessage(run: Run, program: string | null, { message }: EffectOf<'message'>): Hold {
  send(run, program, { kind: 'message', message, value: messageValue(message, 1) });
  return { kind: 'message', program, message };
}

/** Changes something of the engine's own. */
function change(
  run: Run,
  effect: EffectOf<'layer' | 'page' | 'profile' | 'speed' | 'computer' | 'program' | 'radial' | 'macro'>,
  using: Using,
  program: string | null,
): readonly Hold[] {
  switch (effect.kind) {
    case 'layer':
      if (effect.mode === 'once') {
        onceLayer(run, effect.layer, using);
        return [];
      }
      layerOn(run, effect.layer);
      return [{ kind: 'layer', layer: effect.layer }];
    case 'page':
      showPage(run, effect.page, using);
      return [];
    case 'profile':
      run.wishes.push({ kind: 'pin', profile: pinned(run, effect) });
      return [];
    case 'speed':
      return changeSpeed(run, effect, using);
    case 'computer':
      changeComputer(run, effect, using);
      return [];
    case 'program':
      send(run, effect.program, { kind: 'focus', launch: effect.launch });
      return [];
    case 'radial': {
      const menu = run.compiled.menus.get(effect.menu);
      if (!menu) return [];
      run.state.radial = { menu, owner: using, dx: 0, dy: 0, highlighted: null };
      run.changes.push({ kind: 'radial-open', menu: effect.menu });
      return [];
    }
    case 'macro':
      return callAndHold(run, effect.macro, using, program);
  }
}

/** A macro that runs while held is let go with its control; the others end by themselves. */
function callAndHold(run: Run, macro: string, using: Using, program: string | null): readonly Hold[] {
  const ran = run.state.running[macro] !== undefined;
  callMacro(run, macro, using, program);
  const holds = !ran && run.compiled.macros.get(macro)?.run === 'held';
  return holds ? [{ kind: 'macro', macro }] : [];
}

/** The profile a press pins: the one named, or the next or previous of those to go round. */
function pinned(run: Run, { change: how, profiles: named }: EffectOf<'profile'>): string | null {
  if (how === 'automatic') return null;
  if (how === 'pin') return named[0] ?? null;
  const all = named.length > 0 ? named : [EVERYWHERE, ...run.compiled.rules.order];
  const at = all.indexOf(run.state.profile);
  const next = at < 0 ? 0 : (at + (how === 'next' ? 1 : -1) + all.length) % all.length;
  return all[next] ?? null;
}

function changeSpeed(run: Run, effect: EffectOf<'speed'>, using: Using): readonly Hold[] {
  const device = effect.device ?? using.device;
  const count = settingsOf(run, device)?.pointerSpeeds.length ?? 0;
  if (count === 0) return [];
  const back = run.state.speeds[device] ?? 0;
  const wanted = { next: back + 1, previous: back + count - 1, set: effect.step, 'while-held': effect.step };
  setPlace(run, 'speed', device, wanted[effect.change] % count);
  return effect.change === 'while-held' ? [{ kind: 'speed', device, back }] : [];
}

/** A device that turns to another computer is gone from this one: what it holds here is let go. */
function changeComputer(run: Run, effect: EffectOf<'computer'>, using: Using): void {
  const device = effect.device ?? using.device;
  const count = settingsOf(run, device)?.computers.length ?? 0;
  const at = run.state.computers[device] ?? 0;
  if (count === 0) return;
  const next = (effect.change === 'next' ? at + 1 : effect.computer) % count;
  if (next === at) return;
  setPlace(run, 'computer', device, next);
  run.wishes.push({ kind: 'let-go', device });
}

function settingsOf(run: Run, device: string) {
  return run.compiled.setup.devices.find(({ id }) => id === device)?.settings;
}

/** Lets go what was kept down, newest first. */
export function end(run: Run, holds: readonly Hold[]): void {
  for (let i = holds.length - 1; i >= 0; i--) {
    const hold = holds[i];
    if (hold?.kind === 'macro') stopMacro(run, hold.macro);
    else if (hold) endHold(run, hold);
  }
}

/** Starts and ends at once. */
export function tap(run: Run, sending: Sending, using: Using): void {
  end(run, begin(run, sending, using));
}
