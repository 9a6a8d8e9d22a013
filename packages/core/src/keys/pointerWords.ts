/** What a pointer does, with keys held or without; buttons are W3C `MouseEvent.button`. */
export type PointerAct =
  | { readonly kind: 'drag'; readonly button: number }
  | { readonly kind: 'click'; readonly button: number; readonly count: number }
  | { readonly kind: 'wheel'; readonly ticks: number; readonly axis: 'vertical' | 'horizontal' };

const click = (button: number, count = 1): PointerAct => ({ kind: 'click', button, count });
const drag = (button: number): PointerAct => ({ kind: 'drag', button });
const wheel = (ticks: number, axis: 'vertical' | 'horizontal' = 'vertical'): PointerAct => ({
  kind: 'wheel',
  ticks,
  axis,
});

/**
 * Words for what a pointer does, without case and spaces; null for those that do not say enough, as a wheel without a
 * direction.
 */
export const POINTER_WORDS: ReadonlyMap<string, PointerAct | null> = new Map<string, PointerAct | null>([
  ...['click', 'leftclick', 'mouseclick', 'lmb'].map((word) => [word, click(0)] as const),
  ...['middleclick', 'wheelclick', 'mmb'].map((word) => [word, click(1)] as const),
  ...['rightclick', 'rmb'].map((word) => [word, click(2)] as const),
  ...['doubleclick', 'dblclick'].map((word) => [word, click(0, 2)] as const),
  ['tripleclick', click(0, 3)],
  ...['drag', 'leftdrag', 'mousedrag', 'clickanddrag', 'click-drag'].map((word) => [word, drag(0)] as const),
  ['middledrag', drag(1)],
  ['rightdrag', drag(2)],
  ...['wheelup', 'scrollup', 'mousewheelup'].map((word) => [word, wheel(1)] as const),
  ...['wheeldown', 'scrolldown', 'mousewheeldown'].map((word) => [word, wheel(-1)] as const),
  ...['wheelright', 'scrollright'].map((word) => [word, wheel(1, 'horizontal')] as const),
  ...['wheelleft', 'scrollleft'].map((word) => [word, wheel(-1, 'horizontal')] as const),
  ...['scroll', 'scrollwheel', 'wheel', 'mouse', 'mousewheel', 'hover'].map((word) => [word, null] as const),
]);
