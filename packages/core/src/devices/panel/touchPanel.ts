import { z } from 'zod';
import { facePictureSchema, PICTURE_FITS } from '../picture.ts';

/** So many columns and rows a page of a panel may have. */
export const MOST_COLUMNS = 16;
export const MOST_ROWS = 12;

/** Into how many columns and rows a page is divided. */
export const gridSchema = z.strictObject({
  columns: z.int().min(1).max(MOST_COLUMNS),
  rows: z.int().min(1).max(MOST_ROWS),
});
/** Into how many columns and rows a page is divided. */
export type Grid = z.infer<typeof gridSchema>;

/** How a picture lies on a page: as on a face, or repeated, each so many times smaller than the page. */
export const PANEL_FITS = [...PICTURE_FITS, 'tile'] as const;
/** A picture under the cells of a page. */
export const panelPictureSchema = facePictureSchema.extend({ fit: z.enum(PANEL_FITS) });
/** A picture under the cells of a page. */
export type PanelPicture = z.infer<typeof panelPictureSchema>;

/** What makes a device a panel whose pages are divided by grids; its size is the device's. */
export const touchPanelSchema = z.strictObject({
  /** Of its own page, home, and of every page without one. */
  grid: gridSchema,
  /** Under the cells of its own page. */
  picture: panelPictureSchema.nullable().default(null),
  /** From how far it is read: millimetres. An arm's length by default. */
  distance: z.number().min(150).max(5000).default(600),
});
/** A panel whose pages are divided by grids. */
export type TouchPanel = z.infer<typeof touchPanelSchema>;
