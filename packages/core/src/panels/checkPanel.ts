import { type Control, type Device, readingDistance, shapeBox, triggersOf } from '../devices/index.ts';
import { leastCapitals } from '../drawing/index.ts';
import { shownContent } from '../pages/index.ts';
import { BASE_LAYER, controlsOnPage, layerOfCell, type Setup } from '../setup/index.ts';

/**
 * A target for a finger is at least so wide and high: millimetres. Common practice; WCAG 2.2 (2.5.8) asks for 24 CSS
 * pixels, 6.35 mm at 96 to the inch.
 */
export const LEAST_TARGET = 9;

/** What is wrong with a cell of a page. */
export type CellProblem =
  | { readonly kind: 'small'; readonly millimetres: number }
  | { readonly kind: 'does-nothing' }
  | { readonly kind: 'label-low'; readonly millimetres: number; readonly least: number }
  /** Its words do not stand out from the picture of the page; found by whoever has its pixels. */
  | { readonly kind: 'low-contrast'; readonly ratio: number; readonly needed: number };

/** A cell with what is wrong with it. */
export interface CheckedCell {
  readonly control: Control;
  readonly problems: readonly CellProblem[];
}

/** The shorter side of a control as it is drawn: millimetres. */
export function targetOf({ shape }: Control): number {
  const { left, top, right, bottom } = shapeBox(shape);
  return Math.min(right - left, bottom - top);
}

/** Whether a cell is there to be used, and not only to be looked at. */
export function isUsed(control: Control): boolean {
  return triggersOf(control).length > 0;
}

/**
 * The cells of a page with what is wrong with them in a profile: too small for a finger, without effect, or with a label
 * of a size of their own that cannot be read from where the panel hangs.
 *
 * @param page null for the panel's own
 */
export function checkPanelPage(
  setup: Setup,
  device: Device,
  page: string | null,
  profile: string,
): readonly CheckedCell[] {
  const least = leastCapitals(readingDistance(device));
  return controlsOnPage(setup, device, page).flatMap((control): CheckedCell[] => {
    const { cell } = control;
    if (!cell) return [];
    const problems: CellProblem[] = [];
    const target = targetOf(control);
    if (isUsed(control) && target < LEAST_TARGET) problems.push({ kind: 'small', millimetres: target });
    // What a cell of another page does is set there.
    const layer = cell.page !== null && cell.page !== page ? layerOfCell(control) : (page ?? BASE_LAYER);
    const content = shownContent(setup, { profile, layer, device: device.id, control: control.id });
    if (isUsed(control) && content.length === 0) problems.push({ kind: 'does-nothing' });
    if (cell.labelSize !== null && cell.labelSize < least) {
      problems.push({ kind: 'label-low', millimetres: cell.labelSize, least });
    }
    return [{ control, problems }];
  });
}

/** From how far capitals of a height can be read: both in millimetres. The inverse of `leastCapitals`. */
export function readableFrom(capitals: number): number {
  return capitals / leastCapitals(1);
}
