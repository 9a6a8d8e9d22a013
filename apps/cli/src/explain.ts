import { type Control, type Trigger, triggerSchema, triggersOf, wayOf } from '@nimble-lever/core/devices';
import {
  type Compiled,
  compile,
  type EngineState,
  INITIAL_STATE,
  programFor,
  resolutionNow,
  type Stroke,
  showing,
  step,
} from '@nimble-lever/core/engine';
import type { FrontWindow, Resolution } from '@nimble-lever/core/resolve';
import { eventsOfUse } from '@nimble-lever/core/review';
import { BASE_LAYER, type Setup } from '@nimble-lever/core/setup';
import { accountOf, sentOf, triggerName, whyThisOne } from '@nimble-lever/core/words';
import { Refused, readSetup } from './files.ts';

/**
 * What the person asks: which control, in which program, and what of it. The layer, the page and the trigger may be
 * left out; then the base layer counts, the page that the program has at first, and the one trigger that is bound.
 */
interface Asked {
  readonly front: string;
  /** `device/control`. */
  readonly control: string;
  readonly trigger: string | null;
  readonly layer: string | null;
  /** A page of the control's device: a folder that is open, or the set that is chosen. */
  readonly page: string | null;
}

/** What a control would do with a program in front, and why: for one trigger, or for all that are set. */
export function explain(file: string, asked: Asked): string {
  const setup = readSetup(file);
  const { device, control } = findControl(setup, asked.control);
  if (asked.layer !== null && !setup.layers.some(({ id }) => id === asked.layer)) {
    throw new Refused(`There is no layer “${asked.layer}”. ${listed(setup.layers.map(({ id }) => id))}`);
  }
  const compiled = compile(setup);
  const window = windowOf(setup, asked.front);
  const layered = showing(compiled, INITIAL_STATE, asked.layer ?? BASE_LAYER);
  const fronted = step(compiled, layered, { kind: 'front', t: 0, window });
  const { subject, did, why } = accountOf(setup, fronted.explanation);
  const { profile } = fronted.state;
  const shown = asked.page === null ? fronted.state : withPage(compiled, fronted.state, device, asked.page);
  const triggers = asked.trigger === null ? triggersOf(control) : [readTrigger(control, asked.trigger)];
  const lines = triggers.flatMap((trigger) => {
    const resolution = resolutionNow(compiled, shown, device, control.id, trigger);
    const isNative = control.native[trigger] !== undefined && resolution.covered === null;
    if (asked.trigger === null && resolution.decided === null && !isNative) return [];
    const instead = isBound(resolution) || isNative ? null : insteadOf(trigger);
    const looked = instead ? resolutionNow(compiled, shown, device, control.id, instead.trigger) : resolution;
    let state = shown;
    const strokes: Stroke[] = [];
    for (const event of eventsOfUse(device, control, trigger)) {
      const stepped = step(compiled, state, event);
      state = stepped.state;
      strokes.push(...stepped.strokes);
    }
    const sent = sentOf(strokes).map(({ text, count }) => (count > 1 ? `${text} ×${count}` : text));
    const what = sent.length > 0 ? sent.join(', ') : 'nothing is sent';
    const not = instead ? `not set, so it is ${instead.words}: ` : '';
    return `${triggerName(control, trigger)}: ${not}${what}. ${whyThisOne(setup, looked, profile)}\n`;
  });
  return `${subject} ${did}. ${why}\n${lines.join('')}`;
}

/** The state with a page of a device on: it must be one that can be on with the program in front. */
function withPage(compiled: Compiled, state: EngineState, device: string, id: string): EngineState {
  const { pages, programs } = compiled.setup;
  const own = pages.filter((page) => page.device === device);
  const page = own.find((each) => each.id === id);
  if (!page) throw new Refused(`${device} has no page “${id}”. ${listed(own.map((each) => each.id))}`);
  const front = programFor(compiled, state, device);
  if (page.program !== null && page.program !== front) {
    const name = programs.find((program) => program.id === page.program)?.name ?? page.program;
    throw new Refused(`The page “${page.name}” is only there with ${name} in front.`);
  }
  return showing(compiled, state, id);
}

/** Whether something is bound that counts: set to native, most triggers are as if they were not there. */
function isBound({ decided }: Resolution): boolean {
  return decided !== null && decided.binding.behaviour.kind !== 'native';
}

/** What a use is where nothing is set for it itself; null where it is nothing else. */
function insteadOf(trigger: Trigger): { readonly trigger: Trigger; readonly words: string } | null {
  switch (wayOf(trigger)) {
    case 'hold':
    case 'nudge':
      return { trigger: 'press', words: 'a press' };
    case 'press':
      return trigger === 'press' ? null : { trigger: 'press', words: 'a press' };
    case 'pressed-turn':
      return {
        trigger: trigger === 'pressed-clockwise' ? 'clockwise' : 'anticlockwise',
        words: 'a turn like any other',
      };
    case 'turn':
    case 'shuttle':
    case 'slide':
    case 'slide-step':
    case 'phrase':
      return null;
  }
}

/**
 * The control named by `device/control`. A wrong name is refused together with the names there are, because
 * ids are what a person cannot guess.
 */
function findControl(setup: Setup, place: string): { device: string; control: Control } {
  const [deviceId = '', controlId = ''] = place.split('/');
  const device = setup.devices.find(({ id }) => id === deviceId);
  if (!device)
    throw new Refused(`There is no device “${deviceId}”. ${listed(setup.devices.map(({ id }) => id))}`);
  const control = device.controls.find(({ id }) => id === controlId);
  if (!control) {
    const known = device.controls.map(({ id }) => id);
    throw new Refused(`${device.name} has no control “${controlId}”. ${listed(known)}`);
  }
  return { device: device.id, control };
}

/**
 * A trigger by its name, if the control has it; a dial has no nudge, and saying so is better than an empty
 * answer.
 */
function readTrigger(control: Control, text: string): Trigger {
  const { data } = triggerSchema.safeParse(text);
  if (data && triggersOf(control).includes(data)) return data;
  throw new Refused(`${control.name} has no trigger “${text}”. ${listed(triggersOf(control))}`);
}

/** A program's window by its id or name; any other text is taken as an executable. */
function windowOf(setup: Setup, front: string): FrontWindow {
  const program = setup.programs.find(({ id, name }) => id === front || name === front);
  const exact = program?.rules.find(({ executable }) => executable?.match === 'exact');
  return { executable: exact?.executable?.text ?? front, class: '', title: '' };
}

/** The choice there was, at the end of a refusal. */
function listed(names: readonly string[]): string {
  return `There are: ${names.join(', ')}.`;
}
