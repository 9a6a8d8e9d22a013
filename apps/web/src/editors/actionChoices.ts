import { WHEEL_MODES } from '@nimble-lever/core/devices';
import {
  type Action,
  BASE_LAYER,
  type Command,
  commandPairs,
  intentsIn,
  type Page,
  type Profile,
  type Setup,
} from '@nimble-lever/core/setup';
import { commonCommandsIn, describeAction, deviceName, intentName } from '@nimble-lever/core/words';
import type { ActionTarget } from './actionTarget.ts';
import { WORDS } from './words.ts';

/** Something a control can be given to do, as the chooser lists it. */
export interface ActionChoice {
  /** The same as long as it is the same choice, whatever its numbers are. */
  readonly id: string;
  readonly name: string;
  /** The heading it stands under. */
  readonly group: string;
  /** In our notation; null for what sends no keys. */
  readonly shortcut: string | null;
  /** Null for one that is made first: a new radial menu. */
  readonly action: Action | null;
  /** What the same movement the other way does with it, as one choice. */
  readonly other: Action | null;
}

/** Everything that can be chosen: the program's commands, the common ones, and what needs no command. */
export function actionChoices({
  setup,
  profile,
  programName,
  device,
  onlyMessages,
  pair,
}: ActionTarget): readonly ActionChoice[] {
  const messages: readonly Action[] = [
    { kind: 'message', message: { protocol: 'osc', address: '/value', low: 0, high: 1 } },
    { kind: 'message', message: { protocol: 'midi', channel: 1, controller: 1, low: 0, high: 127 } },
  ];
  const listed = (actions: readonly Action[]) => actions.map((action) => otherChoice(setup, profile, action));
  // A slider's value is a number; only messages can carry it.
  if (onlyMessages) return listed(messages);
  // The program's commands come first: they are what is wanted nine times out of ten.
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  const command =
    (group: string) =>
    ({ id, name, shortcut }: { id: string; name: string; shortcut: string }): ActionChoice => ({
      id: `command ${id}`,
      name,
      group,
      shortcut,
      action: { kind: 'command', command: id },
      other: null,
    });
  return [
    ...pairChoices(pair, own, setup.commonCommands),
    ...own.map(command(WORDS.choices.program(programName))),
    ...commonCommandsIn(setup, profile).map(command(WORDS.choices.common)),
    ...intentChoices(setup),
    ...pageActions(setup, device).map((action) => pageChoice(setup, profile, action, device)),
    ...listed([...otherActions(setup), ...messages]),
    {
      id: 'new-menu',
      name: WORDS.newMenu,
      group: WORDS.choices.other,
      shortcut: null,
      action: null,
      other: null,
    },
  ];
}

/** Ideas that programs share: each of them runs its own command for it. */
function intentChoices(setup: Setup): readonly ActionChoice[] {
  return intentsIn(setup).map((intent): ActionChoice => {
    const action: Action = { kind: 'intent', intent };
    const name = WORDS.intent(intentName(intent));
    return { id: choiceId(action), name, group: WORDS.choices.intents, shortcut: null, action, other: null };
  });
}

/** Commands that undo each other's step, for both ways of a movement at once. */
function pairChoices(
  pair: ActionTarget['pair'],
  own: readonly Command[],
  common: readonly Command[],
): readonly ActionChoice[] {
  if (!pair) return [];
  return [...commandPairs(own), ...commandPairs(common)].map(({ plus, minus }): ActionChoice => {
    const [mine, other] = pair.isPlus ? [plus, minus] : [minus, plus];
    return {
      id: `pair ${plus.id} ${minus.id}`,
      name: WORDS.pair(mine.name, other.name),
      group: WORDS.choices.pairs,
      shortcut: null,
      action: { kind: 'command', command: mine.id },
      other: { kind: 'command', command: other.id },
    };
  });
}

/**
 * Actions that are no command of a program. One of each, to be changed afterwards; layers, macros and menus
 * by their names.
 */
function otherActions(setup: Setup): readonly Action[] {
  const layers = setup.layers.filter(({ id }) => id !== BASE_LAYER);
  return [
    { kind: 'text', text: 'heron' },
    ...[0, 1, 2].map((button): Action => ({ kind: 'button', button })),
    { kind: 'click', button: 0, count: 2, at: null },
    { kind: 'drag', keys: 'Space', button: 0 },
    { kind: 'wheel', ticks: 1, axis: 'vertical' },
    { kind: 'wheel', ticks: -1, axis: 'vertical' },
    { kind: 'wheel', ticks: 1, axis: 'horizontal' },
    { kind: 'wheel', ticks: -1, axis: 'horizontal' },
    ...setup.macros.map(({ id }): Action => ({ kind: 'macro', macro: id })),
    ...setup.radialMenus.map(({ id }): Action => ({ kind: 'radial', menu: id })),
    ...layers.map(({ id }): Action => ({ kind: 'layer', layer: id, mode: 'on' })),
    { kind: 'profile', change: 'next', profiles: [] },
    { kind: 'profile', change: 'previous', profiles: [] },
    { kind: 'profile', change: 'automatic', profiles: [] },
    ...Object.keys(setup.profiles).map((id): Action => ({ kind: 'profile', change: 'pin', profiles: [id] })),
    ...(['next', 'previous', 'set', 'while-held'] as const).map(
      (change): Action => ({ kind: 'speed', device: null, change, step: 1 }),
    ),
    ...(['toggle', 'while-held'] as const).map(
      (change): Action => ({ kind: 'wheel-mode', device: null, change, mode: 'free' }),
    ),
    ...WHEEL_MODES.map((mode): Action => ({ kind: 'wheel-mode', device: null, change: 'set', mode })),
    { kind: 'show', device: null },
    ...setup.devices.map(({ id }): Action => ({ kind: 'show', device: id })),
    { kind: 'computer', device: null, change: 'next', computer: 0 },
    { kind: 'computer', device: null, change: 'set', computer: 0 },
    ...setup.programs.map(({ id }): Action => ({ kind: 'program', program: id, launch: true })),
  ];
}

/** An action about pages. */
type PageAction = Extract<Action, { kind: 'page' }>;

/** What can be done with pages, those of the control's own device first; nothing about what there is none of. */
function pageActions({ pages }: Setup, device: string | null): readonly PageAction[] {
  const about = (change: PageAction['change'], page: string | null = null): PageAction => ({
    kind: 'page',
    change,
    page,
    device: null,
  });
  const named = pages
    .toSorted((a, b) => Number(b.device === device) - Number(a.device === device))
    .map(({ id, kind }) => about(kind === 'folder' ? 'open' : 'choose', id));
  const has = (kind: Page['kind']) => pages.some((page) => page.kind === kind);
  return [
    ...named,
    ...(has('folder') ? (['back', 'home'] as const) : []).map((change) => about(change)),
    ...(has('set') ? (['choose', 'next-set', 'previous-set', 'ask'] as const) : []).map((change) =>
      about(change),
    ),
  ];
}

/** Named with its device, where that is not the control's own. */
function pageChoice(setup: Setup, profile: Profile, action: PageAction, device: string | null): ActionChoice {
  const choice = otherChoice(setup, profile, action);
  const owner = setup.pages.find(({ id }) => id === action.page)?.device ?? device;
  const name =
    owner === device || owner === null ? choice.name : `${choice.name}, ${deviceName(setup, owner)}`;
  return { ...choice, name, group: WORDS.choices.pages };
}

/** An action of the list as the chooser shows it. */
function otherChoice(setup: Setup, profile: Profile, action: Action): ActionChoice {
  const { name, shortcut } = describeAction(setup, profile, action);
  const called =
    action.kind === 'drag'
      ? WORDS.drag
      : action.kind === 'text'
        ? WORDS.typeText
        : action.kind === 'radial' || action.kind === 'macro'
          ? `${WORDS.kinds[action.kind]}: ${name}`
          : name;
  return { id: choiceId(action), name: called, group: WORDS.choices.other, shortcut, action, other: null };
}

/** What an action is listed as, whatever its numbers and texts are. */
export function choiceId(action: Action): string {
  switch (action.kind) {
    case 'command':
      return `command ${action.command}`;
    case 'intent':
      return `intent ${action.intent}`;
    case 'show':
      return `show ${action.device}`;
    case 'button':
      return `button ${action.button}`;
    case 'wheel':
      return `wheel ${action.axis} ${Math.sign(action.ticks)}`;
    case 'macro':
      return `macro ${action.macro}`;
    case 'radial':
      return `radial ${action.menu}`;
    case 'layer':
      return `layer ${action.layer}`;
    case 'page':
      return `page ${action.change} ${action.page}`;
    case 'profile':
      return `profile ${action.change} ${action.profiles.join()}`;
    case 'wheel-mode':
      return `wheel-mode ${action.change} ${action.change === 'set' ? action.mode : ''}`;
    case 'speed':
    case 'computer':
      return `${action.kind} ${action.change}`;
    case 'program':
      return `program ${action.program}`;
    case 'message':
      return `message ${action.message.protocol}`;
    // What is typed is not part of it: whatever text, it is listed once.
    case 'drag':
    case 'shortcut':
    case 'sequence':
    case 'text':
    case 'click':
      return action.kind;
  }
}
