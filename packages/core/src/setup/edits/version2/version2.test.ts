import { demoBeforePages } from '../../../testing/index.ts';
import { acting, OFF } from '../../binding.ts';
import { checkSetup } from '../../findFaults.ts';
import { type Setup, setupSchema } from '../../setup.ts';
import { applyEdit } from '../applyEdit.ts';
import { upcastPair } from '../version1/index.ts';
import { pageIdOf } from './planPages.ts';
import { setupWithPages } from './setupWithPages.ts';
import { upcastPair2 } from './upcast.ts';

/** What an action about pages was, which types no longer know. */
const page = (layer: string | null) => ({ kind: 'page', page: layer });
const does = (action: object) => ({
  behaviour: { ...acting({ kind: 'shortcut', shortcut: 'A' }, 'follow'), action },
  face: null,
  note: null,
});
const keys = (shortcut: string) => does({ kind: 'shortcut', shortcut });
const opens = (id: string) => ({ kind: 'page', change: 'open', page: id, device: null });
const BACK = { kind: 'page', change: 'back', page: null, device: null };
const HOME = { kind: 'page', change: 'home', page: null, device: null };

/** The demo as version 3 had it, with a layer more, and what is given bound in Everywhere and Larkframe besides. */
function old(
  bound: Readonly<Record<string, object>>,
  more: { readonly larkframe?: object; readonly menu?: object } = {},
): object {
  const { pages: _pages, profiles, radialMenus, layers, ...rest } = demoBeforePages();
  const { everywhere, larkframe } = profiles;
  return {
    ...rest,
    layers: [...layers, { id: 'near', name: 'Near' }],
    profiles: {
      ...profiles,
      everywhere: { ...everywhere, bindings: { ...everywhere?.bindings, ...bound } },
      larkframe: { ...larkframe, bindings: { ...larkframe?.bindings, ...more.larkframe } },
    },
    radialMenus: [...radialMenus, ...(more.menu ? [more.menu] : [])],
  };
}

/** Read, and sound. */
function read(setup: object): Setup {
  const now = setupSchema.parse(setupWithPages(setup));
  expect(checkSetup(now)).toEqual([]);
  return now;
}
const boundOn = (setup: Setup, profile: string, layer: string) =>
  Object.keys(setup.profiles[profile]?.bindings ?? {}).filter((key) => key.startsWith(`${layer}/`));
const PAD = pageIdOf('near', 'twelve-pad');

test('a layer that was only ever shown as a page of one device becomes a folder there, and is no layer any more', () => {
  const now = read(
    old(
      {
        'base/twelve-pad/key-11/press': does(page('near')),
        'near/twelve-pad/key-11/press': does(page(null)),
        'near/twelve-pad/key-1/press': keys('B'),
      },
      { larkframe: { 'near/twelve-pad/key-2/press': keys('C') } },
    ),
  );
  expect(now.layers.map(({ id }) => id)).toEqual(['base', 'far']);
  expect(now.pages).toEqual([
    {
      ...{
        id: PAD,
        device: 'twelve-pad',
        kind: 'folder',
        name: 'Near',
        program: null,
        within: null,
        basedOn: null,
        face: null,
      },
      ...{ showsThrough: true, follows: false, grid: null, picture: null },
    },
  ]);
  const { bindings = {} } = now.profiles.everywhere ?? {};
  expect(bindings['base/twelve-pad/key-11/press']?.behaviour).toMatchObject({ action: opens(PAD) });
  expect(bindings[`${PAD}/twelve-pad/key-11/press`]?.behaviour).toMatchObject({ action: BACK });
  expect(boundOn(now, 'everywhere', PAD)).toHaveLength(2);
  expect(boundOn(now, 'larkframe', PAD)).toEqual([`${PAD}/twelve-pad/key-2/press`]);
  expect(boundOn(now, 'everywhere', 'near')).toEqual([]);
});

test('one that is turned on as a layer too stays one, and what is bound is copied', () => {
  const now = read(
    old({
      'base/twelve-pad/key-11/press': does(page('far')),
      'far/twelve-pad/key-1/press': keys('B'),
    }),
  );
  const id = pageIdOf('far', 'twelve-pad');
  expect(now.layers.map((layer) => layer.id)).toEqual(['base', 'far', 'near']);
  expect(boundOn(now, 'everywhere', id)).toEqual([`${id}/twelve-pad/key-1/press`]);
  expect(boundOn(now, 'everywhere', 'far')).toContain('far/twelve-pad/key-1/press');
});

test('shown on two devices it becomes a folder of each; what is bound on a third keeps the layer', () => {
  const now = read(
    old({
      'base/twelve-pad/key-11/press': does(page('near')),
      'base/shuttle/key-2/press': does(page('near')),
      'near/shuttle/key-1/press': keys('S'),
      'near/three-pedals/left/press': keys('P'),
    }),
  );
  expect(now.pages.map(({ id, device }) => [id, device])).toEqual([
    [PAD, 'twelve-pad'],
    [pageIdOf('near', 'shuttle'), 'shuttle'],
  ]);
  expect(boundOn(now, 'everywhere', pageIdOf('near', 'shuttle'))).toHaveLength(1);
  expect(boundOn(now, 'everywhere', 'near')).toEqual(['near/three-pedals/left/press']);
});

test('shown by an item of a radial menu, it is a folder of the device that opens the menu', () => {
  const item = (id: string, action: object) => ({ id, label: id, icon: null, action });
  const menu = {
    id: 'pages',
    name: 'Pages',
    program: null,
    items: [item('item-1', page('near')), item('item-2', page(null)), item('item-3', page('base'))],
  };
  const now = read(
    old({ 'base/twelve-pad/key-11/press': does({ kind: 'radial', menu: 'pages' }) }, { menu }),
  );
  expect(now.radialMenus.at(-1)?.items.map(({ action }) => action)).toEqual([opens(PAD), BACK, HOME]);
});

test('heard in the background while the control is off, too', () => {
  const binding = {
    behaviour: { ...OFF, heardBy: ['tin-can'], sends: page('near') },
    face: null,
    note: null,
  };
  const now = read(old({ 'base/three-pedals/left/press': binding }));
  expect(now.profiles.everywhere?.bindings['base/three-pedals/left/press']?.behaviour).toMatchObject({
    sends: opens(pageIdOf('near', 'three-pedals')),
  });
});

test('long ids make an id that still is one', () => {
  const long = 'a'.repeat(64);
  expect(pageIdOf(long, long)).toHaveLength(64);
});

test('one without pages is as it was; what is no set-up goes through', () => {
  const plain = old({});
  expect(setupWithPages(plain)).toEqual(plain);
  for (const nothing of [null, 3, [], { profiles: [1], layers: 'x', radialMenus: [{ items: 4 }] }]) {
    expect(() => setupWithPages(nothing)).not.toThrow();
  }
});

describe('entries of the log', () => {
  const now = read(
    old({
      'base/twelve-pad/key-11/press': does(page('near')),
      'near/twelve-pad/key-1/press': keys('B'),
    }),
  );
  const at = (key: string) => `profiles/everywhere/bindings/${key}`;

  test.each<[string, unknown, unknown, object, object]>([
    [
      'what opened the page',
      { kind: 'set', at: at('base/twelve-pad/key-11/press'), fields: { 'behaviour.action': page('near') } },
      { kind: 'remove', at: at('base/twelve-pad/key-11/press') },
      { kind: 'set', at: at('base/twelve-pad/key-11/press'), fields: { 'behaviour.action': opens(PAD) } },
      { kind: 'remove', at: at('base/twelve-pad/key-11/press') },
    ],
    [
      'what was bound on the layer is bound on the folder, as one of several',
      {
        kind: 'together',
        edits: [
          { kind: 'set', at: at('near/twelve-pad/key-1/press'), fields: { behaviour: keys('B').behaviour } },
        ],
      },
      { kind: 'together', edits: [{ kind: 'remove', at: at('near/twelve-pad/key-1/press') }] },
      {
        kind: 'together',
        edits: [
          {
            kind: 'set',
            at: at(`${PAD}/twelve-pad/key-1/press`),
            fields: { behaviour: keys('B').behaviour },
          },
        ],
      },
      { kind: 'together', edits: [{ kind: 'remove', at: at(`${PAD}/twelve-pad/key-1/press`) }] },
    ],
    [
      'what has nothing to do with pages',
      { kind: 'set', at: 'devices/bench-dial', fields: { name: 'Old dial' } },
      { kind: 'set', at: 'devices/bench-dial', fields: { name: 'Bench dial' } },
      { kind: 'set', at: 'devices/bench-dial', fields: { name: 'Old dial' } },
      { kind: 'set', at: 'devices/bench-dial', fields: { name: 'Bench dial' } },
    ],
  ])('%s', (_name, edit, inverse, forth, back) => {
    const made = upcastPair2(now, { edit, inverse });
    expect(made).toEqual({ edit: forth, inverse: back });
    expect(made?.inverse && applyEdit(now, made.inverse).ok).toBe(true);
  });

  test('of version 1 as well', () => {
    const slot = (layer: string, control: string) => ({
      ...{ profile: 'everywhere', layer, device: 'twelve-pad', control, trigger: 'press' },
    });
    const edit = { kind: 'set-binding', slot: slot('base', 'key-11'), binding: does(page('near')) };
    const inverse = { kind: 'set-binding', slot: slot('base', 'key-11'), binding: null };
    expect(upcastPair(now, { edit, inverse })?.edit).toMatchObject({
      fields: { behaviour: { action: opens(PAD) } },
    });
    const note = { kind: 'set-note', slot: slot('near', 'key-1'), note: 'why?' };
    expect(upcastPair(now, { edit: note, inverse: { ...note, note: null } })?.edit).toMatchObject({
      at: at(`${PAD}/twelve-pad/key-1/press`),
    });
  });

  test('what cannot be read is null', () => {
    expect(upcastPair2(now, { edit: { kind: 'format-disk' }, inverse: null })).toBeNull();
    expect(upcastPair2(now, { edit: 3, inverse: [] })).toBeNull();
  });
});
