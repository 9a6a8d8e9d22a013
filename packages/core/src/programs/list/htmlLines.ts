import { Parser } from 'htmlparser2';
import type { ListLine } from './listLine.ts';

/** Elements that make a line of a list, and those that are one cell of it. */
const ROWS = new Set(['tr', 'li']);
const CELLS = new Set(['td', 'th', 'dt', 'dd']);
/** What is in these is no text of the page. */
const SILENT = new Set(['script', 'style', 'template']);
/** After these a word ends. */
const BREAKS = new Set(['br', 'p', 'div']);

/**
 * The rows of tables, the pairs of description lists and the items of lists of a page; everything else of it is left
 * out. Nothing of it is run. An item of a list is one cell, to be parted as a plain line is.
 */
export function htmlLines(html: string): readonly ListLine[] {
  const lines: ListLine[] = [];
  let row: { line: number; cells: string[] } | null = null;
  let text = '';
  let silent = 0;
  let cell = false;
  const lineAt = lineCounter(html);
  const endCell = () => {
    if (cell) row?.cells.push(text.replace(/\s+/g, ' ').trim());
    cell = false;
    text = '';
  };
  const endRow = () => {
    if (row?.cells.some((each) => each !== '')) lines.push(row);
    row = null;
  };
  const parser = new Parser({
    onopentag(name) {
      if (SILENT.has(name)) silent += 1;
      if (ROWS.has(name) || (name === 'dt' && !cell)) {
        endCell();
        endRow();
        row = { line: lineAt(parser.startIndex), cells: [] };
        cell = name === 'li';
        text = '';
      }
      if (CELLS.has(name)) {
        endCell();
        row ??= { line: lineAt(parser.startIndex), cells: [] };
        cell = true;
      }
      if (BREAKS.has(name)) text += ' ';
    },
    ontext(part) {
      if (silent === 0) text += part;
    },
    onclosetag(name) {
      if (SILENT.has(name)) silent -= 1;
      if (CELLS.has(name) || name === 'li') endCell();
      if (ROWS.has(name) || name === 'dd') endRow();
    },
  });
  parser.write(html);
  parser.end();
  endCell();
  endRow();
  return lines;
}

/** The line of a place in a text; places must come in order. */
function lineCounter(text: string): (at: number) => number {
  let line = 1;
  let from = 0;
  return (at) => {
    for (; from < at; from++) if (text.charCodeAt(from) === 10) line += 1;
    return line;
  };
}
