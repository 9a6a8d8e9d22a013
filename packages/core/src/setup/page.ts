import { z } from 'zod';
import { gridSchema, idSchema, nameSchema, panelPictureSchema } from '../devices/index.ts';
import { faceSchema } from './binding.ts';

/** A folder opens on top of what shows; a set is one of several that take each other's place. */
export const PAGE_KINDS = ['folder', 'set'] as const;
/** What a page is. */
export type PageKind = (typeof PAGE_KINDS)[number];

/** How deep folders may stand in each other, and how many may be open on top of each other. */
export const FOLDERS_DEEP = 20;

/** Other bindings for one device; they stand in the profiles, as those on a layer do. */
export const pageSchema = z.strictObject({
  /** No layer has it: both stand in the same place of a slot's key. */
  id: idSchema,
  /** The device it belongs to, for good. */
  device: idSchema,
  kind: z.enum(PAGE_KINDS),
  name: nameSchema,
  /** The program it is for; null for every program. */
  program: idSchema.nullable().default(null),
  /** The page that a folder is kept in; null for the device's own. A set stands in none. */
  within: idSchema.nullable().default(null),
  face: faceSchema.nullable().default(null),
  /** Of a folder: what is not set on it is looked for below. Otherwise it does nothing. */
  showsThrough: z.boolean().default(false),
  /** Of a set that has a program: it is on when that program comes to the front and none was chosen yet. */
  follows: z.boolean().default(false),
  /** Of a panel: the page whose cells are on it, too, where none of its own lies in their place; null for none. */
  basedOn: idSchema.nullable().default(null),
  /** Of a panel: how it is divided; null for as the panel's own page is. */
  grid: gridSchema.nullable().default(null),
  /** Of a panel: what lies under its cells. */
  picture: panelPictureSchema.nullable().default(null),
});
/** A folder or a set of a device. */
export type Page = z.infer<typeof pageSchema>;

/** A page with nothing but what is given. */
export function newPage(given: Pick<Page, 'id' | 'device' | 'kind' | 'name'> & Partial<Page>): Page {
  return {
    program: null,
    within: null,
    face: null,
    showsThrough: false,
    follows: false,
    basedOn: null,
    grid: null,
    picture: null,
    ...given,
  };
}
