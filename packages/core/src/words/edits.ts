import {
  type Behaviour,
  type Edit,
  type ItemKind,
  isBlock,
  type MacroStep,
  parseAddress,
  type Setup,
  type SingleEdit,
  type Slot,
  slotAt,
} from '../setup/index.ts';
import { ITEM_WORDS } from './itemWords.ts';
import { commandName, deviceName, profileName, triggerNameIn } from './names.ts';

/** How things are called where the set-up alone does not say. */
export interface EditNames {
  /** What a step of a macro is called; without it, it is only called a step. */
  readonly step?: (setup: Setup, step: MacroStep) => string;
  /** The name of what was taken away, by its address. */
  readonly gone?: (at: string) => string | null;
  /** What a thing was called before it was renamed, by its address. */
  readonly was?: (at: string) => string | null;
  /** What is done where it is bound. */
  readonly does?: (slot: Slot, behaviour: Behaviour) => string;
  /** Which fields are set, and to what. */
  readonly fields?: (edit: Extract<SingleEdit, { kind: 'set' }>) => string;
}
const ANY_STEP = `a ${ITEM_WORDS.step}`;

/**
 * An edit in a few words, for the undo button and the history: `Turn clockwise in Larkframe`.
 *
 * @param names `stepName` for steps, where there is room for the words of every kind
 */
export function editWords(setup: Setup, edit: Edit, names: EditNames = {}): string {
  if (edit.kind !== 'together') return singleWords(setup, edit, names);
  // A part that takes its bindings along is what the person did; the bindings are how.
  const part = edit.edits.find(({ at }) => slotAt(at) === null);
  const isBound = edit.edits.some(({ at }) => slotAt(at) !== null);
  if (part && isBound) return `${singleWords(setup, part, names)} with what is bound to it`;
  const [first] = edit.edits;
  const rest = new Set(edit.edits.map(({ at }) => at)).size - 1;
  return first ? `${singleWords(setup, first, names)}${rest > 0 ? ` and ${rest} more` : ''}` : 'nothing';
}

/** One edit in words, beginning with a verb: it stands after "Undo:". */
function singleWords(setup: Setup, edit: SingleEdit, names: EditNames): string {
  const slot = slotAt(edit.at);
  if (slot) return bindingWords(setup, edit, slot, names);
  const name = itemWords(setup, edit, names);
  switch (edit.kind) {
    case 'set': {
      const isRenamed = typeof edit.fields.name === 'string' && Object.keys(edit.fields).length === 1;
      if (!isRenamed) return `change ${name}${names.fields ? ` (${names.fields(edit)})` : ''}`;
      const was = names.was?.(edit.at);
      return was ? `rename ${was} to ${edit.fields.name}` : `rename to ${edit.fields.name}`;
    }
    case 'add':
      return `add ${name}`;
    case 'remove':
      return `remove ${name}`;
    case 'move':
      return `move ${name}`;
  }
}

/** An edit of a binding: what of it, and where. */
function bindingWords(setup: Setup, edit: SingleEdit, slot: Slot, names: EditNames): string {
  const where = slotWords(setup, slot);
  // A binding is cleared, never removed: its control stays.
  if (edit.kind !== 'set') return `clear ${where}`;
  const fields = Object.keys(edit.fields);
  if (fields.every((path) => path.startsWith('face'))) return `face of ${where}`;
  if (fields.every((path) => path === 'note')) return `note on ${where}`;
  const { behaviour } = edit.fields;
  return names.does && behaviour
    ? `set ${where} to ${names.does(slot, behaviour as Behaviour)}`
    : `set ${where}`;
}

/** A cell in words. */
function slotWords(setup: Setup, { profile, device, control, trigger }: Slot): string {
  const name = triggerNameIn(setup, device, control, trigger).toLowerCase();
  return `${deviceName(setup, device)}, ${name} in ${profileName(setup, profile)}`;
}

/** What an edit is about, by name where it has one: `Bench dial`, `Dial of Bench dial`, `a step of Hold a frame`. */
function itemWords(setup: Setup, edit: SingleEdit, names: EditNames = {}): string {
  const { kind, steps } = parseAddress(edit.at) ?? { kind: 'setup', steps: [] };
  const [first, ...rest] = steps;
  if (!first) return `the ${ITEM_WORDS.setup}`;
  const added = edit.kind === 'add' ? (edit.item as { name?: unknown; label?: unknown }) : null;
  const given = names.gone?.(edit.at) ?? (added && String(added.name ?? added.label ?? ''));
  if (kind === 'unreadable') return `a ${ITEM_WORDS[kind]}`;
  if (rest.length === 0) return given || topName(setup, kind, first.id);
  const owner = topName(setup, first.list.of, first.id);
  if (kind === 'step') {
    const step = edit.kind === 'add' ? (edit.item as MacroStep) : stepIn(setup, first.id, rest);
    const called = names.gone?.(edit.at) ?? (step && names.step?.(setup, step));
    return `${called ?? ANY_STEP} of ${owner}`;
  }
  const own = given || innerName(setup, kind, first.id, rest.at(-1)?.id ?? '');
  return own ? `${own} of ${owner}` : `a ${ITEM_WORDS[kind]} of ${owner}`;
}

/** A step of a macro by the steps it stands in; none where it is gone. */
function stepIn(
  { macros }: Setup,
  macro: string,
  way: readonly { readonly id: string }[],
): MacroStep | undefined {
  let steps = macros.find(({ id }) => id === macro)?.steps;
  let step: MacroStep | undefined;
  for (const { id } of way) {
    step = steps?.find((each) => each.id === id);
    steps = step && isBlock(step) ? step.steps : undefined;
  }
  return step;
}

/** The name of a thing that stands at the top of the set-up. */
function topName(setup: Setup, kind: ItemKind, id: string): string {
  if (kind === 'profile') return profileName(setup, id);
  if (kind === 'command') return commandName(setup, id) ?? id;
  const { devices, programs, layers, pages, macros, radialMenus } = setup;
  const lists = [devices, programs, layers, pages, macros, radialMenus];
  const kinds: readonly ItemKind[] = ['device', 'program', 'layer', 'page', 'macro', 'radial-menu'];
  const list = lists[kinds.indexOf(kind)] ?? [];
  return list.find((item) => item.id === id)?.name ?? id;
}

/** The name of a thing inside another. */
function innerName(setup: Setup, kind: ItemKind, owner: string, id: string): string | null {
  switch (kind) {
    case 'control': {
      const device = setup.devices.find((own) => own.id === owner);
      return device?.controls.find((control) => control.id === id)?.name ?? null;
    }
    case 'command':
      return commandName(setup, id);
    case 'radial-item': {
      const menu = setup.radialMenus.find((own) => own.id === owner);
      return menu?.items.find((item) => item.id === id)?.label ?? null;
    }
    case 'setup':
    case 'device':
    case 'program':
    case 'rule':
    case 'layer':
    case 'page':
    case 'profile':
    case 'binding':
    case 'macro':
    case 'step':
    case 'radial-menu':
    case 'unreadable':
      return null;
  }
}

/** Fields as a person sees them, by their path in the file. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  behaviour: 'what it does',
  'behaviour.action': 'what it does',
  'behaviour.style': 'how it is sent',
  'behaviour.repeat': 'how often it repeats',
  'behaviour.guard': 'what it asks for first',
  'behaviour.target': 'who gets it',
  'face.label': 'its label',
  'face.icon': 'its icon',
  'face.colour': 'its colour',
  'face.picture': 'its picture',
  face: 'its face',
  note: 'its note',
  name: 'its name',
  label: 'its label',
  action: 'what it does',
};

/** Fields in words, for a sentence: `its note and its label`, `holdMs`. */
export function fieldsWords(fields: readonly string[]): string {
  const words = [...new Set(fields.map((path) => FIELD_WORDS[path] ?? 'a setting'))];
  const last = words.pop();
  return words.length > 0 ? `${words.join(', ')} and ${last}` : (last ?? '');
}

/** Whether and where: `Bench dial, press in Larkframe` for a binding, else the item's name. */
export function placeWords(setup: Setup, at: string): string {
  const slot = slotAt(at);
  return slot ? slotWords(setup, slot) : itemWords(setup, { kind: 'remove', at });
}
