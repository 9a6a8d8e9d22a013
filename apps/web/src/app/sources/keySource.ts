import { KEY_BY_CODE, legendOf } from '@nimble-lever/core/keys';
import type { InputSource } from './source.ts';
import { WORDS } from './words.ts';

/** Keys that pedals and pads send, heard as from any keyboard. `wanted` tells which are taken; others go on to the page. */
export function keySource(wanted: (id: string) => boolean): InputSource {
  return {
    id: 'key',
    name: WORDS.keys,
    isThere: () => true,
    asks: false,
    listen: async (onHeard) => {
      const ended = new AbortController();
      const onKey = (event: KeyboardEvent) => {
        const id = `key/${event.code}`;
        if (!event.isTrusted || !KEY_BY_CODE.has(event.code) || !wanted(id)) return;
        event.preventDefault();
        event.stopPropagation();
        if (event.repeat) return;
        const kind = event.type === 'keydown' ? 'down' : 'up';
        onHeard({ id, name: WORDS.key(legendOf(event.code)), change: { kind } });
      };
      const on = { signal: ended.signal, capture: true } as const;
      window.addEventListener('keydown', onKey, on);
      window.addEventListener('keyup', onKey, on);
      return () => ended.abort();
    },
  };
}
