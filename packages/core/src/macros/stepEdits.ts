import {
  type BareStep,
  isBlock,
  itemAt,
  type Macro,
  type MacroStep,
  type SingleEdit,
  wholeStep,
} from '../setup/index.ts';

/** Makes ids that nobody else makes, so that two people can add steps at once. */
export type NewId = () => string;

/** Where steps go: behind one, or at the beginning of a block's or (null) of the macro's own list. */
export type StepSpot = { readonly beside: string } | { readonly inside: string | null };

/** A list of steps: the macro's own, or one inside a block. */
interface StepList {
  readonly at: string;
  /** Null for the macro's own. */
  readonly block: string | null;
  readonly steps: readonly MacroStep[];
}

/** Every list of a macro, outer ones first. */
function listsOf(macro: Macro): readonly StepList[] {
  const inside = (list: StepList): readonly StepList[] =>
    list.steps.flatMap((step) => {
      if (!isBlock(step)) return [];
      const below = { at: `${list.at}/steps/${step.id}`, block: step.id, steps: step.steps };
      return [below, ...inside(below)];
    });
  const own = { at: itemAt.macro(macro.id), block: null, steps: macro.steps };
  return [own, ...inside(own)];
}

/** The list a step stands in, and its place there. */
function whereIs(macro: Macro, id: string): { readonly list: StepList; readonly place: number } | null {
  for (const list of listsOf(macro)) {
    const place = list.steps.findIndex((step) => step.id === id);
    if (place >= 0) return { list, place };
  }
  return null;
}

/** The address of a step; null for one that is not there. */
export function stepAt(macro: Macro, id: string): string | null {
  const found = whereIs(macro, id);
  return found && `${found.list.at}/steps/${id}`;
}

/** Sets fields of a step; nothing for one that is gone. */
export function setStep(
  macro: Macro,
  id: string,
  fields: Readonly<Record<string, unknown>>,
): readonly SingleEdit[] {
  const at = stepAt(macro, id);
  return at === null ? [] : [{ kind: 'set', at, fields: { ...fields } }];
}

/** Where a spot is: the list, and the id of the step before it. */
function spotOf(
  macro: Macro,
  spot: StepSpot,
): { readonly list: StepList; readonly after: string | null } | null {
  if ('beside' in spot) {
    const found = whereIs(macro, spot.beside);
    return found && { list: found.list, after: spot.beside };
  }
  const list = listsOf(macro).find(({ block }) => block === spot.inside);
  return list ? { list, after: null } : null;
}

/** Steps with ids of their own, those inside others too. */
export function withNewIds(steps: readonly BareStep[], newId: NewId): readonly MacroStep[] {
  // What is copied has an id already, which stays where it is.
  return steps.map((step) => wholeStep(step, newId(), (inside) => [...withNewIds(inside, newId)]));
}

/** Adds steps at a spot, in their order; nothing where the spot is gone. */
export function addSteps(
  macro: Macro,
  spot: StepSpot,
  steps: readonly BareStep[],
  newId: NewId,
): readonly SingleEdit[] {
  const found = spotOf(macro, spot);
  return found ? putAfter(found.list.at, found.after, withNewIds(steps, newId)) : [];
}

/** Adds one step. */
export function addStep(macro: Macro, spot: StepSpot, step: BareStep, newId: NewId): readonly SingleEdit[] {
  return addSteps(macro, spot, [step], newId);
}

function putAfter(list: string, first: string | null, steps: readonly MacroStep[]): readonly SingleEdit[] {
  let after = first;
  return steps.map((step): SingleEdit => {
    const edit: SingleEdit = { kind: 'add', at: `${list}/steps/${step.id}`, item: step, after };
    after = step.id;
    return edit;
  });
}

/** Steps of those chosen, in their order, without those that are inside another of them. */
export function chosenSteps(macro: Macro, ids: ReadonlySet<string>): readonly MacroStep[] {
  const walk = (steps: readonly MacroStep[]): readonly MacroStep[] =>
    steps.flatMap((step) => (ids.has(step.id) ? [step] : isBlock(step) ? walk(step.steps) : []));
  return walk(macro.steps);
}

/** Removes steps, with what is in them. */
export function removeSteps(macro: Macro, ids: ReadonlySet<string>): readonly SingleEdit[] {
  return chosenSteps(macro, ids).flatMap(({ id }): readonly SingleEdit[] => {
    const at = stepAt(macro, id);
    return at === null ? [] : [{ kind: 'remove', at }];
  });
}

/**
 * Moves steps to a spot, in their order. Those that stay in their list are moved there, so that what others change in
 * them meanwhile stays; nothing where the spot is inside one of them.
 */
export function moveSteps(macro: Macro, ids: ReadonlySet<string>, spot: StepSpot): readonly SingleEdit[] {
  const steps = chosenSteps(macro, ids);
  const found = spotOf(macro, spot);
  if (!found || steps.some((step) => isWithin(step, found.list.block))) return [];
  const { list } = found;
  // Behind what does not go itself.
  let after = found.after;
  for (let i = list.steps.findIndex(({ id }) => id === after); after !== null && ids.has(after); ) {
    i -= 1;
    after = list.steps[i]?.id ?? null;
  }
  return steps.flatMap((step): readonly SingleEdit[] => {
    const from = stepAt(macro, step.id);
    const at = `${list.at}/steps/${step.id}`;
    const behind = after;
    after = step.id;
    if (from === null) return [];
    if (from === at) return [{ kind: 'move', at, after: behind }];
    return [
      { kind: 'remove', at: from },
      { kind: 'add', at, item: step, after: behind },
    ];
  });
}

/** Whether a block is a step, or in it. */
function isWithin(step: MacroStep, block: string | null): boolean {
  if (block === null || !isBlock(step)) return false;
  return step.id === block || step.steps.some((inner) => isWithin(inner, block));
}

/** A block without the steps that go into it. */
export type BlockBody =
  | { readonly kind: 'hold'; readonly keys: string }
  | { readonly kind: 'repeat'; readonly times: number };

/** Puts a block round steps that stand next to each other in one list: where the first of them was. */
export function wrapSteps(
  macro: Macro,
  ids: ReadonlySet<string>,
  block: BlockBody,
  newId: NewId,
): readonly SingleEdit[] {
  const steps = chosenSteps(macro, ids);
  const [first] = steps;
  const found = first && whereIs(macro, first.id);
  if (!found) return [];
  const before = found.list.steps.slice(0, found.place).at(-1)?.id ?? null;
  const id = newId();
  const item = { id, note: null, skipped: false, ...block, steps: [...steps] };
  return [
    ...removeSteps(macro, ids),
    { kind: 'add', at: `${found.list.at}/steps/${id}`, item, after: before },
  ];
}

/** Takes a block away from round its steps, which stay where it was. */
export function unwrapStep(macro: Macro, id: string): readonly SingleEdit[] {
  const found = whereIs(macro, id);
  const step = found?.list.steps[found.place];
  if (!found || !step || !isBlock(step)) return [];
  const before = found.list.steps[found.place - 1]?.id ?? null;
  return [
    { kind: 'remove', at: `${found.list.at}/steps/${id}` },
    ...putAfter(found.list.at, before, step.steps),
  ];
}
