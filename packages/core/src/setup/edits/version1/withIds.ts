/** A JSON object of an older version, whose parts are not known to be as they should. */
type Loose = { readonly [name: string]: unknown };

/** An object of whatever fields: what is old is not trusted to fit a schema. */
const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Gives the items of a list ids by their places, where they have none. */
function number(
  list: unknown,
  word: string,
  inner: (item: Loose, id: string) => Loose = (item) => item,
): unknown {
  if (!Array.isArray(list)) return list;
  return list.map((item: unknown, i) => {
    if (!isLoose(item)) return item;
    const id = `${word}-${i + 1}`;
    return inner({ id, ...item }, id);
  });
}

/** Deeper steps than can be are left as they are found; they cannot be read anyway. */
const DEEPEST = 20;

/** Steps within steps as well, down to where the format itself ends. */
function numberLooseSteps(steps: unknown, word: string, deep = 0): unknown {
  if (deep > DEEPEST) return steps;
  return number(steps, word, (step, id) =>
    'steps' in step ? { ...step, steps: numberLooseSteps(step.steps, id, deep + 1) } : step,
  );
}

/** Version 1 had no ids on rules, steps of macros and items of radial menus: they are numbered by their places. */
export function rulesWithIds<Part extends Loose>(part: Part): Part {
  return 'rules' in part ? { ...part, rules: number(part.rules, 'rule') } : part;
}
/** A macro whose steps have ids, those inside others too. */
export function macroWithIds<Part extends Loose>(macro: Part): Part {
  return { ...macro, steps: numberLooseSteps(macro.steps, 'step') };
}
/** A radial menu whose items have ids. */
export function menuWithIds<Part extends Loose>(menu: Part): Part {
  return { ...menu, items: number(menu.items, 'item') };
}

/** A whole set-up of version 1, as far as it is one. */
export function setupWithIds(setup: unknown): unknown {
  if (!isLoose(setup)) return setup;
  const each = (list: unknown, change: (part: Loose) => Loose) =>
    Array.isArray(list) ? list.map((part: unknown) => (isLoose(part) ? change(part) : part)) : list;
  const profiles = isLoose(setup.profiles)
    ? Object.fromEntries(
        Object.entries(setup.profiles).map(([id, profile]) => [
          id,
          isLoose(profile) ? rulesWithIds(profile) : profile,
        ]),
      )
    : setup.profiles;
  return {
    ...setup,
    programs: each(setup.programs, rulesWithIds),
    profiles,
    ...('macros' in setup && { macros: each(setup.macros, macroWithIds) }),
    ...('radialMenus' in setup && { radialMenus: each(setup.radialMenus, menuWithIds) }),
  };
}
