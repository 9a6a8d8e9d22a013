import { type NativeOutput, tunedControl } from '@nimble-lever/core/devices';
import { coveringFolders, coveringOf, resolveBehaviour } from '@nimble-lever/core/resolve';
import { BASE_LAYER, type Binding, type Page, type Profile, type Setup } from '@nimble-lever/core/setup';
import { describeActionIn, nativeName, profileName, programName, wheelText } from '@nimble-lever/core/words';
import type { CellFace } from '../../pieces/Cell.tsx';
import { layersOf, type UsePlace } from './lookUp.ts';
import { WORDS } from './words.ts';

/** What a cell was looked up from. */
interface Looked {
  readonly layer: string;
  /** Whether what differs from the base layer is told. */
  readonly compare: boolean;
}

/** What a cell shows: what its control does in a profile, in a layer. */
export function faceOf(
  setup: Setup,
  chain: readonly Profile[],
  asked: Profile,
  row: UsePlace,
  { layer, compare }: Looked,
): CellFace {
  const { device, control, trigger } = row;
  const covering = coveringOf(coveringFolders(setup), control);
  const { decided, covered } = resolveBehaviour(
    chain,
    layersOf(layer),
    device.id,
    control.id,
    trigger,
    covering,
  );
  const page = setup.pages.find(({ id }) => id === layer) ?? null;
  // A page of a program never shows with another one in front: what would show through says nothing then.
  if (decided?.layer !== layer && isElsewhere(page, asked)) {
    return { ...NOT_HERE, name: WORDS.pageNotHere(page?.name ?? '') };
  }
  // Set here, and not only decided by something that is set elsewhere.
  const here = decided?.profile === asked.id && decided.layer === layer;
  // Where it comes from, told in grey beside what is inherited.
  const from = decided && !here ? placeName(setup, decided, asked, layer) : null;
  const hasNote = here && decided?.binding.note !== null;
  const base = compare && decided && decided.layer !== BASE_LAYER ? baseName(setup, chain, asked, row) : null;
  const source = here ? 'set' : 'inherited';
  return {
    source,
    from,
    hasNote,
    base,
    layer: decided?.layer ?? null,
    // What a folder covers does not even do what it does by itself.
    ...doesOf(setup, decided, asked, covered === null ? nativeOf(row) : null),
  };
}

/** Whether a page belongs to another program than that of a column. Everywhere is under all of them. */
function isElsewhere(page: Page | null, { program }: Profile): boolean {
  return page !== null && page.program !== null && program !== null && page.program !== program;
}

/** A cell that can never decide. */
const NOT_HERE: Omit<CellFace, 'name'> = {
  source: 'inherited',
  does: 'nothing',
  from: null,
  hasNote: false,
  base: null,
  layer: null,
  shortcut: null,
  family: null,
  intent: null,
};

/** What a control does by itself, as its device is set. */
function nativeOf({ device, control, trigger }: UsePlace): NativeOutput | null {
  return tunedControl(control, device.settings).native[trigger] ?? null;
}

/** What the same cell is called on the base layer, to compare with. */
function baseName(setup: Setup, chain: readonly Profile[], asked: Profile, row: UsePlace): string {
  return faceOf(setup, chain, asked, row, { layer: BASE_LAYER, compare: false }).name;
}

type Decided = { readonly profile: string; readonly layer: string; readonly binding: Binding } | null;

/** Where what decides was found, as far as it is elsewhere than where one asked. */
function placeName(setup: Setup, decided: NonNullable<Decided>, asked: Profile, shown: string): string {
  if (decided.profile !== asked.id) return profileName(setup, decided.profile);
  // What shows through a page comes from the device's own.
  if (setup.pages.some(({ id }) => id === shown)) return 'home';
  const layer = setup.layers.find(({ id }) => id === decided.layer)?.name ?? decided.layer;
  return `layer ${layer}`;
}

type Does = Pick<CellFace, 'does' | 'name' | 'shortcut' | 'family' | 'intent'>;

/** What is done, and what it is called in the column of `asked`. `native` is what the control does by itself there. */
function doesOf(setup: Setup, decided: Decided, asked: Profile, native: NativeOutput | null): Does {
  const nothing = { shortcut: null, family: null, intent: null } as const;
  const behaviour = decided?.binding.behaviour;
  if (!decided || !behaviour || behaviour.kind === 'native') {
    // Nothing is set, and nothing would happen: a dash says that better than a word in three hundred cells.
    if (!native) return { ...nothing, does: 'nothing', name: behaviour ? 'nothing by itself' : '—' };
    return { ...nothing, does: 'native', name: `native: ${nativeName(native)}` };
  }
  if (behaviour.kind === 'off') return { ...nothing, does: 'off', name: offName(setup, behaviour.heardBy) };
  // A command is looked up in the program of the profile that decided: that is whose shortcut is sent.
  const owner = setup.profiles[decided.profile] ?? asked;
  const { action, target } = behaviour;
  const { name, shortcut, family, intent } = describeActionIn(setup, asked, owner, action);
  const keycap = action.kind === 'wheel' ? wheelText(action.ticks, action.axis) : shortcut;
  // Keys that no command has are best called what the person wrote on the control.
  const label = decided.binding.face?.label;
  const shown = action.kind === 'shortcut' && name === 'Send keys' && label ? label : name;
  const to = target ? ` in ${programName(setup, target.program)}` : '';
  return { does: 'action', name: `${shown}${to}`, shortcut: keycap, family, intent };
}

/** A binding of a profile in a few words. */
export function bindingName(setup: Setup, profile: Profile, binding: Binding): string {
  if (binding.behaviour.kind === 'native') return 'native';
  return doesOf(setup, { profile: profile.id, layer: BASE_LAYER, binding }, profile, null).name;
}

/** Off is said with those that still hear it: else it would look as if nothing came of it. */
function offName(setup: Setup, heardBy: readonly string[]): string {
  const names = heardBy.map((id) => programName(setup, id)).join(', ');
  return names ? `off here, heard by ${names}` : 'off here';
}
