import {
  applyEdit,
  changesOf,
  type Edit,
  MOST_TOGETHER,
  parseAddress,
  type Setup,
  type SingleEdit,
  sameJson,
  together,
} from '../setup/index.ts';

/** What makes one set-up of another. */
export type EditTo =
  | { readonly kind: 'edit'; readonly edit: Edit }
  /** They are the same. */
  | { readonly kind: 'there' }
  /** It takes more changes than apply as one. */
  | { readonly kind: 'too-many' }
  /** No order of the changes was found in which each applies. */
  | { readonly kind: 'no-way' };

/** So often what is still otherwise is looked at anew. */
const ROUNDS = 8;

/**
 * The one edit that makes a sound set-up another sound one; parts that cannot be read stay as they are. Changes go in the
 * order in which each applies: what others need first, what others are in the way of last.
 */
export function editTo(from: Setup, to: Setup): EditTo {
  const goal = { ...to, unreadable: from.unreadable };
  const done: SingleEdit[] = [];
  let now = from;
  for (let round = 0; round < ROUNDS; round++) {
    const changes = changesOf('', now, goal);
    if (changes.length === 0) {
      if (done.length > MOST_TOGETHER) return { kind: 'too-many' };
      return done.length === 0 ? { kind: 'there' } : { kind: 'edit', edit: together(done) };
    }
    const all = applyEdit(now, together(changes));
    const inTurn = all.ok ? { setup: all.value.setup, made: changes } : applyInTurn(now, changes);
    const applied = inTurn.made.length > 0 ? inTurn : makeWay(now, changes);
    if (!applied) break;
    done.push(...applied.made);
    now = applied.setup;
  }
  return sameJson(now, goal) ? { kind: 'edit', edit: together(done) } : { kind: 'no-way' };
}

/** What was applied, and what that gives. */
interface Made {
  readonly setup: Setup;
  readonly made: readonly SingleEdit[];
}

/**
 * Where nothing applies: a name that another still has is left for now, and what cannot become what it is to be is taken
 * away, so that it comes anew. Null where not even that goes.
 */
function makeWay(setup: Setup, changes: readonly SingleEdit[]): Made | null {
  for (const change of changes) {
    const ways: SingleEdit[] = [];
    if (change.kind === 'set' && typeof change.fields.name === 'string') {
      ways.push({ ...change, fields: { name: `${change.fields.name.slice(0, 40)} (${change.at.length})` } });
    }
    const [top] = parseAddress(change.at)?.steps ?? [];
    // What goes may be named by what goes with it, in a circle.
    if (change.kind === 'remove' && top?.name === 'profiles') {
      const cleared = Object.keys(setup.profiles[top.id]?.bindings ?? {});
      const made = cleared.map((key): SingleEdit => ({ kind: 'remove', at: `${change.at}/bindings/${key}` }));
      const applied = made.length > 0 ? applyEdit(setup, together(made)) : null;
      if (applied?.ok) return { setup: applied.value.setup, made };
    }
    if (top) ways.push({ kind: 'remove', at: `${top.name}/${top.id}` });
    for (const way of ways) {
      const applied = applyEdit(setup, way);
      if (applied.ok) return { setup: applied.value.setup, made: [way] };
    }
  }
  return null;
}

/** Applies what applies, again and again until nothing more does. */
function applyInTurn(setup: Setup, changes: readonly SingleEdit[]): Made {
  const made: SingleEdit[] = [];
  let now = setup;
  let left = changes;
  for (let before = -1; made.length !== before; ) {
    before = made.length;
    left = left.filter((change) => {
      const applied = applyEdit(now, change);
      if (!applied.ok) return true;
      now = applied.value.setup;
      made.push(change);
      return false;
    });
  }
  return { setup: now, made };
}
