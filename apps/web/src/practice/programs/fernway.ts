import { type CommandRow, commandsFrom, type Running, type StandIn, within } from './standIn.ts';

/** A page of the made-up web: a title and paragraphs. */
export interface WebPage {
  readonly title: string;
  /** What it says, a paragraph a line. */
  readonly lines: readonly string[];
}

/** Every page there is; the last one is that of a new tab. */
export const PAGES: readonly WebPage[] = [
  {
    title: 'Herons of the salt marsh',
    lines: [
      'Grey herons stand still for up to an hour.',
      'They fold the neck in flight and stretch the legs.',
      'Most nests are in trees near water.',
      'Young birds are fed for about fifty days.',
      'A heron wades slowly, or waits where a ditch meets the tide.',
      'The bill closes in a twentieth of a second.',
      'Eels are turned until they go down head first.',
      'In frost they follow the open water down to the sea.',
      'Legs and bill grow redder when the nests are built.',
      'Both birds bring sticks; one of them weaves.',
      'The eggs are a pale blue without any marks.',
      'A colony may stay in the same trees for a century.',
      'Powder from the breast feathers cleans slime off the rest.',
      'They sleep on one leg, more often in wind than in rain.',
      'From a hide, count the birds that stand before those that fly.',
      'At high tide look for them along the sea wall.',
    ],
  },
  {
    title: 'How umbrellas fold',
    lines: [
      'Eight ribs carry the cloth.',
      'The runner slides along the stick.',
      'A spring holds it open.',
      'Paper ones are oiled so that rain runs off.',
      'The stretchers push the ribs out as the runner goes up.',
      'A notch on each rib keeps the thread from slipping.',
      'The cloth is cut in gores, one between two ribs.',
      'Cut on the bias, a gore bends without folds.',
      'The tip holds the gores together and lets no water in.',
      'A bow that is too flat turns inside out in a gust.',
      'Steel ribs came from the whalebone of older ones.',
      'Wood for the stick is dried for two years.',
      'The handle is bent over steam, then left in a form.',
      'Dry it open, or the folds will wear first.',
      'A drop of oil at the hinge each autumn is enough.',
      'For a puppet, three ribs read as eight from a distance.',
    ],
  },
  {
    title: 'Paper hinges',
    lines: [
      'Score before you fold.',
      'A thread hinge bends both ways.',
      'Wax keeps joints from squeaking.',
      'Card of 220 g per square metre holds its shape.',
      'Cut along the grain where a hinge must last.',
      'A brass fastener turns freely with a washer of paper under it.',
      'Two hinges side by side need the same line of fold.',
      'Strips of silk tape bend more often than paper does.',
      'Glue the tape first, then cut the joint.',
      'A joint that creeps between frames wants more friction.',
      'Beeswax holds a wing for a minute under warm lamps.',
      'Number the joints on the back, from the shoulder out.',
      'Keep the spare wings flat, between two boards.',
      'A rivet of wire leaves no shine on the picture.',
      'Test each hinge a hundred times before the first frame.',
      'What tears can be mended; what warps cannot.',
    ],
  },
  { title: 'New tab', lines: ['Nothing is open here yet.'] },
];
/** The page a new tab shows. */
const EMPTY = PAGES.length - 1;

/** A tab with its own way back. */
interface Tab {
  /** Pages that were gone through, and which is shown. */
  readonly visited: readonly number[];
  readonly at: number;
  /** The first line that is seen. */
  readonly scroll: number;
}

/** Fernway’s tabs and the place in each. */
export interface FernwayState extends Running {
  readonly tabs: readonly Tab[];
  readonly at: number;
  /** Tabs that can be opened again, the last one at the end. */
  readonly closed: readonly Tab[];
  /** Percent. */
  readonly zoom: number;
  /** Pages that were marked to be found again. */
  readonly kept: readonly number[];
  /** How often pages were loaded anew. */
  readonly loads: number;
}

/** Three tabs, the first of which was gone on from, so that Back has somewhere to go. */
const INITIAL: FernwayState = {
  tabs: [
    { visited: [1, 0], at: 1, scroll: 0 },
    { visited: [1], at: 0, scroll: 0 },
    { visited: [2], at: 0, scroll: 0 },
  ],
  at: 0,
  closed: [],
  zoom: 100,
  kept: [2],
  loads: 1,
  lastCommand: null,
};

/** A tab nobody has gone anywhere in. */
const NEW_TAB: Tab = { visited: [EMPTY], at: 0, scroll: 0 };

/** The tab in front. */
export function tabOf({ tabs, at }: FernwayState): Tab {
  return tabs[at] ?? NEW_TAB;
}

/** The page a tab shows. */
export function pageOf({ visited, at }: Tab): WebPage {
  return PAGES[visited[at] ?? EMPTY] ?? (PAGES[EMPTY] as WebPage);
}

/** Shows another tab, by its place. */
export function shown(state: FernwayState, at: number): FernwayState {
  return { ...state, at: (at + state.tabs.length) % state.tabs.length };
}
/** Changes the tab that is shown. */
const inTab = (state: FernwayState, change: (tab: Tab) => Tab): FernwayState => ({
  ...state,
  tabs: state.tabs.with(state.at, change(tabOf(state))),
});
/** Back and forward end at the first and last page; one that is gone to starts at its top. */
const went = (by: number) => (state: FernwayState) =>
  inTab(state, (tab) => ({ ...tab, at: within(tab.at + by, 0, tab.visited.length - 1), scroll: 0 }));
const scrolledTo = (state: FernwayState, to: number) =>
  inTab(state, (tab) => ({ ...tab, scroll: within(to, 0, pageOf(tab).lines.length - 1) }));
const zoomedTo = (zoom: (now: number) => number) => (state: FernwayState) => ({
  ...state,
  zoom: within(zoom(state.zoom), 50, 200),
});
/** Without the tab; a browser always has one left. The closed one can be opened again. */
const closedTab = (state: FernwayState): FernwayState => {
  const tabs = state.tabs.toSpliced(state.at, 1);
  const left = tabs.length > 0 ? tabs : [NEW_TAB];
  return {
    ...state,
    tabs: left,
    at: Math.min(state.at, left.length - 1),
    closed: [...state.closed, tabOf(state)],
  };
};
/** The tab that was closed last comes back at the end. */
const reopened = (state: FernwayState): FernwayState => {
  const last = state.closed.at(-1);
  if (!last) return state;
  return { ...state, tabs: [...state.tabs, last], at: state.tabs.length, closed: state.closed.slice(0, -1) };
};
/** Keeps a page among the kept ones, or lets go of it. */
const keptPage = (state: FernwayState): FernwayState => {
  const tab = tabOf(state);
  const page = tab.visited[tab.at] ?? EMPTY;
  const kept = state.kept.includes(page) ? state.kept.filter((own) => own !== page) : [...state.kept, page];
  return { ...state, kept };
};

// What each command says in the status line.
const tabWords = (state: FernwayState) =>
  `“${pageOf(tabOf(state)).title}”, tab ${state.at + 1} of ${state.tabs.length}.`;
const scrollWords = (state: FernwayState) => `Line ${Math.floor(tabOf(state).scroll) + 1} is at the top.`;
const zoomWords = ({ zoom }: FernwayState) => `Zoom ${zoom} %.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<FernwayState>[] = [
  ['Ctrl+PageDown', 'Next tab', (state) => shown(state, state.at + 1)],
  ['Ctrl+PageUp', 'Previous tab', (state) => shown(state, state.at - 1)],
  ['Ctrl+T', 'New tab', (state) => ({ ...state, tabs: [...state.tabs, NEW_TAB], at: state.tabs.length })],
  ['Ctrl+W', 'Close the tab', closedTab],
  ['Ctrl+Shift+T', 'Open the closed tab again', reopened],
  ['Alt+ArrowLeft', 'Page back', went(-1)],
  ['Alt+ArrowRight', 'Page forward', went(1)],
  [
    'F5',
    'Reload',
    (state) => ({ ...state, loads: state.loads + 1 }),
    ({ loads }) => `Loaded ${loads} times.`,
  ],
  ['Home', 'Top of the page', (state) => scrolledTo(state, 0), scrollWords],
  ['End', 'Bottom of the page', (state) => scrolledTo(state, 99), scrollWords],
  ['Space', 'Scroll a page on', (state) => scrolledTo(state, tabOf(state).scroll + 2), scrollWords],
  ['Shift+Space', 'Scroll a page back', (state) => scrolledTo(state, tabOf(state).scroll - 2), scrollWords],
  ['Ctrl+=', 'Zoom in', zoomedTo((now) => now + 25), zoomWords],
  ['Ctrl+-', 'Zoom out', zoomedTo((now) => now - 25), zoomWords],
  ['Ctrl+0', 'Actual size', zoomedTo(() => 100), zoomWords],
  ['Ctrl+D', 'Keep the page', keptPage, ({ kept }) => `${kept.length} pages are kept.`],
];

/** Web pages in tabs. */
export const FERNWAY_PROGRAM: StandIn<FernwayState> = {
  initial: INITIAL,
  keysBy: 'character',
  commands: commandsFrom(ROWS, tabWords),
  wheel: { by: 'parts', turn: (state, ticks) => scrolledTo(state, tabOf(state).scroll - ticks) },
};
