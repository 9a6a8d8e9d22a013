import { type Author, demoSetup, type Edit, type Entry, itemAt } from '@nimble-lever/core/setup';
import { arbitraryEdit, fuzz } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import {
  bare,
  edited,
  historyIn,
  loaded,
  NO_SETUP,
  olderRead,
  received,
  refused,
  type SetupState,
  setAside,
} from './setupState.ts';
import { SmallServer } from './testing/smallServer.ts';

let next = 0;
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const newId = () => {
  next += 1;
  return uuid(next);
};
const BENCH: Author = { id: uuid(900_001), name: 'Bench' };
const LOFT: Author = { id: uuid(900_002), name: 'Loft' };
const entry = (edit: Edit, author = BENCH, base = 0): Entry => ({
  id: newId(),
  role: 'do',
  edit,
  author,
  base,
});
const turn = (role: 'undo' | 'redo', of: string, author = BENCH): Entry => ({
  id: newId(),
  role,
  of,
  author,
  base: 0,
});
const rename = (program: string, name: string): Edit => ({
  kind: 'set',
  at: itemAt.program(program),
  fields: { name },
});

/** A page as it is opened. */
const start = (server = new SmallServer(), me = BENCH, kept: readonly Entry[] = []): SetupState =>
  loaded({ ...NO_SETUP, me }, { id: 'x', kept, asItWas: null, binnedAt: null, ...server.read(me.id) });
const nameOf = (state: SetupState, program: string) =>
  state.setup?.programs.find(({ id }) => id === program)?.name;
/** A page sends all it has and takes the answer in. */
const send = (server: SmallServer, state: SetupState): SetupState => {
  const { outcomes, entries } = server.append(state.revision, state.pending.map(bare));
  let next = state;
  for (const outcome of outcomes) {
    if (outcome.kind === 'refused') next = refused(next, outcome);
  }
  return received(next, entries);
};

test('an edit shows at once, and stays when it is saved', () => {
  const server = new SmallServer();
  let state = edited(start(server), entry(rename('larkframe', 'Lark')));
  expect([nameOf(state, 'larkframe'), state.pending.length]).toEqual(['Lark', 1]);
  const shown = state.setup;
  state = send(server, state);
  expect([state.pending.length, state.revision]).toEqual([0, 1]);
  expect(state.setup).toBe(shown);
  expect(state.savedSetup).toEqual(server.setup);
});

test('edits of others come under the own ones; news heard twice count once', () => {
  const server = new SmallServer();
  const begun = start(server);
  const { entries } = server.append(0, [entry(rename('brindle', 'Brin'), LOFT)]);
  let state = edited(begun, entry(rename('larkframe', 'Lark')));
  state = received(received(state, entries), entries);
  const names = [nameOf(state, 'larkframe'), nameOf(state, 'brindle'), state.pending.length];
  expect(names).toEqual(['Lark', 'Brin', 1]);
  state = send(server, state);
  expect(state.setup).toEqual(server.setup);
});

test('an answer that brings others’ edits before the own ones keeps both', () => {
  const server = new SmallServer();
  const mine = edited(start(server), entry(rename('larkframe', 'Lark')));
  server.append(0, [entry(rename('brindle', 'Brin'), LOFT)]);
  const state = send(server, mine);
  expect([state.revision, state.outOfStep]).toEqual([2, false]);
  expect(state.setup).toEqual(server.setup);
});

test('two fields of one thing both stand; for the same field the other page is told and can put its own back', () => {
  const server = new SmallServer();
  let [bench, loft] = [start(server, BENCH), start(server, LOFT)];
  const at = itemAt.device('bench-dial');
  bench = edited(
    bench,
    entry({ kind: 'set', at, fields: { 'settings.doubleMs': 500, name: 'Dial' } }, BENCH),
  );
  loft = edited(loft, entry({ kind: 'set', at, fields: { 'settings.holdMs': 400, name: 'Knob' } }, LOFT));
  bench = send(server, bench);
  loft = send(server, loft);
  bench = received(bench, server.news(bench.revision));
  const dial = server.setup.devices.find(({ id }) => id === 'bench-dial');
  expect(dial).toMatchObject({ name: 'Knob', settings: { doubleMs: 500, holdMs: 400 } });
  expect(loft.notices).toEqual([]);
  expect(bench.notices).toMatchObject([{ kind: 'overwritten', by: 'Loft', at, fields: ['name'] }]);
  const [notice] = bench.notices;
  if (notice?.kind !== 'overwritten') throw new Error('no notice');
  bench = send(server, edited(bench, entry(notice.back)));
  expect(server.setup.devices.find(({ id }) => id === 'bench-dial')?.name).toBe('Dial');

  // Whoever changes it knowing what it was says nothing.
  loft = received(loft, server.news(loft.revision));
  const knowing = entry({ kind: 'set', at, fields: { name: 'Wheel' } }, LOFT, loft.revision);
  loft = send(server, edited(loft, knowing));
  expect(received({ ...bench, notices: [] }, server.news(bench.revision)).notices).toEqual([]);
});

test('an edit that no longer fits after news is taken back and said', () => {
  const server = new SmallServer();
  const opener = itemAt.binding({
    profile: 'everywhere',
    layer: 'base',
    device: 'wall-panel',
    control: 'cell-1',
    trigger: 'press',
  });
  const begun = start(server);
  const gone: Edit = {
    kind: 'together',
    edits: [
      { kind: 'remove', at: opener },
      { kind: 'remove', at: itemAt.program('larkframe') },
    ],
  };
  const { entries } = server.append(0, [entry(gone, LOFT)]);
  const state = received(edited(begun, entry(rename('larkframe', 'Lark'))), entries);
  expect(state.pending).toEqual([]);
  expect(state.notices).toMatchObject([{ kind: 'refused', refusal: { code: 'item-gone' }, takenBack: true }]);
  // Whatever is done next, what was taken back stays until it was read.
  const later = edited(state, entry(rename('brindle', 'Brin')));
  expect(later.notices).toEqual(state.notices);
});

test('what is refused at once goes when the next edit is right', () => {
  const wrong = edited(start(), entry(rename('larkframe', 'Brindle')));
  expect(wrong.notices).toMatchObject([{ kind: 'refused', takenBack: false }]);
  expect(edited(wrong, entry(rename('larkframe', 'Hushbox'))).notices).toHaveLength(2);
  expect(edited(wrong, entry(rename('larkframe', 'Lark'))).notices).toEqual([]);
});

test('what the server refuses is taken back; what was made after it is made again', () => {
  let state = edited(start(), entry(rename('larkframe', 'Lark')));
  state = edited(state, entry(rename('brindle', 'Brin')));
  state = refused(state, { id: state.pending[0]?.id ?? '', code: 'x', detail: 'No.' });
  expect([nameOf(state, 'larkframe'), nameOf(state, 'brindle')]).toEqual(['Larkframe', 'Brin']);
  expect(state.notices).toMatchObject([{ detail: 'No.' }]);
});

test('what the server cannot save is kept aside; the rest goes on', () => {
  let state = edited(start(), entry(rename('larkframe', 'Lark')));
  state = edited(state, entry(rename('brindle', 'Brin')));
  state = setAside(state, state.pending[0]?.id ?? '', 'It fails.', '2026-01-01T00:00:00.000Z');
  expect(state.aside).toMatchObject([{ detail: 'It fails.', entry: { edit: rename('larkframe', 'Lark') } }]);
  expect([nameOf(state, 'larkframe'), nameOf(state, 'brindle'), state.pending.length]).toEqual([
    'Larkframe',
    'Brin',
    1,
  ]);
});

test('a gap in what is heard, or what cannot be read, asks for reading anew', () => {
  const server = new SmallServer();
  const begun = start(server);
  server.append(0, [entry(rename('brindle', 'Brin'), LOFT), entry(rename('larkframe', 'Lark'), LOFT)]);
  const news = server.news(0);
  expect(received(begun, news.slice(1)).outOfStep).toBe(true);
  const unreadable = news.map((each) => ({ ...each, edit: null }));
  expect(received(begun, unreadable).outOfStep).toBe(true);
  expect(received(begun, news).outOfStep).toBe(false);
});

test('an entry saved before its answer was lost is dropped from what waits', () => {
  const server = new SmallServer();
  const made = entry(rename('larkframe', 'Lark'));
  server.append(0, [made]);
  const state = loaded(
    { ...NO_SETUP, me: BENCH },
    { id: 'x', kept: [made], asItWas: null, binnedAt: null, ...server.read('nobody') },
  );
  expect(state.pending).toHaveLength(1);
  expect(received(state, server.news(0)).pending).toEqual([]);
  expect(start(server, BENCH, [made]).pending).toEqual([]);
});

test('an undo is dropped without a word when another page of the same author was first', () => {
  const server = new SmallServer();
  const made = entry(rename('larkframe', 'Lark'));
  server.append(0, [made]);
  const mine = edited(start(server), turn('undo', made.id));
  expect(nameOf(mine, 'larkframe')).toBe('Larkframe');
  server.append(1, [turn('undo', made.id)]);
  const state = send(server, mine);
  expect([nameOf(state, 'larkframe'), state.pending.length, state.notices.length]).toEqual([
    'Larkframe',
    0,
    0,
  ]);
  expect(historyIn(state).redo).toHaveLength(1);
});

test('undo takes back one’s own: not what another author did since', () => {
  const server = new SmallServer();
  const made = entry(rename('larkframe', 'Lark'));
  server.append(0, [made]);
  server.append(1, [entry(rename('brindle', 'Brin'), LOFT)]);
  const state = start(server);
  expect(historyIn(state).undo.map(({ id }) => id)).toEqual([made.id]);
  const undone = send(server, edited(state, turn('undo', made.id)));
  expect([nameOf(undone, 'larkframe'), nameOf(undone, 'brindle')]).toEqual(['Larkframe', 'Brin']);
});

test('history is read back as far as it goes', () => {
  const server = new SmallServer();
  for (let i = 0; i < 30; i++) server.append(i, [entry(rename('larkframe', `L${i}`))]);
  let state = loaded(
    { ...NO_SETUP, me: BENCH },
    {
      id: 'x',
      kept: [],
      asItWas: null,
      binnedAt: null,
      ...server.read(BENCH.id),
      history: { entries: server.log.slice(-5), more: true },
    },
  );
  expect([historyIn(state).undo.length, state.hasOlder]).toEqual([5, true]);
  const older = { before: 26, entries: server.log.slice(0, 25), more: false };
  state = olderRead(olderRead(state, older), older);
  expect([historyIn(state).undo.length, state.hasOlder]).toEqual([30, false]);
  for (const { id } of historyIn(state).undo.toReversed()) state = edited(state, turn('undo', id));
  expect(send(server, state).setup).toEqual(demoSetup());
});

test('pages that edit at random, hearing late, losing answers and sending again, all end with what the server has', () => {
  const AUTHORS = [BENCH, LOFT, { id: uuid(900_003), name: 'Porch' }];
  const act = fc.constantFrom('edit', 'edit', 'edit', 'undo', 'redo', 'send', 'lose', 'hear', 'reload');
  const step = fc.tuple(act, fc.nat(2), arbitraryEdit(demoSetup()));
  fuzz(
    fc.property(fc.array(step, { maxLength: 60, size: 'max' }), (steps) => {
      const server = new SmallServer();
      const pages = AUTHORS.map((me) => start(server, me));
      const change = (who: number, state: SetupState) => {
        pages[who] = state;
      };
      for (const [what, who, edit] of steps) {
        const page = pages[who] as SetupState;
        const me = AUTHORS[who] as Author;
        if (what === 'edit') {
          change(who, edited(page, entry(edit, me, page.revision)));
        } else if (what === 'undo' || what === 'redo') {
          const last = historyIn(page)[what].at(-1);
          if (last) change(who, edited(page, turn(what, last.id, me)));
        } else if (what === 'send') change(who, send(server, page));
        // The request arrives, its answer does not.
        else if (what === 'lose') server.append(page.revision, page.pending.map(bare));
        else if (what === 'hear') change(who, received(page, server.news(page.revision)));
        // The page is closed with what waits kept, and opened again.
        else change(who, start(server, me, page.pending.map(bare)));
      }
      for (let round = 0; round < 2; round++)
        for (const [who, page] of pages.entries()) change(who, send(server, page));
      for (const page of pages.map((each) => received(each, server.news(each.revision)))) {
        expect(page.pending).toEqual([]);
        expect(page.outOfStep).toBe(false);
        expect(page.setup).toEqual(server.setup);
      }
      // Each is there once.
      expect(new Set(server.log.map(({ id }) => id)).size).toBe(server.log.length);
    }),
    200,
  );
});

test('fields that only one page touched stand as that page set them last', () => {
  const device = itemAt.device('bench-dial');
  const fields = [
    'settings.holdMs',
    'settings.doubleMs',
    'settings.guardMs',
    'settings.confirmMs',
    'settings.nudgeDistance',
    'name',
  ];
  const step = fc.tuple(
    fc.constantFrom('edit', 'edit', 'send', 'lose', 'hear'),
    fc.nat(2),
    fc.nat(1),
    fc.integer({ min: 30, max: 400 }),
  );
  fuzz(
    fc.property(fc.array(step, { maxLength: 50, size: 'max' }), (steps) => {
      const server = new SmallServer();
      const authors = [BENCH, LOFT, { id: uuid(900_003), name: 'Porch' }];
      const pages = authors.map((me) => start(server, me));
      const last = new Map<string, unknown>();
      for (const [what, who, which, number] of steps) {
        const page = pages[who] as SetupState;
        // Each page has two fields of its own.
        const field = fields[who * 2 + which] as string;
        const value = field === 'name' ? `Dial ${number}` : number;
        if (what === 'edit') {
          last.set(field, value);
          pages[who] = edited(
            page,
            entry({ kind: 'set', at: device, fields: { [field]: value } }, authors[who], page.revision),
          );
        } else if (what === 'send') pages[who] = send(server, page);
        else if (what === 'lose') server.append(page.revision, page.pending.map(bare));
        else pages[who] = received(page, server.news(page.revision));
      }
      const done = pages
        .map((page) => send(server, page))
        .map((page) => received(page, server.news(page.revision)));
      for (const page of done) {
        expect(page.notices).toEqual([]);
        const dial = page.setup?.devices.find(({ id }) => id === 'bench-dial');
        const shown = { ...dial?.settings, name: dial?.name } as Record<string, unknown>;
        for (const [field, value] of last) expect(shown[field.replace('settings.', '')]).toBe(value);
      }
    }),
    200,
  );
});
