import type { Locator, Page } from '@playwright/test';

/** The columns of the sheet of commands, by their places. */
export const COLUMN = { name: 0, keys: 1, family: 2, intent: 3, risky: 4, note: 5, where: 6 };

/** A cell of the sheet by its command's name and its column's place. */
export function sheetCell(page: Page, name: string, column: number): Locator {
  return page
    .getByRole('grid')
    .getByRole('row')
    .filter({ has: page.getByRole('gridcell', { name: new RegExp(`^${name}`) }) })
    .first()
    .getByRole('gridcell')
    .nth(column);
}

/** A program of the list, by the start of its name. */
export function entry(page: Page, name: string): Locator {
  const list = page.getByRole('navigation', { name: 'Programs' });
  return list.getByRole('button', { name: new RegExp(`^${name}`) });
}
