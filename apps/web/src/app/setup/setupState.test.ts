import {
  applyEdit,
  demoSetup,
  type Edit,
  type Entry,
  type LogEntry,
  type Setup,
  type SingleEdit,
} from '@nimble-lever/core/setup';
import { arbitraryEdit } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { edited, historyIn, loaded, NO_SETUP, received, refused, type SetupState } from './setupState.ts';

let next = 0;
const entry = (edit: Edit, role: Entry['role'] = 'do', of: string | null = null): Entry => {
  next += 1;
  return { id: `00000000-0000-4000-8000-${String(next).padStart(12, '0')}`, edit, role, of };
};
const rename = (program: string, name: string): Edit => ({ kind: 'rename-program', program, name });

/** The server in small: it keeps a set-up and a log, and answers as the real one does. */
class SmallServer {
  setup: Setup = demoSetup();
  log: LogEntry[] = [];

  /** Saves entries on top of `base`; null when the base is stale. */
  save(base: number, entries: readonly Entry[]): LogEntry[] | null {
    if (base !== this.log.length) return null;
    return entries.map((made) => {
      const applied = applyEdit(this.setup, made.edit);
      if (!applied.ok) throw new Error(applied.problem.code);
      this.setup = applied.value.setup;
      const { id, edit, role, of } = made;
      const at = '2026-01-01T00:00:00.000Z';
      const row = { id, edit, role, of, inverse: applied.value.inverse, revision: this.log.length + 1, at };
      this.log.push(row);
      return row;
    });
  }
}

const start = (server = new SmallServer(), kept: readonly Entry[] = []): SetupState =>
  loaded(NO_SETUP, { id: 'x', revision: server.log.length, setup: server.setup, log: server.log, kept });
const nameOf = (state: SetupState, program: string) =>
  state.setup?.programs.find(({ id }) => id === program)?.name;

test('an edit shows at once, and stays when it is saved', () => {
  const server = new SmallServer();
  let state = edited(start(server), entry(rename('larkframe', 'Lark')));
  expect([nameOf(state, 'larkframe'), state.pending.length]).toEqual(['Lark', 1]);
  const shown = state.setup;
  state = received(state, server.save(0, state.pending) ?? []);
  expect([state.pending.length, state.revision]).toEqual([0, 1]);
  expect(state.setup).toBe(shown);
  expect(state.savedSetup).toEqual(server.setup);
});

test('edits of others come under the own ones; news heard twice count once', () => {
  const server = new SmallServer();
  const other = server.save(0, [entry(rename('brindle', 'Brin'))]) ?? [];
  let state = edited(start(), entry(rename('larkframe', 'Lark')));
  state = received(received(state, other), other);
  expect([nameOf(state, 'larkframe'), nameOf(state, 'brindle'), state.pending.length]).toEqual([
    'Lark',
    'Brin',
    1,
  ]);
  state = received(state, server.save(state.revision, state.pending) ?? []);
  expect(state.setup).toEqual(server.setup);
});

test('an edit that no longer fits after news is taken back and said', () => {
  const server = new SmallServer();
  const cell = { layer: 'base', device: 'wall-panel', control: 'cell-1', trigger: 'press' } as const;
  const opener: SingleEdit = { kind: 'set-binding', slot: { profile: 'everywhere', ...cell }, binding: null };
  const gone: SingleEdit = { kind: 'remove-program', program: 'larkframe' };
  const other = server.save(0, [entry({ kind: 'together', edits: [opener, gone] })]) ?? [];
  const state = received(edited(start(), entry(rename('larkframe', 'Lark'))), other);
  expect(state.pending).toEqual([]);
  expect(state.notices).toMatchObject([{ refusal: { code: 'unknown-program' } }]);
});

test('what the server refuses is taken back; what was made after it is made again', () => {
  let state = edited(start(), entry(rename('larkframe', 'Lark')));
  state = edited(state, entry(rename('brindle', 'Brin')));
  state = refused(state, state.pending[0]?.id ?? '', 'No.');
  expect([nameOf(state, 'larkframe'), nameOf(state, 'brindle')]).toEqual(['Larkframe', 'Brin']);
  expect(state.notices).toMatchObject([{ detail: 'No.' }]);
});

test('a gap in what is heard asks for reading anew', () => {
  const server = new SmallServer();
  server.save(0, [entry(rename('brindle', 'Brin'))]);
  const second = server.save(1, [entry(rename('larkframe', 'Lark'))]) ?? [];
  expect(received(start(), second).outOfStep).toBe(true);
});

test('an entry saved before its answer was lost is dropped from what waits', () => {
  const server = new SmallServer();
  const made = entry(rename('larkframe', 'Lark'));
  const rows = server.save(0, [made]) ?? [];
  const state = loaded(NO_SETUP, { id: 'x', revision: 1, setup: server.setup, log: [], kept: [made] });
  expect(state.pending).toHaveLength(1);
  expect(received(state, rows).pending).toEqual([]);
  expect(start(server, [made]).pending).toEqual([]);
});

test('an undo is dropped when another page was first', () => {
  const server = new SmallServer();
  const [row] = server.save(0, [entry(rename('larkframe', 'Lark'))]) ?? [];
  if (!row) throw new Error('not saved');
  const mine = edited(start(server), entry(row.inverse, 'undo', row.id));
  const theirs = server.save(1, [entry(row.inverse, 'undo', row.id)]) ?? [];
  const state = received(mine, theirs);
  expect([nameOf(state, 'larkframe'), state.pending.length, state.notices.length]).toEqual([
    'Larkframe',
    0,
    0,
  ]);
  expect(historyIn(state).redo).toHaveLength(1);
});

test('two pages that edit at random, hearing of each other late, end with what the server has', () => {
  const step = fc.tuple(fc.constantFrom('edit', 'send', 'hear'), fc.nat(1), arbitraryEdit(demoSetup()));
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
      const server = new SmallServer();
      const pages = [start(server), start(server)];
      const hear = (page: SetupState) => received(page, server.log.slice(page.revision));
      const send = (page: SetupState) => {
        const rows = server.save(page.revision, page.pending);
        return rows ? received(page, rows) : hear(page);
      };
      for (const [what, which, edit] of steps) {
        const page = pages[which] ?? start(server);
        pages[which] =
          what === 'edit' ? edited(page, entry(edit)) : what === 'send' ? send(page) : hear(page);
      }
      for (let i = 0; i < 3; i++)
        pages.forEach((page, which) => {
          pages[which] = send(page);
        });
      for (const page of pages.map(hear)) {
        expect(page.pending).toEqual([]);
        expect(page.outOfStep).toBe(false);
        expect(page.setup).toEqual(server.setup);
      }
    }),
    { numRuns: 150 },
  );
});
