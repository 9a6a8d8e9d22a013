import { type Control, type Trigger, triggersOf } from '../devices/index.ts';
import { adaptBinding } from './adaptBinding.ts';
import { type Binding, keyOf, type Slot, slotOf } from './binding.ts';
import { checkBinding } from './checkSetup.ts';
import { bindingChanges } from './edits/changes.ts';
import { type Edit, together } from './edits/edit.ts';
import { sameJson } from './edits/sameJson.ts';
import type { Refusal } from './refusal.ts';
import { BASE_LAYER, type Setup } from './setup.ts';

/** What is copied: one cell of the Board, a row in every profile, all of a device, or a program's column; from where to where. */
export type Copying =
  | { readonly what: 'cell'; readonly from: Slot; readonly to: Slot }
  | { readonly what: 'row'; readonly layer: string; readonly from: RowPlace; readonly to: RowPlace }
  | { readonly what: 'device'; readonly from: string; readonly to: string }
  | { readonly what: 'column'; readonly from: string; readonly to: string };

/** A row of the Board: one way of using a control. */
export interface RowPlace {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
}

/** One slot a copy would set: what stands there now, what would, or why it cannot. */
export interface CopyStep {
  readonly slot: Slot;
  /** What is there now. */
  readonly before: Binding | null;
  readonly after: Binding | null;
  /** Why it stays as it is; null where it can be copied. */
  readonly refusal: Refusal | null;
}

/** What a copy would do, slot by slot, and the edit that does it; null where it would change nothing. */
export interface CopyPlan {
  readonly steps: readonly CopyStep[];
  /** Set now and set to something else by the copy. */
  readonly overwritten: readonly CopyStep[];
  /** What cannot be copied, and why. */
  readonly left: readonly CopyStep[];
  /** All of it as one edit; null where nothing would change. */
  readonly edit: Edit | null;
}

/** Works out a copy. What is set at the target and not at the source stays as it is. */
export function planCopy(setup: Setup, copying: Copying): CopyPlan {
  const steps = pairsOf(setup, copying).flatMap(([from, to]) => {
    const step = stepOf(setup, from, to);
    return step ? [step] : [];
  });
  const done = steps.filter(({ refusal }) => refusal === null);
  const changed = done.filter(({ before, after }) => !sameJson(before, after));
  const edits = changed.flatMap(({ slot, before, after }) => bindingChanges(slot, before, after));
  return {
    steps,
    overwritten: changed.filter(({ before }) => before !== null),
    left: steps.filter(({ refusal }) => refusal !== null),
    edit: edits.length > 0 ? together(edits) : null,
  };
}

/** Null where copying changes nothing. */
function stepOf(setup: Setup, from: Slot, to: Slot): CopyStep | null {
  const [source, target] = [setup.profiles[from.profile], setup.profiles[to.profile]];
  const binding = source?.bindings[keyOf(from)];
  if (!source || !target || !binding) return null;
  const before = target.bindings[keyOf(to)] ?? null;
  const adapted = adaptBinding(setup, binding, source, target, to.trigger);
  const refusal = checkBinding(setup, target, to, adapted);
  return { slot: to, before, after: refusal ? null : adapted, refusal };
}

/** A slot and the one its binding is copied to. */
type Pair = readonly [from: Slot, to: Slot];

/** The layer or page for another device: a page is of its own device only, elsewhere the base layer takes its place. */
export function layerOnDevice({ pages }: Setup, layer: string, device: string): string {
  const page = pages.find(({ id }) => id === layer);
  return page && page.device !== device ? BASE_LAYER : layer;
}

/** Every slot that is copied with where it goes to. */
function pairsOf(setup: Setup, copying: Copying): readonly Pair[] {
  if (copying.what === 'cell') return [[copying.from, copying.to]];
  if (copying.what === 'row') {
    const { layer, from, to } = copying;
    const there = layerOnDevice(setup, layer, to.device);
    return Object.keys(setup.profiles).map(
      (profile): Pair => [
        { profile, layer, ...from },
        { profile, layer: there, ...to },
      ],
    );
  }
  const slots = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.keys(bindings).flatMap((key) => slotOf(id, key) ?? []),
  );
  if (copying.what === 'column') {
    const own = slots.filter(({ profile }) => profile === copying.from);
    return own.map((slot): Pair => [slot, { ...slot, profile: copying.to }]);
  }
  const counterparts = counterpartsOf(setup, copying.from, copying.to);
  return slots
    .filter(({ device }) => device === copying.from)
    .flatMap((slot): Pair[] => {
      const control = counterparts.get(slot.control);
      return control === undefined ? [] : [[slot, { ...slot, device: copying.to, control }]];
    });
}

/** Which control of another device takes the place of each: the one with its id, else the same in count of its kind. */
export function counterpartsOf(setup: Setup, from: string, to: string): ReadonlyMap<string, string> {
  const controlsOf = (device: string) => setup.devices.find(({ id }) => id === device)?.controls ?? [];
  const others = controlsOf(to);
  const alike = (control: Control) => others.filter((other) => sameUses(control, other));
  const count = new Map<string, number>();
  return new Map(
    controlsOf(from).flatMap((control): [string, string][] => {
      const uses = triggersOf(control).join();
      const at = count.get(uses) ?? 0;
      count.set(uses, at + 1);
      const own = others.find(({ id }) => id === control.id) ?? alike(control)[at];
      return own ? [[control.id, own.id]] : [];
    }),
  );
}

/** Whether two controls can be used in the same ways. */
function sameUses(a: Control, b: Control): boolean {
  return triggersOf(a).join() === triggersOf(b).join();
}
