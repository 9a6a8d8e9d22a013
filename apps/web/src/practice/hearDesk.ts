import type { Deed, DeedBody, PointerAt } from '@nimble-lever/core/macros';
import type { AppStore } from '../app/store.ts';
import { frontDeed, hearDeeds } from './deeds.ts';
import { selectDesk } from './deskSlice.ts';
import { isTyped } from './programKeys.ts';
import { isPracticeProgram, standInOf } from './programs/standIns.ts';
import { WHEEL_PX } from './wheelPx.ts';

/** The part of the page that is the desk. */
const SURFACE = '[data-desk-surface]';

/**
 * Hears what a person does at the practice desk: keys, clicks, wheel, menus, and the windows that come to the front. What
 * the engine sends there is not heard. The answer ends it.
 */
export function hearDesk(
  store: Pick<AppStore, 'getState' | 'subscribe'>,
  heard: (deed: Deed) => void,
): () => void {
  const began = performance.now();
  const say = (body: DeedBody) => heard({ t: Math.round(performance.now() - began), ...body });
  const ended = new AbortController();
  const on = { capture: true, passive: true, signal: ended.signal } as const;
  const isOurs = (event: Event) =>
    event.isTrusted && event.target instanceof Element && event.target.closest(SURFACE) !== null;

  document.addEventListener(
    'keydown',
    (event) => {
      if (!isOurs(event)) return;
      say({ kind: 'key-down', code: event.code, text: textOf(event, windowAt(event.target)) });
    },
    on,
  );
  document.addEventListener(
    'keyup',
    (event) => isOurs(event) && say({ kind: 'key-up', code: event.code }),
    on,
  );
  for (const [type, kind] of [
    ['pointerdown', 'button-down'],
    ['pointerup', 'button-up'],
  ] as const) {
    document.addEventListener(
      type,
      (event) => {
        if (!isOurs(event) || inMenus(event.target)) return;
        say({ kind, button: event.button, at: placeOf(event) });
      },
      on,
    );
  }
  document.addEventListener(
    'wheel',
    (event) => {
      if (!isOurs(event)) return;
      const [px, axis] =
        Math.abs(event.deltaY) >= Math.abs(event.deltaX)
          ? ([-event.deltaY, 'vertical'] as const)
          : ([event.deltaX, 'horizontal'] as const);
      const ticks = Math.sign(px) * Math.max(1, Math.round(Math.abs(px) / WHEEL_PX));
      say({ kind: 'wheel', ticks, axis });
    },
    on,
  );
  document.addEventListener(
    'paste',
    (event) => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (isOurs(event) && text !== '') say({ kind: 'text', text });
    },
    on,
  );

  let told: DeedBody | null = null;
  const leave = hearDeeds((deed) => {
    // What a program brings up is told before the desk itself has it in front.
    told = deed.kind === 'front' ? deed : told;
    say(deed);
  });
  let front = selectDesk(store.getState()).active;
  const unsubscribe = store.subscribe(() => {
    const { active } = selectDesk(store.getState());
    if (active === front) return;
    front = active;
    // Whoever brought it there says so right after; only what nobody says was the person.
    queueMicrotask(() => {
      const deed = frontDeed(store.getState(), true);
      const isTold =
        told?.kind === 'front' && told.window?.title === (deed.kind === 'front' ? deed.window?.title : '');
      told = null;
      if (!isTold) say(deed);
    });
  });
  return () => {
    ended.abort();
    leave();
    unsubscribe();
  };
}

/** The practice program whose window something is in. */
function windowAt(target: EventTarget | null): string | null {
  const window = target instanceof Element ? target.closest('[data-program]') : null;
  return window?.getAttribute('data-program') ?? null;
}

/** The program's own menus are told by the words that are chosen there. */
function inMenus(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('.menus') !== null;
}

/** The character a key types, where what has the keys takes text. */
function textOf(event: KeyboardEvent, window: string | null): string | null {
  if (window === null || !isPracticeProgram(window) || !standInOf(window).text) return null;
  return isTyped(event) ? event.key : null;
}

/** Where a pointer is in its window, in the desk's own pixels. */
function placeOf(event: PointerEvent): PointerAt | null {
  const target = event.target instanceof Element ? event.target : null;
  const window = target?.closest<HTMLElement>('[data-program]');
  if (!window) return null;
  const box = window.getBoundingClientRect();
  const scale = window.offsetWidth > 0 ? box.width / window.offsetWidth : 1;
  const named = target?.closest('button, [aria-label]');
  const name = named && named !== window ? (named.getAttribute('aria-label') ?? named.textContent) : null;
  return {
    x: (event.clientX - box.left) / scale,
    y: (event.clientY - box.top) / scale,
    width: window.offsetWidth,
    height: window.offsetHeight,
    name: name?.trim() || null,
  };
}
