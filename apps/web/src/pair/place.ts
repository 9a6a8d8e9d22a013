/** The code that a link brings after its `#`, where servers do not see it; empty where there is none. */
export function takeCode(hash: string): string {
  return /^#(\d{6})$/.exec(hash)?.[1] ?? '';
}

/** Where to go once the browser is paired: what was asked for in `?to=`, if it is a page of ours; else the first page. */
export function wantedPath(search: string, origin: string): string {
  const wanted = new URLSearchParams(search).get('to') ?? '/';
  try {
    const { origin: to, pathname } = new URL(wanted, origin);
    return to === origin && wanted.startsWith('/') ? pathname : '/';
  } catch {
    return '/';
  }
}
