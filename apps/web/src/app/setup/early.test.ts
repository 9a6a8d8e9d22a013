import { askEarly, takeEarly } from './early.ts';

const KEPT = 'nimble-lever:author';

/** A browser that keeps something, and a server that answers or is away; the addresses that were asked for. */
function withBrowser(kept: string | null, answers: boolean): string[] {
  const urls: string[] = [];
  Object.assign(globalThis, {
    fetch: (url: string) => {
      urls.push(url);
      return answers ? Promise.resolve(new Response('{"id":"one"}')) : Promise.reject(new Error('away'));
    },
    localStorage: { getItem: (name: string) => (name === KEPT ? kept : null) },
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
