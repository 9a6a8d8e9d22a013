import { type Layout, US_LAYOUT } from '../keys/layouts/index.ts';

/** The keyboard layouts of the computers that receive what is sent. */
export interface Keyboards {
  /** This computer's. */
  readonly here: Layout;
  /** By the name of another computer; one that is not known is taken to have the same as this one. */
  readonly elsewhere: ReadonlyMap<string, Layout>;
}

/** United States keyboards everywhere. */
export const US_KEYBOARDS: Keyboards = { here: US_LAYOUT, elsewhere: new Map() };

/** The layout of a computer, null for this one. */
export function keyboardOf({ here, elsewhere }: Keyboards, computer: string | null): Layout {
  return computer === null ? here : (elsewhere.get(computer) ?? here);
}
