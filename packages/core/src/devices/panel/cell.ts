import { z } from 'zod';
import { idSchema } from '../names.ts';
import { facePictureSchema } from '../picture.ts';
import { MOST_COLUMNS, MOST_ROWS } from './touchPanel.ts';

/** Where words stand in a cell. */
export const LABEL_PLACES = [
  'top-left',
  'top',
  'top-right',
  'left',
  'middle',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const;
/** Where words stand in a cell. */
export type LabelPlace = (typeof LABEL_PLACES)[number];

const index = (most: number) =>
  z
    .int()
    .min(0)
    .max(most - 1);
/** Columns and rows of a grid, counted from 0, from the top left corner. */
export const cellAreaSchema = z.strictObject({
  column: index(MOST_COLUMNS),
  row: index(MOST_ROWS),
  columns: z.int().min(1).max(MOST_COLUMNS),
  rows: z.int().min(1).max(MOST_ROWS),
});
/** The columns and rows that a cell takes. */
export type CellArea = z.infer<typeof cellAreaSchema>;

/** How words stand over the picture of a page: on paper of their own, or as dark or light letters on the picture itself. */
export const LETTERS = ['paper', 'dark', 'light'] as const;
/** How words stand over the picture of a page. */
export type Letters = (typeof LETTERS)[number];

/** What makes a control a cell. */
export const cellSchema = z.strictObject({
  /** The page it belongs to; null for the panel's own. */
  page: idSchema.nullable(),
  /** Of a cell of the panel's own page: it is on every other page, too. */
  everyPage: z.boolean().default(false),
  area: cellAreaSchema,
  /** Nothing of it is drawn: the picture of the page shows, and the cell works. */
  seeThrough: z.boolean().default(false),
  labelPlace: z.enum(LABEL_PLACES).default('middle'),
  /** How high its capitals are: millimetres; null for as high as suits the cell. */
  labelSize: z.number().min(1).max(100).nullable().default(null),
  letters: z.enum(LETTERS).default('paper'),
  /** Of a cell that only shows a picture. */
  picture: facePictureSchema.nullable().default(null),
});
/** What makes a control a cell: its page, and how many columns and rows of that page's grid it takes. */
export type Cell = z.infer<typeof cellSchema>;
