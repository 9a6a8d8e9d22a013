import type { Control } from '../devices/index.ts';
import { BASE_LAYER } from './setup.ts';

/** Where what a control does is set at first: a cell of a page on that page, any other control on the base layer. */
export function layerOfCell({ cell }: Pick<Control, 'cell'>): string {
  return cell?.page ?? BASE_LAYER;
}
