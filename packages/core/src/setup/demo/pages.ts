import { newPage, type Page } from '../page.ts';

/** The folders of the six pad, one of the program that captures and one of the one that paints. */
export const SHOT = 'shot';
export const PUPPET = 'puppet';
/** A page of the wall panel, divided more finely than its own. */
export const SHOWING = 'showing';
export const SHOWING_GRID = { columns: 8, rows: 5 };
/** The sets of the dial, two for each of three programs. */
export const FRAMES = 'frames';
export const FILM_STRIP = 'film-strip';
export const WORDS = 'words';
export const CLIPBOARD = 'clipboard';
export const BRUSH = 'brush';
export const CANVAS = 'canvas';

const folder = (id: string, name: string, program: string): Page =>
  newPage({ id, device: 'six-pad', kind: 'folder', name, program });
const set = (id: string, name: string, program: string): Page =>
  newPage({ id, device: 'bench-dial', kind: 'set', name, program });

/** Few keys and one dial, with more than they hold at once. */
export const demoPages = (): Page[] => [
  set(FRAMES, 'Frames', 'larkframe'),
  set(FILM_STRIP, 'Film strip', 'larkframe'),
  set(WORDS, 'Words', 'quillboard'),
  set(CLIPBOARD, 'Clipboard', 'quillboard'),
  set(BRUSH, 'Brush', 'brindle'),
  set(CANVAS, 'Canvas', 'brindle'),
  folder(SHOT, 'Shot', 'larkframe'),
  folder(PUPPET, 'Puppet', 'brindle'),
  newPage({
    id: SHOWING,
    device: 'wall-panel',
    kind: 'folder',
    name: 'Showing',
    program: 'larkframe',
    grid: SHOWING_GRID,
  }),
];
