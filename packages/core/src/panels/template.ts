import { type Control, controlsOn, dividePanel, shapeBox } from '../devices/index.ts';
import type { PanelPage } from './areas.ts';

/** A few characters mean something else in XML (XML 1.0, 2.4). */
const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};
const escaped = (text: string) => text.replace(/[&<>"]/g, (found) => ENTITIES[found] ?? found);

/**
 * The grid of a page to paint on, as an SVG document in millimetres: a group for the grid, one for the cells and one for
 * their numbers and names. What is painted over it to its very edges lies on the page to the point.
 */
export function templateSvg({ device, page, grid, bases }: PanelPage): string {
  const { width, height } = device;
  const { margin, across, down } = dividePanel(device, grid);
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    `    <line x1="${mm(x1)}" y1="${mm(y1)}" x2="${mm(x2)}" y2="${mm(y2)}"/>`;
  const [right, bottom] = [width - margin, height - margin];
  const upright = Array.from({ length: grid.columns + 1 }, (_, i) =>
    line(margin + i * across, margin, margin + i * across, bottom),
  );
  const level = Array.from({ length: grid.rows + 1 }, (_, i) =>
    line(margin, margin + i * down, right, margin + i * down),
  );
  const cells = controlsOn(device, page?.id ?? null, bases).filter(({ cell }) => cell !== null);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${escaped(`${device.name}${page ? `, ${page.name}` : ''}`)}</title>`,
    '  <g id="paper" fill="#ffffff">',
    `    <rect width="${width}" height="${height}"/>`,
    '  </g>',
    '  <g id="grid" stroke="#b8b2a4" stroke-width="0.2" fill="none">',
    ...upright,
    ...level,
    '  </g>',
    '  <g id="cells" fill="none" stroke="#39404e" stroke-width="0.35">',
    ...cells.map(cellOutline),
    '  </g>',
    '  <g id="names" font-family="sans-serif" fill="#39404e">',
    ...cells.flatMap(cellWords),
    '  </g>',
    '</svg>',
    '',
  ].join('\n');
}

function cellOutline({ id, shape }: Control): string {
  const { left, top, right, bottom } = shapeBox(shape);
  const radius = shape.kind === 'rect' ? shape.radius : 0;
  const box = `x="${mm(left)}" y="${mm(top)}" width="${mm(right - left)}" height="${mm(bottom - top)}"`;
  return `    <rect id="${escaped(id)}" ${box} rx="${mm(radius)}"/>`;
}

/** Its number on the page, and its name: in the corner, no higher than a fifth of the cell. */
function cellWords({ name, shape }: Control, i: number): readonly string[] {
  const { left, top, right, bottom } = shapeBox(shape);
  const size = Math.min(4, (bottom - top) / 5, (right - left) / 6);
  const place = `x="${mm(left + size / 2)}" y="${mm(top + size * 1.4)}"`;
  return [`    <text ${place} font-size="${mm(size)}">${i + 1} ${escaped(name)}</text>`];
}

/** To a thousandth of a millimetre, without zeros that say nothing. */
function mm(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}
