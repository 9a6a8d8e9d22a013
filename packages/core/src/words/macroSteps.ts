import { legendOf } from '../keys/index.ts';
import type { MacroStep, Place, Setup, StepBody } from '../setup/index.ts';
import { windowAskedWords } from './macroFindings.ts';
import { layerName, macroName, programName } from './names.ts';
import { tidy } from './numbers.ts';
import { menuText, wheelText } from './sent.ts';

/** Kinds of steps as they are called beside what they do. */
export const STEP_KINDS = {
  shortcut: 'keys',
  'key-down': 'key down',
  'key-up': 'key up',
  hold: 'hold',
  text: 'text',
  wait: 'wait',
  until: 'until',
  button: 'button',
  click: 'click',
  wheel: 'wheel',
  pointer: 'pointer',
  menu: 'menu',
  focus: 'program',
  layer: 'layer',
  macro: 'macro',
  repeat: 'repeat',
} as const satisfies Record<StepBody['kind'], string>;

/** Pointer buttons, by their numbers. */
const BUTTONS = ['left', 'middle', 'right', 'back', 'forward'] as const;
/** How often something is clicked. */
const TIMES = ['', 'twice', 'three times'] as const;

/** What a step does, in a few words after its kind: `left, at 412, 96 from the window’s top left`. */
export function stepWords(setup: Setup, step: MacroStep): string {
  switch (step.kind) {
    case 'shortcut':
      return step.shortcut;
    case 'key-down':
    case 'key-up':
      return legendOf(step.code);
    case 'hold':
      return step.keys;
    case 'text':
      return `“${step.text}”`;
    case 'wait':
      return durationWords(step.ms);
    case 'until':
      return `${windowAskedWords(step.window)} is there, at most ${durationWords(step.atMostMs)}, then ${LATE_WORDS[step.late]}`;
    case 'button':
      return `${BUTTONS[step.button]} ${step.change}`;
    case 'click': {
      const often = TIMES[step.count - 1] ? ` ${TIMES[step.count - 1]}` : '';
      const what = `${BUTTONS[step.button]}${often}, ${clickPlaceWords(step.at)}`;
      return step.keys ? `${step.keys} + ${what}` : what;
    }
    case 'wheel': {
      const turned = `${wheelText(step.ticks, step.axis).toLowerCase()} by ${Math.abs(step.ticks)}`;
      return step.keys ? `${step.keys} + ${turned}` : turned;
    }
    case 'pointer':
      return step.change === 'remember' ? 'remember where it is' : 'back to where it was';
    case 'menu':
      return menuText(step.path);
    case 'focus':
      return `${programName(setup, step.program)} to the front${step.launch ? ', started where it does not run' : ''}`;
    case 'layer':
      return `${layerName(setup, step.layer)} ${step.on ? 'on' : 'off'}`;
    case 'macro':
      return macroName(setup, step.macro);
    case 'repeat':
      return `${step.times} ${step.times === 1 ? 'time' : 'times'}`;
  }
}

/** What becomes of a macro whose window does not come. */
export const LATE_WORDS = { stop: 'stop and say so', 'go-on': 'go on all the same' } as const;

/** Where a click goes. */
export function clickPlaceWords(place: Place | null): string {
  if (place === null) return 'where the pointer is';
  const { from, corner, x, y } = place;
  const at = `at ${tidy(x)}, ${tidy(y)}`;
  if (from === 'pointer') return `${at} from the pointer`;
  if (from === 'screen') return `${at} on the screen`;
  return `${at} from the window’s ${corner.replace('-', ' ')}`;
}

/** A time as people read it: `60 ms`, `1.3 s`, `2 min 5 s`. */
export function durationWords(ms: number): string {
  if (ms < 1000) return `${tidy(Math.round(ms))} ms`;
  const seconds = ms / 1000;
  if (seconds < 60) return `${tidy(Math.round(seconds * 10) / 10)} s`;
  const whole = Math.round(seconds);
  const rest = whole % 60;
  return `${Math.floor(whole / 60)} min${rest === 0 ? '' : ` ${rest} s`}`;
}

/** A step as it is called among other things: `the step “wait 60 ms”`. */
export function stepName(setup: Setup, step: MacroStep): string {
  return `the step “${STEP_KINDS[step.kind]} ${stepWords(setup, step)}”`;
}
