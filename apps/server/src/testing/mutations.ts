import { randomUUID } from 'node:crypto';
import { type Entry, MOST_REVISION } from '@nimble-lever/core/setup';
import fc from 'fast-check';

/** A request as a client of ours, or of nobody's, may send it. */
export interface AnyRequest {
  readonly method: string;
  readonly path: string;
  readonly type: string;
  /** Bytes of the body, in Latin-1 or as they are; null for none. */
  readonly body: string | Uint8Array | null;
}

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Values that have broken something, somewhere. Written into JSON as they stand, so that numbers may be beyond all. */
const ODD = [
  'null',
  'true',
  '0',
  '-0',
  '-1',
  '0.1',
  '2147483647',
  '2147483648',
  '9007199254740993',
  '1e400',
  '-1e-400',
  '""',
  '" "',
  '"\\u0000"',
  '"a\\u0000b"',
  '"\\ud800"',
  '"x\\udc00"',
  '"\\u200b\\u2060"',
  '"İ"',
  '"οδος"',
  '"__proto__"',
  '"constructor"',
  '"00000000-0000-0000-0000-000000000000"',
  '"../../etc/passwd"',
  `"'; DROP TABLE edits; --"`,
  `"${'x'.repeat(5000)}"`,
  '[]',
  '{}',
  '[[[[[[[[[[[[[[[[]]]]]]]]]]]]]]]]',
  '{"__proto__":{"kind":"native"}}',
  '{"constructor":{"prototype":{}}}',
  '{"kind":"native"}',
  '{"kind":"off","heardBy":["larkframe"],"sends":null}',
  '{"kind":"shortcut","shortcut":"Ctrl+Z"}',
  '{"kind":"macro","macro":"hold-a-frame"}',
] as const;
const MARK = '\u0001odd\u0001';

/** A JSON value with some of its parts replaced, dropped, doubled or renamed. */
function mutated(value: Json): fc.Arbitrary<string> {
  const places = placesIn(value);
  const change = fc.tuple(
    fc.constantFrom(...places),
    fc.constantFrom('replace', 'replace', 'replace', 'drop', 'double', 'rename', 'swap'),
    fc.constantFrom(...ODD),
    fc.constantFrom(...places),
  );
  return fc.array(change, { minLength: 1, maxLength: 3 }).map((changes) => {
    const copy: { root: Json } = { root: structuredClone(value) };
    const odd: string[] = [];
    for (const [path, how, text, other] of changes) {
      const key = path.at(-1) ?? 'root';
      const holder = at(copy as unknown as Json, ['root', ...path].slice(0, -1)) as never as Record<
        string,
        Json
      >;
      const name = path.length === 0 ? 'root' : key;
      if (typeof holder !== 'object' || holder === null) continue;
      if (how === 'replace') {
        odd.push(text);
        holder[name] = `${MARK}${odd.length - 1}`;
      } else if (how === 'drop') delete holder[name];
      else if (how === 'double' && Array.isArray(holder))
        (holder as Json[]).push(structuredClone(holder[Number(name)] ?? null));
      else if (how === 'rename') holder[`${name}x`] = holder[name] ?? null;
      else holder[name] = structuredClone(at(value, other) ?? null);
    }
    const text = JSON.stringify(copy.root) ?? 'null';
    return text.replace(/"\\u0001odd\\u0001(\d+)"/g, (_all, i) => odd[Number(i)] ?? 'null');
  });
}

function placesIn(value: Json, path: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, inner]) => placesIn(inner, [...path, key]))];
}

function at(value: Json, path: readonly string[]): Json | undefined {
  let found: Json | undefined = value;
  for (const key of path) found = (found as Record<string, Json> | null | undefined)?.[key];
  return found;
}

/** Text with bytes changed, dropped, doubled or cut off. */
function torn(text: string): fc.Arbitrary<Uint8Array> {
  const bytes = new TextEncoder().encode(text);
  return fc
    .array(fc.tuple(fc.nat(Math.max(0, bytes.length - 1)), fc.nat(255)), { minLength: 1, maxLength: 4 })
    .chain((changes) =>
      fc.nat(bytes.length).map((length) => {
        const copy = Uint8Array.from(bytes);
        for (const [place, byte] of changes) copy[place] = byte;
        return length % 4 === 0 ? copy.slice(0, length) : copy;
      }),
    );
}

const author = { id: '40000000-0000-4000-8000-000000000004', name: 'Bench' };
const AT = 'profiles/larkframe/bindings/base/bench-dial/dial/press';

/** Entries that are as they should be, to begin with: of every kind. */
function goodEntry(): fc.Arbitrary<Entry> {
  const common = { author, base: 0 };
  const acts = { kind: 'action', action: { kind: 'shortcut', shortcut: 'Ctrl+Z' }, style: 'follow' };
  const macro = {
    id: 'm',
    name: 'M',
    run: 'times',
    times: 1,
    again: 'ignore',
    goesOn: false,
    steps: [
      { id: 'a', kind: 'wait', ms: 5 },
      { id: 'b', kind: 'repeat', times: 2, steps: [{ id: 'c', kind: 'macro', macro: 'hold-a-frame' }] },
    ],
  };
  const edits = [
    { kind: 'set', at: AT, fields: { behaviour: acts, note: 'why?' } },
    { kind: 'set', at: AT, fields: { 'face.label': 'One', 'behaviour.style': 'latch' } },
    { kind: 'set', at: 'devices/bench-dial', fields: { 'settings.holdMs': 300, name: 'Dial' } },
    { kind: 'set', at: '', fields: { name: 'Ours' } },
    { kind: 'add', at: 'macros/m', item: macro, after: null },
    { kind: 'add', at: 'macros/m/steps/d', item: { id: 'd', kind: 'text', text: 'heron' }, after: 'a' },
    { kind: 'add', at: 'layers/near', item: { id: 'near', name: 'Near' }, after: 'base' },
    { kind: 'remove', at: 'layers/near' },
    { kind: 'remove', at: AT },
    { kind: 'remove', at: 'devices/shuttle' },
    { kind: 'move', at: 'programs/brindle', after: null },
    {
      kind: 'together',
      edits: [
        { kind: 'remove', at: 'macros/m' },
        { kind: 'remove', at: AT },
      ],
    },
  ];
  return fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .constantFrom(...edits)
        .map((edit) => ({ ...common, id: randomUUID(), role: 'do', edit }) as Entry),
    },
    {
      weight: 1,
      arbitrary: fc
        .constantFrom('undo', 'redo')
        .map((role) => ({ ...common, id: randomUUID(), role, of: randomUUID() }) as Entry),
    },
  );
}

const EDITS = '/api/set-ups/saltmarsh/edits';
const json = (method: string, path: string, body: AnyRequest['body']): AnyRequest => ({
  method,
  path,
  type: 'application/json',
  body,
});

const SNAPSHOTS = '/api/set-ups/saltmarsh/snapshots';

/** What else is sent than edits: how a set-up begins, and snapshots. */
function vaultRequest(): fc.Arbitrary<AnyRequest> {
  const bodies: readonly (readonly [string, Json])[] = [
    ['/api/set-ups', { name: 'Loft', begin: { from: 'ready-made', models: ['six-pad', 'bench-dial'] } }],
    ['/api/set-ups', { name: 'Copy', begin: { from: 'copy', of: 'saltmarsh', revision: 0 } }],
    [SNAPSHOTS, { name: 'Before the shot', note: 'why?', author }],
  ];
  return fc
    .constantFrom(...bodies)
    .chain(([where, body]) =>
      fc
        .oneof(mutated(body), torn(JSON.stringify(body)))
        .chain((text) => fc.constantFrom('POST', 'POST', 'PUT').map((method) => json(method, where, text))),
    );
}

/** Requests of every kind, most of them wrong in some way. */
export function anyRequest(): fc.Arbitrary<AnyRequest> {
  const good = fc
    .array(goodEntry(), { minLength: 1, maxLength: 3 })
    .map((entries) => ({ after: MOST_REVISION, entries }));
  const whole = good.map((body) => json('POST', EDITS, JSON.stringify(body)));
  const bad = good.chain((body) => mutated(body as unknown as Json)).map((text) => json('POST', EDITS, text));
  const cut = good.chain((body) => torn(JSON.stringify(body))).map((bytes) => json('POST', EDITS, bytes));
  const path = fc.oneof(
    fc.constantFrom(
      '/',
      '/api',
      '/api/set-ups',
      '/api/set-ups/saltmarsh',
      SNAPSHOTS,
      `${SNAPSHOTS}/${author.id}`,
      '/api/set-ups/saltmarsh/states/0',
      '/api/set-ups/saltmarsh/states/-1',
      '/api/set-ups/saltmarsh/states/1e99',
      EDITS,
      '/api/health',
      '/board',
      '/assets/x.js',
    ),
    fc
      .tuple(fc.constantFrom('/api/set-ups/', '/', '/api/', '/assets/'), fc.string({ maxLength: 12 }))
      .map(([head, tail]) => head + encodeURIComponent(tail)),
    fc.constantFrom(
      `${EDITS}/..`,
      '/api/set-ups/%00',
      '/api/set-ups/%ff',
      '/api/set-ups/saltmarsh%2fedits',
      '//',
      '/api//set-ups',
      '/%2e%2e/%2e%2e/etc/passwd',
    ),
  );
  const query = fc.oneof(
    { weight: 2, arbitrary: fc.constant('') },
    fc
      .tuple(
        fc.constantFrom('after', 'before', 'author', 'key', 'after[]', 'after[x]', '__proto__'),
        fc.constantFrom('0', '-1', '5', '2147483648', '1e9', 'x', '', author.id, '%00'),
      )
      .map(([name, value]) => `?${name}=${value}`),
    fc.constant(`?before=9&author=${author.id}`),
    fc.constant('?after=0&before=1&after=2'),
  );
  const method = fc.constantFrom('GET', 'GET', 'GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD');
  const odd = fc
    .tuple(
      method,
      path,
      query,
      fc.constantFrom('application/json', 'text/plain', 'x', 'application/json; charset=utf-7'),
      fc.option(fc.constantFrom(...ODD)),
    )
    .map(([verb, where, asked, type, body]) => ({
      method: verb,
      path: where + asked,
      type,
      body: verb === 'GET' || verb === 'HEAD' ? null : body,
    }));
  return fc.oneof(
    { weight: 1, arbitrary: whole },
    { weight: 5, arbitrary: bad },
    { weight: 2, arbitrary: cut },
    { weight: 2, arbitrary: vaultRequest() },
    { weight: 3, arbitrary: odd },
  );
}

/** What may come over a raw connection: beginnings of live connections and messages, torn. */
export function anyBytes(): fc.Arbitrary<Uint8Array> {
  const head = (path: string) =>
    `GET ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nSec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n\r\n`;
  const beginnings = fc.constantFrom(
    head('/api/live?setUp=saltmarsh&after=0'),
    head('/api/live?setUp=saltmarsh&after=99999999999'),
    head('//'),
    head('http://[/x'),
    `POST ${EDITS} HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 12\r\n\r\n{"after":0,`,
    `POST ${EDITS} HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\n5\r\nhello\r\n`,
  );
  const frames = fc.uint8Array({ maxLength: 40 });
  return fc
    .tuple(beginnings, fc.boolean(), frames)
    .chain(([text, whole, more]) =>
      (whole ? fc.constant(new TextEncoder().encode(text)) : torn(text)).map((bytes) =>
        Uint8Array.from([...bytes, ...more]),
      ),
    );
}
