import { KEY_BY_CODE, legendOf } from '@nimble-lever/core/keys';
import type { InputSource } from './source.ts';
import { WORDS } from './words.ts';

/** Keys that pedals and pads send, heard as from any keyboard. What is not taken goes on to the page. */
export const keySource: InputSource = {
  id: 'key',
  name: WORDS.keys,
  isThere: () => true,
  asks: false,
  listen: async (onHeard) => {
    const ended = new AbortController();
    /** Keys that are down and were taken: they repeat and come up for whoever took them. */
    const taken = new Set<string>();
    const onKey = (event: KeyboardEvent) => {
      const id = `key/${event.code}`;
      if (!event.isTrusted || !KEY_BY_CODE.has(event.code)) return;
      const kind = event.type === 'keydown' ? 'down' : 'up';
      const isNew = kind === 'down' && !event.repeat;
      if (!isNew && !taken.has(id)) return;
      const heard = { id, name: WORDS.key(legendOf(event.code)), change: { kind } } as const;
      if (kind === 'up') {
        taken.delete(id);
        onHeard(heard);
      } else if (isNew) {
        if (!onHeard(heard)) return;
        taken.add(id);
      }
      event.preventDefault();
      event.stopPropagation();
    };
    const on = { signal: ended.signal, capture: true } as const;
    window.addEventListener('keydown', onKey, on);
    window.addEventListener('keyup', onKey, on);
    return () => ended.abort();
  },
};
