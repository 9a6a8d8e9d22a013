import { deviceSchema } from '@nimble-lever/core/devices';
import {
  BASE_LAYER,
  type Binding,
  bindingSchema,
  checkAction,
  checkBinding,
  checkPage,
  checkSteps,
  commandSchema,
  commandsKnown,
  EVERYWHERE,
  type KnowsCommand,
  keyOf,
  layerSchema,
  macroSchema,
  menuOwner,
  type PartKind,
  type Profile,
  pageSchema,
  profileSchema,
  programSchema,
  type Refusal,
  radialMenuSchema,
  type Setup,
  type Slot,
  setupSchema,
  slotSchema,
  type UnreadablePart,
  unreadableId,
} from '@nimble-lever/core/setup';
import { refusalWords } from '@nimble-lever/core/words';
import { z } from 'zod';
import { keyOfRow, PART_TABLES, type Row } from '../database/tables.ts';

/** What a set-up has besides its parts, as it was read. */
export interface StoredHead {
  readonly name: string;
  readonly keyboards: unknown;
  readonly madeOn: unknown;
}

/** The rows of a set-up by kind, as they were read: nothing is known of them yet. */
export type StoredRows = Readonly<Record<PartKind, readonly Row[]>>;

/**
 * The set-up that rows stand for. A row that is not as it should be, or refers to something that is not there, is set
 * aside as unreadable; everything else opens. Where Everywhere or the base layer cannot be read, empty ones stand in.
 */
export function readSetup(head: StoredHead, rows: StoredRows): Setup {
  return new Reader(rows).setup(head);
}

const { keyboards: keyboardsSchema, madeOn: madeOnSchema } = setupSchema.shape;
const headSchema = z.object({ keyboards: keyboardsSchema.catch({}), madeOn: madeOnSchema.catch(null) });

/**
 * Puts a set-up together from its rows. A row that cannot be read is set aside and told, and costs nothing
 * else: one bad part must not keep a person from all the others.
 */
class Reader {
  readonly #unreadable: UnreadablePart[] = [];
  readonly #known = new Map<string, KnowsCommand>();

  constructor(private readonly rows: StoredRows) {}

  setup({ name, ...head }: StoredHead): Setup {
    // What cannot be read of these is asked again.
    const { keyboards, madeOn } = headSchema.parse(head);
    const devices = this.#list('device', deviceSchema, without('position'));
    const layers = this.#list('layer', layerSchema, without('position'));
    if (layers[0]?.id !== BASE_LAYER) layers.unshift({ id: BASE_LAYER, name: 'Base' });
    const pages = this.#list('page', pageSchema, without('position'));
    const menus = this.#list('radial-menu', radialMenuSchema, body);
    const macros = this.#list('macro', macroSchema, body);
    const commands = this.#commands();
    const programs = this.#list('program', programSchema, (row) => ({
      ...without('position', 'nameKey')(row),
      commands: commands.get(String(row.id)) ?? [],
    }));
    const setup: Setup = {
      name,
      keyboards,
      madeOn,
      devices,
      commonCommands: commands.get('') ?? [],
      programs,
      layers,
      pages,
      profiles: this.#profiles(new Set(programs.map(({ id }) => id))),
      macros,
      radialMenus: menus,
      unreadable: this.#unreadable,
    };
    this.#dropUnsound(setup);
    this.#bindings(setup);
    return setup;
  }

  /** The readable rows of a table, in their order. */
  #list<Schema extends z.ZodType>(
    part: PartKind,
    schema: Schema,
    itemOf: (row: Row) => unknown,
  ): z.infer<Schema>[] {
    return inOrder(this.rows[part]).flatMap((row) => {
      const parsed = schema.safeParse(itemOf(row));
      if (parsed.success) return [parsed.data];
      this.#setAside(part, row, wrongIn(parsed.error));
      return [];
    });
  }

  /** By program; common ones under the empty text. */
  #commands() {
    const programs = new Set(this.rows.program.map(({ id }) => id));
    const lists = new Map<string, z.infer<typeof commandSchema>[]>();
    for (const row of inOrder(this.rows.command)) {
      const parsed = commandSchema.safeParse(without('position', 'program')(row));
      const owner = row.program === null ? '' : String(row.program);
      if (!parsed.success) this.#setAside('command', row, wrongIn(parsed.error));
      else if (owner !== '' && !programs.has(owner))
        this.#setAside('command', row, refusalWords({ code: 'unknown-program', program: owner }));
      else {
        const list = lists.get(owner);
        if (list) list.push(parsed.data);
        else lists.set(owner, [parsed.data]);
      }
    }
    return lists;
  }

  /** A profile whose program is not there is set aside, and its bindings with it. */
  #profiles(programs: ReadonlySet<string>): Setup['profiles'] {
    const found: Record<string, Profile> = {};
    for (const row of this.rows.profile) {
      const parsed = profileSchema.safeParse({ ...row, bindings: {} });
      const program = parsed.data?.program ?? null;
      const isOrphan = program === null ? row.id !== EVERYWHERE : !programs.has(program);
      if (!parsed.success) this.#setAside('profile', row, wrongIn(parsed.error));
      else if (isOrphan)
        this.#setAside('profile', row, refusalWords({ code: 'unknown-program', program: String(program) }));
      else found[parsed.data.id] = parsed.data;
    }
    for (const profile of Object.values(found)) {
      const under = profile.basedOn;
      if (under === null || found[under]) continue;
      const row = this.rows.profile.find(({ id }) => id === profile.id);
      if (row) this.#setAside('profile', row, refusalWords({ code: 'unknown-profile', profile: under }));
      delete found[profile.id];
    }
    const everywhere = { id: EVERYWHERE, name: null, program: null, rules: [], basedOn: null, bindings: {} };
    return found[EVERYWHERE] ? found : { [EVERYWHERE]: everywhere, ...found };
  }

  /** Pages, macros and radial menus that name what is not there, until all that are left are whole. */
  #dropUnsound(setup: Setup): void {
    const everywhere = setup.profiles[EVERYWHERE] as Profile;
    const wrongMenu = (menu: Setup['radialMenus'][number]) =>
      menu.items
        .map(({ action }) => checkAction(setup, menuOwner(setup, menu) ?? everywhere, action))
        .find(Boolean) ?? null;
    for (let left = -1; left !== setup.pages.length; ) {
      left = setup.pages.length;
      setup.pages = this.#sound('page', setup.pages, (page) => checkPage(setup, page));
    }
    for (let left = -1; left !== setup.macros.length + setup.radialMenus.length; ) {
      left = setup.macros.length + setup.radialMenus.length;
      setup.macros = this.#sound('macro', setup.macros, ({ steps }) => checkSteps(setup, steps));
      setup.radialMenus = this.#sound('radial-menu', setup.radialMenus, wrongMenu);
    }
  }

  #sound<Item extends { id: string }>(
    part: PartKind,
    items: Item[],
    check: (item: Item) => Refusal | null,
  ): Item[] {
    return items.filter((item) => {
      const wrong = check(item);
      const row = wrong && this.rows[part].find(({ id }) => id === item.id);
      if (wrong && row) this.#setAside(part, row, refusalWords(wrong));
      return wrong === null;
    });
  }

  /** Bindings come last: they name everything else. */
  #bindings(setup: Setup): void {
    for (const row of this.rows.binding) {
      const slot = slotSchema.safeParse(pick(row, 'profile', 'layer', 'device', 'control', 'trigger'));
      const parsed = bindingSchema.safeParse(pick(row, 'behaviour', 'face', 'note'));
      if (!slot.success) this.#setAside('binding', row, wrongIn(slot.error));
      else if (!parsed.success) this.#setAside('binding', row, wrongIn(parsed.error));
      else this.#bind(setup, row, slot.data, parsed.data);
    }
  }

  /** One that names something set aside is set aside too. */
  #bind(setup: Setup, row: Row, slot: Slot, binding: Binding): void {
    const profile = setup.profiles[slot.profile];
    const wrong: Refusal | null = profile
      ? checkBinding(setup, profile, slot, binding, this.#commandsOf(setup, profile))
      : { code: 'unknown-profile', profile: slot.profile };
    if (wrong) this.#setAside('binding', row, refusalWords(wrong));
    else if (profile) profile.bindings[keyOf(slot)] = binding;
  }

  /** Which commands a profile may bind: worked out once for all its bindings. */
  #commandsOf(setup: Setup, profile: Profile): KnowsCommand {
    const known = this.#known.get(profile.id) ?? commandsKnown(setup, profile);
    this.#known.set(profile.id, known);
    return known;
  }

  /** Kept as it was found, with why it could not be read. */
  #setAside(part: PartKind, row: Row, wrong: string): void {
    const key = keyOfRow(PART_TABLES[part], row);
    const name = String(row.name ?? key).slice(0, 300);
    this.#unreadable.push({
      id: unreadableId(part, key),
      part,
      name,
      wrong: wrong.slice(0, 300),
      stored: { ...row },
    });
  }
}

/** The columns that are not for finding. */
function body(row: Row): unknown {
  return row.body;
}

/** Where a row is not as it should be, in a sentence. */
function wrongIn(error: z.ZodError): string {
  const place = error.issues[0]?.path.join('.') ?? '';
  return place === '' ? 'It is not as it should be.' : `Its “${place}” is not as it should be.`;
}

/** Lists as the person arranged them. */
function inOrder(rows: readonly Row[]): readonly Row[] {
  return rows.toSorted((a, b) => Number(a.position) - Number(b.position));
}

/** The columns of a row that make an item. */
function pick(row: Row, ...names: readonly string[]): Row {
  return Object.fromEntries(names.map((name) => [name, row[name]]));
}

/** A row without the columns that only say where it stands. */
function without(...names: readonly string[]) {
  return (row: Row): Row => Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name)));
}
