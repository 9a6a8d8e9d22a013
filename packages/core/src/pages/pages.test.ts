import fc from 'fast-check';
import {
  applyEdit,
  checkSetup,
  demoSetup,
  type Edit,
  FOLDERS_DEEP,
  itemAt,
  newPage,
  type Page,
  type Setup,
  together,
} from '../setup/index.ts';
import { arbitrarySetup, Counted, fuzz } from '../testing/index.ts';
import {
  carryingEdits,
  copyPage,
  flatTree,
  intoFolder,
  makeFolder,
  movePage,
  newPageName,
  opensPage,
  ownContent,
  pageTree,
  reachedPages,
  shownContent,
  slotsNaming,
  wayBack,
  wayBackEdit,
} from './index.ts';

const setup = demoSetup();
const PAD = { profile: 'larkframe', layer: 'base', device: 'twelve-pad' } as const;

/** The set-up after an edit, which is sound and can be taken back. */
function edited(before: Setup, edit: Edit): Setup {
  const done = applyEdit(before, edit);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  expect(checkSetup(done.value.setup)).toEqual([]);
  const back = applyEdit(done.value.setup, done.value.inverse);
  expect(back.ok && back.value.setup).toEqual(before);
  return done.value.setup;
}
const commandsOn = (of: Setup, layer: string, device = 'twelve-pad', profile = 'larkframe') =>
  Object.fromEntries(
    (of.devices.find(({ id }) => id === device)?.controls ?? []).flatMap(({ id: control }) =>
      ownContent(of, { profile, layer, device, control }).map(({ trigger, binding: { behaviour } }) => [
        trigger === 'press' ? control : `${control} ${trigger}`,
        behaviour.kind === 'action'
          ? Object.values(behaviour.action).filter(Boolean).join(' ')
          : behaviour.kind,
      ]),
    ),
  );

test('sets come first, then folders with those in them', () => {
  const dial = flatTree(pageTree(setup, 'bench-dial')).map(({ page }) => page.name);
  expect(dial).toEqual(['Frames', 'Film strip', 'Words', 'Clipboard', 'Brush', 'Canvas']);
  const inner = newPage({ id: 'inner', device: 'six-pad', kind: 'folder', name: 'Inner', within: 'shot' });
  const nested = edited(setup, { kind: 'add', at: itemAt.page('inner'), item: inner, after: null });
  expect(flatTree(pageTree(nested, 'six-pad')).map(({ page, depth }) => [page.name, depth])).toEqual([
    ['Shot', 0],
    ['Inner', 1],
    ['Puppet', 0],
  ]);
  expect(newPageName(nested, 'six-pad', 'Shot')).toBe('Shot 2');
  expect(newPageName(nested, 'bench-dial', 'Shot')).toBe('Shot');
});

test('a folder of some keys: they move in, what they inherit is copied, the first opens it, Back is set', () => {
  const before = commandsOn(setup, 'base');
  const made = makeFolder(setup, PAD, ['key-5', 'key-6', 'key-1'], { id: 'cut', name: 'Cut' });
  if (!made.ok) throw new Error(made.problem);
  expect(made.value).toMatchObject({ opener: 'key-5', back: 'lower-knob', page: { program: 'larkframe' } });
  const after = edited(setup, made.value.edit);
  expect(commandsOn(after, 'cut')).toEqual({
    'key-1': 'command undo',
    'key-5': before['key-5'],
    'key-6': before['key-6'],
    'lower-knob': 'page back',
  });
  const { 'key-5': _first, 'key-6': _second, ...others } = before;
  expect(commandsOn(after, 'base')).toEqual({ ...others, 'key-5': 'page open cut' });
  // What was inherited is in Everywhere still.
  expect(commandsOn(after, 'base', 'twelve-pad', 'everywhere')['key-1']).toBe('command undo');
  const cut = after.pages.find(({ id }) => id === 'cut');
  if (!cut) throw new Error('no page');
  expect(wayBack(after, cut, 'larkframe')).toBe('lower-knob');
  expect(reachedPages(after)).toContain('cut');
  expect(slotsNaming(after, 'cut')).toMatchObject([{ control: 'key-5', layer: 'base' }]);
});

test('a folder made on a folder stands in it; one of all keys has no way back, which can be put there later', () => {
  const keys = ['key-1', 'key-2', 'key-3', 'key-4', 'key-5', 'key-6'];
  const place = { profile: 'larkframe', layer: 'shot', device: 'six-pad' };
  const made = makeFolder(setup, place, keys, { id: 'all', name: 'All' });
  if (!made.ok) throw new Error(made.problem);
  expect(made.value).toMatchObject({ back: null, page: { within: 'shot' } });
  const after = edited(setup, made.value.edit);
  const all = after.pages.find(({ id }) => id === 'all');
  if (!all) throw new Error('no page');
  // The way back of the folder moved in, and leads back from there.
  expect(wayBack(after, all, 'larkframe')).toBe('key-6');
  expect(wayBackEdit(after, all, 'larkframe')).toBeNull();
  const shot = after.pages.find(({ id }) => id === 'shot');
  expect(shot && wayBack(after, shot, 'larkframe')).toBeNull();
  const mend = shot && wayBackEdit(after, shot, 'larkframe');
  expect(mend?.control).toBe('key-6');
  const mended = edited(after, together(mend?.edits ?? []));
  expect(shot && wayBack(mended, shot, 'larkframe')).toBe('key-6');
});

test('what goes on with a mouse or a pen shows through a folder that is made of its controls', () => {
  const place = { ...PAD, device: 'pocket-mouse' };
  const made = makeFolder(setup, place, ['thumb-front'], { id: 'thumb', name: 'Thumb' });
  expect(made.ok && made.value.page.showsThrough).toBe(true);
});

test.each<[string, readonly string[], string]>([
  ['of nothing', [], 'no-controls'],
  ['of what is not there', ['key-99'], 'no-controls'],
])('a folder %s is refused', (_name, controls, problem) => {
  expect(makeFolder(setup, PAD, controls, { id: 'x', name: 'X' })).toEqual({ ok: false, problem });
});

test('a folder of what is only turned is refused: nothing could open it', () => {
  const place = { ...PAD, device: 'shuttle' };
  expect(makeFolder(setup, place, ['ring'], { id: 'x', name: 'X' })).toEqual({
    ok: false,
    problem: 'not-pressed',
  });
});

test('what is on two controls changes places, or is copied', () => {
  const [from, to] = [
    { ...PAD, layer: 'shot', device: 'six-pad', control: 'key-1' },
    { ...PAD, layer: 'shot', device: 'six-pad', control: 'key-2' },
  ];
  const before = commandsOn(setup, 'shot', 'six-pad');
  const swapped = commandsOn(
    edited(setup, together(carryingEdits(setup, from, to, 'swap'))),
    'shot',
    'six-pad',
  );
  expect(swapped).toEqual({ ...before, 'key-1': before['key-2'], 'key-2': before['key-1'] });
  const copied = commandsOn(
    edited(setup, together(carryingEdits(setup, from, to, 'copy'))),
    'shot',
    'six-pad',
  );
  expect(copied).toEqual({ ...before, 'key-2': before['key-1'] });
});

test('swapping twice is as it was, wherever', () => {
  const counted = new Counted();
  fuzz(
    fc.property(arbitrarySetup, (random) => {
      const [device] = random.devices;
      const [a, b = a] = device?.controls ?? [];
      if (!device || !a || !b) return counted.leftOut();
      counted.tried();
      const place = { profile: 'larkframe', layer: 'base', device: device.id };
      const swap = (of: Setup) => {
        const done = applyEdit(
          of,
          together(carryingEdits(of, { ...place, control: a.id }, { ...place, control: b.id }, 'swap')),
        );
        if (!done.ok) throw new Error(done.problem.code);
        return done.value.setup;
      };
      expect(commandsOn(swap(swap(random)), 'base', device.id)).toEqual(
        commandsOn(random, 'base', device.id),
      );
    }),
    160,
  );
  counted.atLeast(0.9);
});

test('what is dropped on a folder goes in: to its own control, else to one that is free, or it is refused', () => {
  const from = { profile: 'larkframe', layer: 'base', device: 'six-pad', control: 'key-6' };
  expect(opensPage(setup, from)).toBe('shot');
  expect(intoFolder(setup, from, 'shot', 'move')).toEqual({ ok: false, problem: 'into-itself' });
  const bound = edited(setup, {
    kind: 'set',
    at: itemAt.binding({ ...from, control: 'key-2', trigger: 'press' }),
    fields: { 'behaviour.action': { kind: 'command', command: 'larkframe-first' } },
  });
  const two = { ...from, control: 'key-2' };
  expect(intoFolder(bound, two, 'shot', 'move')).toEqual({ ok: false, problem: 'no-room' });
  const room = edited(bound, {
    kind: 'remove',
    at: itemAt.binding({ ...from, layer: 'shot', control: 'key-4', trigger: 'press' }),
  });
  const moved = intoFolder(room, two, 'shot', 'move');
  if (!moved.ok) throw new Error(moved.problem);
  expect(moved.value.control).toBe('key-4');
  const after = edited(room, together(moved.value.edits));
  expect(commandsOn(after, 'shot', 'six-pad')['key-4']).toBe('command larkframe-first');
  expect(commandsOn(after, 'base', 'six-pad')).not.toHaveProperty('key-2');
});

test('a page is copied to another device with all that is bound on it, and opens its own copies', () => {
  const made = makeFolder(
    setup,
    { profile: 'larkframe', layer: 'shot', device: 'six-pad' },
    ['key-4', 'key-5'],
    { id: 'inner', name: 'Inner' },
  );
  if (!made.ok) throw new Error(made.problem);
  const nested = edited(setup, made.value.edit);
  const shot = nested.pages.find(({ id }) => id === 'shot');
  if (!shot) throw new Error('no page');
  const copy = copyPage(nested, shot, 'twelve-pad', ({ id }) => `${id}-too`);
  const after = edited(nested, copy.edit);
  expect(copy).toMatchObject({ id: 'shot-too', left: 0 });
  expect(after.pages.find(({ id }) => id === 'inner-too')).toMatchObject({
    device: 'twelve-pad',
    within: 'shot-too',
  });
  expect(commandsOn(after, 'shot-too')).toEqual({
    ...commandsOn(nested, 'shot', 'six-pad'),
    'key-4': 'page open inner-too',
  });
  // The dial has one control for six keys.
  expect(copyPage(nested, shot, 'bench-dial', ({ id }) => `${id}-too`).left).toBeGreaterThan(4);
  const beside = edited(nested, copyPage(nested, shot, 'six-pad', ({ id }) => `${id}-too`).edit);
  expect(beside.pages.find(({ id }) => id === 'shot-too')?.name).toBe('Shot 2');
});

test('pages go to another place among those of their device, into folders and out again', () => {
  const order = (of: Setup) => of.pages.filter(({ device }) => device === 'bench-dial').map(({ id }) => id);
  const strip = setup.pages.find(({ id }) => id === 'film-strip');
  const shot = setup.pages.find(({ id }) => id === 'shot');
  const puppet = setup.pages.find(({ id }) => id === 'puppet');
  if (!strip || !shot || !puppet) throw new Error('no page');
  const first = edited(setup, together(movePage(setup, strip, { within: null, after: null }) ?? []));
  expect(order(first).slice(0, 2)).toEqual(['film-strip', 'frames']);
  const last = edited(setup, together(movePage(setup, strip, { within: null, after: 'canvas' }) ?? []));
  expect(order(last).at(-1)).toBe('film-strip');
  expect(movePage(setup, strip, { within: 'frames', after: null })).toBeNull();
  const inside = edited(setup, together(movePage(setup, puppet, { within: 'shot', after: 'shot' }) ?? []));
  expect(inside.pages.find(({ id }) => id === 'puppet')?.within).toBe('shot');
  expect(movePage(inside, shot, { within: 'puppet', after: null })).toBeNull();
  expect(movePage(setup, shot, { within: null, after: 'clipboard' })).toHaveLength(1);
});

test('a page that nothing leads to is told', () => {
  expect(setup.pages.every(({ id }) => reachedPages(setup).has(id))).toBe(true);
  const lone = newPage({ id: 'lone', device: 'shuttle', kind: 'set', name: 'Lone', program: 'tallow' });
  const withLone = edited(setup, { kind: 'add', at: itemAt.page('lone'), item: lone, after: null });
  const isReached = (fields: Partial<Page>) =>
    reachedPages({ ...withLone, pages: [{ ...lone, ...fields }] }).has('lone');
  expect(reachedPages(withLone)).not.toContain('lone');
  expect(isReached({ follows: true })).toBe(true);
  expect(isReached({ follows: true, program: null })).toBe(false);
  expect(isReached({ device: 'bench-dial' })).toBe(true);
  expect(isReached({ device: 'bench-dial', kind: 'folder' })).toBe(false);
});

test('limits: folders stand twenty deep, not in a circle, not in another device’s', () => {
  let deep = setup;
  for (let i = 0; i < FOLDERS_DEEP; i++) {
    const within = i === 0 ? null : `deep-${i - 1}`;
    const item = newPage({ id: `deep-${i}`, device: 'six-pad', kind: 'folder', name: `Deep ${i}`, within });
    deep = edited(deep, { kind: 'add', at: itemAt.page(item.id), item, after: null });
  }
  const refusal = (of: Setup, edit: Edit) => {
    const done = applyEdit(of, edit);
    return done.ok ? null : done.problem.code;
  };
  const within = (page: string, to: string): Edit => ({
    kind: 'set',
    at: itemAt.page(page),
    fields: { within: to },
  });
  expect(refusal(deep, within('shot', `deep-${FOLDERS_DEEP - 1}`))).toBe('too-deep');
  // The one at the top would bring all the others along.
  expect(refusal(deep, within('deep-0', 'shot'))).toBe('too-deep');
  expect(refusal(deep, within('deep-1', 'deep-5'))).toBe('folder-circle');
  expect(refusal(deep, within('frames', 'shot'))).toBe('set-within');
  expect(refusal(deep, within('shot', 'frames'))).toBe('page-of-other-device');
  expect(refusal(deep, within('shot', 'gone'))).toBe('unknown-page');
  expect(refusal(deep, { kind: 'set', at: itemAt.page('shot'), fields: { device: 'shuttle' } })).toBe(
    'page-fixed',
  );
  expect(refusal(deep, { kind: 'remove', at: itemAt.page('shot') })).toBe('still-used');
  const far = newPage({ id: 'far', device: 'six-pad', kind: 'folder', name: 'Far' });
  expect(refusal(deep, { kind: 'add', at: itemAt.page('far'), item: far, after: null })).toBe('id-taken');
});

test('what shows on a folder that covers is only its own, and what turns', () => {
  const at = (control: string) =>
    shownContent(setup, { profile: 'larkframe', layer: 'shot', device: 'six-pad', control }).map(
      ({ layer }) => layer,
    );
  expect(at('key-1')).toEqual(['shot']);
  const dial = { profile: 'larkframe', layer: 'film-strip', device: 'bench-dial', control: 'dial' };
  expect(shownContent(setup, dial).map(({ layer }) => layer)).toEqual([
    'film-strip',
    'film-strip',
    'film-strip',
  ]);
});
