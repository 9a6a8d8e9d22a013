import { askEarly, takeEarly } from './early.ts';

const KEPT = 'nimble-lever:author';

/** A browser at an address that keeps something, and a server that answers or is away; the addresses asked for. */
function withBrowser(
  kept: string | null,
  answers: boolean,
  path = '/board',
  last: string | null = null,
): string[] {
  const urls: string[] = [];
  const place = { pathname: path, search: '?x=1', hash: '' };
  Object.assign(globalThis, {
    fetch: (url: string) => {
      urls.push(url);
      return answers ? Promise.resolve(new Response('{"id":"one"}')) : Promise.reject(new Error('away'));
    },
    localStorage: { getItem: (name: string) => (name === KEPT ? kept : last) },
    location: place,
    history: { state: null, replaceState: (_state: null, _title: '', url: string) => urls.push(`→ ${url}`) },
  });
  return urls;
}

test.each([
  ['{"id":"a b","name":"Me"}', '/api/set-up?author=a%20b'],
  [null, '/api/set-up'],
  ['{', '/api/set-up'],
  ['{"id":7}', '/api/set-up'],
])('with %j kept, %s is asked for at once, and its answer given once', async (kept, url) => {
  const urls = withBrowser(kept, true);
  askEarly();
  expect(urls).toEqual([url]);
  expect(await (await takeEarly())?.json()).toEqual({ id: 'one' });
  expect(takeEarly()).toBeUndefined();
});

test('a server that is away is the page’s own to find out', async () => {
  withBrowser(null, false);
  askEarly();
  await expect(takeEarly()).rejects.toThrow('away');
});

test.each<[string, string | null, string[]]>([
  ['/set-up/loft/rig', null, ['/api/set-ups/loft']],
  ['/set-up/loft/rig', 'bench', ['/api/set-ups/loft']],
  ['/set-up/loft/at/7/rig', 'bench', ['/api/set-ups/loft/states/7']],
  // What was open last is what is opened, under its own address.
  ['/rig', 'bench', ['→ /set-up/bench/rig?x=1', '/api/set-ups/bench']],
  ['/rig', '../x', ['/api/set-up']],
])('at %s, with %j opened last, it asks %j', (path, last, asked) => {
  const urls = withBrowser(null, true, path, last);
  askEarly();
  expect(urls).toEqual(asked);
  void takeEarly();
});
