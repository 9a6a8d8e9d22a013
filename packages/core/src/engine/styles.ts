import { type Behaviour, type PressStyle, USUAL_REPEAT } from '../setup/index.ts';
import { controlKey } from './compile.ts';
import type { Sendable } from './effect.ts';
import type { Outcome } from './explanation.ts';
import { begin, end, NO_OUTPUT, type Run, tap } from './run.ts';
import type { Choice, Held, Using } from './state.ts';
import { setTimer } from './timers.ts';

/** Starts what was chosen, by its press style; its control is held from now on. */
export function start(run: Run, choice: Choice): Outcome {
  const { resolution, effect } = choice;
  const { device, control, trigger, decided } = resolution;
  const behaviour = decided?.binding.behaviour;
  const style = styleOf(behaviour);
  let output = NO_OUTPUT;
  let later: Held['later'] = null;
  if (effect) {
    if (style === 'follow') output = begin(run, effect);
    else if (style === 'latch') toggleLatch(run, { device, control, trigger, decided }, effect);
    else if (style === 'release') later = { when: 'release', effect };
    else tap(run, effect);
    if (style === 'repeat') later = { when: 'repeat', effect };
  }
  const { codes, buttons } = output;
  const since = run.state.now;
  const held: Held = {
    device,
    control,
    trigger,
    decided,
    codes,
    buttons,
    since,
    silent: false,
    turned: false,
    later,
  };
  run.state.held = { ...run.state.held, [controlKey(device, control)]: held };
  if (later?.when === 'repeat') {
    const repeat = (behaviour?.kind === 'action' ? behaviour.repeat : null) ?? USUAL_REPEAT;
    setTimer(run, { at: run.state.now + repeat.delayMs, what: 'repeat', device, control, repeat });
  }
  return { kind: 'pressed', resolution };
}

/** Sends what was chosen when its control has come up already: a latch turns over, all else is a tap. */
export function sendShort(run: Run, { resolution, effect }: Choice): Outcome {
  const { device, control, trigger, decided } = resolution;
  if (effect && styleOf(decided?.binding.behaviour) === 'latch') {
    toggleLatch(run, { device, control, trigger, decided }, effect);
  } else if (effect) tap(run, effect);
  return { kind: 'pressed', resolution };
}

/** Native follows, as the control itself would. */
function styleOf(behaviour: Behaviour | undefined): PressStyle {
  return behaviour?.kind === 'action' ? behaviour.style : 'follow';
}

/** Down and stays; or, when it is down, up. */
function toggleLatch(run: Run, using: Using, effect: Sendable): void {
  const key = `${controlKey(using.device, using.control)}/${using.trigger}`;
  const { [key]: latched, ...others } = run.state.latched;
  if (latched) {
    end(run, latched);
    run.state.latched = others;
  } else {
    const output = begin(run, effect);
    run.state.latched = { ...run.state.latched, [key]: { ...using, ...output } };
  }
}
