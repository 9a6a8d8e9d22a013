import type { CellKind, LabelPlace, Letters, ScreenName } from '@nimble-lever/core/devices';
import type { Alignment, CellProblem } from '@nimble-lever/core/panels';

/** How many of a thing, in words. */
const cells = (count: number) => (count === 1 ? '1 cell' : `${count} cells`);

/** What a cell can be. */
const KINDS = {
  button: 'Button',
  fader: 'Fader',
  'xy-pad': 'XY pad',
  dial: 'Dial',
  jog: 'Jog strip',
  words: 'Words',
  picture: 'Picture',
} as const satisfies Record<CellKind, string>;

/** Where words stand in a cell. */
const PLACES = {
  'top-left': 'Top left',
  top: 'Top',
  'top-right': 'Top right',
  left: 'Left',
  middle: 'Middle',
  right: 'Right',
  'bottom-left': 'Bottom left',
  bottom: 'Bottom',
  'bottom-right': 'Bottom right',
} as const satisfies Record<LabelPlace, string>;

/** What several cells can be brought to. */
const ALIGNMENTS = {
  left: 'Left edges',
  right: 'Right edges',
  top: 'Top edges',
  bottom: 'Bottom edges',
  'same-width': 'Same width',
  'same-height': 'Same height',
} as const satisfies Record<Alignment, string>;

/** The words of panels that are divided by grids. */
export const WORDS = {
  home: 'Home',
  kinds: KINDS,
  places: PLACES,
  alignments: ALIGNMENTS,
  draws: 'What is drawn',
  drawsA: (kind: string) => `Draws: ${kind}`,
  hint: 'Drag on the grid to draw a cell, a cell to move it (Alt copies, onto a page takes it there), an edge to span it',
  hintKeys: 'Alt+arrow moves · Shift+arrow spans · N new · Ctrl+D copies · F folder · Enter edits · Delete',
  taken: 'There is a cell already, or the grid ends. Cells of a page lie beside each other.',
  takenThere: (page: string) => `On ${page} that place is taken, or outside its grid.`,
  noRoom: 'There is no free place of that size on this page. Divide it more finely, or make cells smaller.',
  drew: (kind: string, columns: number, rows: number) => `${kind}, ${columns} × ${rows}. Say what it does.`,
  placed: (count: number, column: number, row: number, columns: number, rows: number) =>
    count === 1 ? `Column ${column}, row ${row}, ${columns} × ${rows}.` : `${cells(count)} placed.`,
  copied: (count: number) => `${cells(count)} copied, with what they do.`,
  copiedTo: (count: number, page: string) => `${cells(count)} copied to ${page}.`,
  takenTo: (count: number, page: string) => `${cells(count)} taken to ${page}.`,
  removed: (names: readonly string[]) => `${names.join(', ')} taken away. Ctrl+Z brings it back.`,
  became: (kind: string) => `${kind} now. What it cannot do any more was taken off.`,
  nowOnEvery: 'It belongs to Home now and shows on every page.',
  folderName: 'Folder',
  noFolder: 'Select cells of this page first: Shift and a click adds one.',
  folderMade: (name: string) =>
    `They are in ${name} now. A cell in their place opens it, and one in it leads back.`,
  // The tools.
  grid: (columns: number, rows: number) => `Grid ${columns} × ${rows}`,
  gridOf: 'Grid and size',
  picture: 'Picture…',
  template: 'Template…',
  align: 'Align',
  remove: 'Remove',
  tools: 'Tools of the page',
  // Grid and size.
  columns: 'Columns',
  rows: 'Rows',
  asHome: 'As Home is divided',
  gridHere: (page: string) => `How ${page} is divided`,
  sizeOf: (device: string) => `Size of ${device}`,
  size: 'Screen',
  ownSize: 'Its own size',
  width: 'Width',
  height: 'Height',
  turn: 'Turn it',
  distance: 'Read from',
  lost: (names: readonly string[]) =>
    `${names.length === 1 ? 'This does' : 'These do'} not fit any more and would be taken away: ${names.join(', ')}.`,
  allFit: 'Everything on the page still fits.',
  apply: 'Change it',
  cancel: 'Leave it',
  screens: {
    'small-phone': 'Small phone, 5.4″',
    phone: 'Phone, 6.1″',
    'large-phone': 'Large phone, 6.7″',
    'tablet-7': 'Small tablet, 7″',
    'tablet-8': 'Tablet, 8.3″',
    'tablet-10': 'Tablet, 10.1″',
    'tablet-11': 'Tablet, 10.9″',
    'tablet-13': 'Large tablet, 12.9″',
    'screen-16': 'Touch screen, 15.6″',
  } satisfies Record<ScreenName, string>,
  // The page's picture.
  pictureOf: (page: string) => `Picture under ${page}`,
  pictureMeans:
    'PNG, JPEG, WebP or SVG, up to 2 MB. Paint on the template: what is painted to its edges lies on the page to the point. It can be let go on the grid, too.',
  choose: 'Choose a file…',
  fits: { fill: 'Fills the page', whole: 'Whole', tile: 'Tiled' },
  fit: 'How it lies',
  closer: 'Closer',
  tiles: 'Tiles across',
  takeOff: 'Take it off',
  close: 'Done',
  comes: (name: string) => `${name} is on its way…`,
  stop: 'Stop',
  // The template.
  templateOf: (page: string) => `Template of ${page}`,
  templateMeans:
    'The grid with the numbers and names of the cells, to paint on in any program. Bring the picture back by Picture.',
  pixels: 'Pixels across',
  asPng: 'Save as PNG',
  asSvg: 'Save as SVG',
  noPng: 'The browser could not draw it. Save it as SVG instead.',
  // A panel itself.
  newPanel: 'New panel',
  panelName: 'Panel',
  divide: 'Draw on a grid',
  divideMeans:
    'Its cells keep their places and what they do; from then on more can be drawn, and pages divided.',
  divideNot: 'Its cells lie so that they fit no grid of up to 16 × 12. Add a new panel instead.',
  divided: 'Divided. Its cells are where they were, as near as the grid has it.',
  // Using it.
  live: 'Use it live…',
  liveOf: (device: string) => `Use ${device} live`,
  liveMeans:
    'Pair a tablet or a phone, which then opens this panel, and keep Rehearse open in one browser here: what is pressed there is done here, and faces and pages follow.',
  mayBe: 'It may',
  mayPanel: 'use this panel only',
  mayEverything: 'do everything',
  pairedAlready: 'Paired already? Open',
  inThisBrowser: 'In this browser:',
  // A cell.
  cell: 'Cell',
  kind: 'Kind',
  name: 'Name',
  text: 'Words',
  place: 'Where its words stand',
  height2: 'Letters',
  heightFits: 'as they fit',
  heightOwn: 'Letters of a height of their own',
  seeThrough: 'See-through: the picture below shows, the cell still works',
  basedOn: 'Based on',
  basedOnNone: 'no other page',
  basedOnMeans: 'Its cells are here too, in the same places, where none of this page’s own lies.',
  ofBase: (page: string) =>
    `It belongs to “${page}”: what is changed here is changed there, and on all that is based on it.`,
  ownOne: 'Give this page one of its own',
  notHere:
    'It belongs to the page this one is based on. Take it away there, or lay another one over it here.',
  everyPage: 'On every page of this panel',
  everyPageMeans: 'A cell of a page that lies in the same place stands in for it there.',
  readableFrom: (metres: string) => `readable to ${metres}`,
  cellPicture: 'Choose a picture…',
  letters: 'On a picture',
  lettersAs: { paper: 'on paper', dark: 'dark letters', light: 'light letters' } as const satisfies Record<
    Letters,
    string
  >,
  contrast: (ratio: string, needed: string) => `contrast ${ratio} : 1, needs ${needed} : 1`,
  // How the page is.
  page: 'On this page',
  cellsOf: (count: number, through: number) =>
    `${cells(count)}${through > 0 ? `, ${through} see-through` : ''}.`,
  smallest: (millimetres: string, least: number) =>
    `The smallest target is ${millimetres} mm; a finger needs ${least} mm.`,
  lettersFrom: (metres: string) => `Read from ${metres}.`,
  problems: {
    small: 'too small for a finger',
    'does-nothing': 'does nothing in this program',
    'label-low': 'letters too low to be read',
    'low-contrast': 'words do not stand out from the picture',
  } as const satisfies Record<CellProblem['kind'], string>,
  problem: (name: string, what: string) => `${name}: ${what}`,
  more: (count: number) => `And ${count} more.`,
  noneHere: 'There is no cell here yet. Drag on the grid, or press N.',
} as const;
