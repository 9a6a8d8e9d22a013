import {
  type CommandRow,
  commandsFrom,
  type Running,
  remember,
  type StandIn,
  type Undoable,
  undoRows,
  within,
} from './standIn.ts';

/** What a node does to what comes into it. */
export const NODE_KINDS = ['outline', 'bend', 'paint', 'hinge', 'spring'] as const;
export type NodeKind = (typeof NODE_KINDS)[number];

/** A node of a prop's graph. */
export interface GraphNode {
  readonly id: number;
  readonly kind: NodeKind;
  /** In squares of the sheet. */
  readonly x: number;
  readonly y: number;
  /** 0 to 100. */
  readonly value: number;
  /** It lets through what comes in, as if it were not there. */
  readonly off: boolean;
}

/** A prop's graph: what becomes of it is read from node to node. */
export interface Graph {
  readonly nodes: readonly GraphNode[];
  /** From and to, by id. */
  readonly links: readonly (readonly [from: number, to: number])[];
}

/** Kettleby's graph and what is looked at. */
export interface KettlebyState extends Undoable<Graph>, Running {
  readonly graph: Graph;
  /** The chosen node, by id; null where there is none. */
  readonly chosen: number | null;
  /** 1 is as drawn. */
  readonly zoom: number;
  /** The prop is turned before one. */
  readonly turning: boolean;
  readonly gridShown: boolean;
}

/** Squares of the sheet. */
export const SHEET = { columns: 12, rows: 7 } as const;

const node = (id: number, kind: NodeKind, x: number, y: number, value: number): GraphNode => {
  return { id, kind, x, y, value, off: false };
};

/** A kettle with a lid that springs. */
const INITIAL: KettlebyState = {
  graph: {
    nodes: [
      node(1, 'outline', 1, 2, 60),
      node(2, 'bend', 4, 1, 35),
      node(3, 'paint', 7, 2, 80),
      node(4, 'hinge', 4, 4, 20),
      node(5, 'spring', 9, 4, 55),
    ],
    links: [
      [1, 2],
      [2, 3],
      [1, 4],
      [4, 5],
    ],
  },
  chosen: 2,
  zoom: 1,
  turning: false,
  gridShown: true,
  lastCommand: null,
  past: [],
  future: [],
};

/** The chosen node; null where none is. */
export function chosenNode({ graph, chosen }: Pick<KettlebyState, 'graph' | 'chosen'>): GraphNode | null {
  return graph.nodes.find(({ id }) => id === chosen) ?? null;
}

/** Changes the graph, to be taken back. */
const graphed =
  (change: (graph: Graph, state: KettlebyState) => Graph) =>
  (state: KettlebyState): KettlebyState => {
    const graph = change(state.graph, state);
    return graph === state.graph ? state : { ...state, ...remember(state, state.graph), graph };
  };

/** Changes the chosen node. */
const nodeChanged = (change: (node: GraphNode) => GraphNode) =>
  graphed((graph, { chosen }) => {
    const nodes = graph.nodes.map((each) => (each.id === chosen ? change(each) : each));
    return nodes.some((each, i) => each !== graph.nodes[i]) ? { ...graph, nodes } : graph;
  });

const moved = (x: number, y: number) =>
  nodeChanged((each) => {
    return {
      ...each,
      x: within(each.x + x, 0, SHEET.columns - 2),
      y: within(each.y + y, 0, SHEET.rows - 1),
    };
  });
const valued = (by: number) => nodeChanged((each) => ({ ...each, value: within(each.value + by, 0, 100) }));

/** Goes from node to node in the order in which they were made. */
const stepped = (by: number) => (state: KettlebyState) => {
  const { nodes } = state.graph;
  const at = nodes.findIndex(({ id }) => id === state.chosen);
  const next = nodes[(Math.max(at, 0) + by + nodes.length) % Math.max(1, nodes.length)];
  return { ...state, chosen: next?.id ?? null };
};
const chosenAt = (place: 'first' | 'last') => (state: KettlebyState) => {
  const { nodes } = state.graph;
  return { ...state, chosen: (place === 'first' ? nodes[0] : nodes.at(-1))?.id ?? null };
};

/** A node more beside the chosen one; it is chosen then. */
const added = (kindOf: (beside: GraphNode | null) => NodeKind) => (state: KettlebyState) => {
  const beside = chosenNode(state);
  const id = Math.max(0, ...state.graph.nodes.map((each) => each.id)) + 1;
  const x = within((beside?.x ?? 0) + 2, 0, SHEET.columns - 2);
  const y = within((beside?.y ?? 0) + 1, 0, SHEET.rows - 1);
  const made = { ...node(id, kindOf(beside), x, y, beside?.value ?? 50) };
  return {
    ...graphed((graph) => ({ ...graph, nodes: [...graph.nodes, made] }))(state),
    chosen: id,
  };
};

/** Removes the chosen node with its links; the last one stays. */
const removed = (state: KettlebyState): KettlebyState => {
  if (state.graph.nodes.length < 2) return state;
  const next = stepped(1)(state).chosen;
  const after = graphed(({ nodes, links }, { chosen }) => ({
    nodes: nodes.filter(({ id }) => id !== chosen),
    links: links.filter((link) => chosen === null || !link.includes(chosen)),
  }))(state);
  return { ...after, chosen: next };
};

/** Joins the chosen node to the one after it. */
const linked = (state: KettlebyState) => {
  const to = stepped(1)(state).chosen;
  return graphed((graph, { chosen }) => {
    const known = graph.links.some(([from, end]) => from === chosen && end === to);
    if (chosen === null || to === null || chosen === to || known) return graph;
    return { ...graph, links: [...graph.links, [chosen, to]] };
  })(state);
};
const unlinked = graphed((graph, { chosen }) => {
  const links = graph.links.filter((link) => chosen === null || !link.includes(chosen));
  return links.length === graph.links.length ? graph : { ...graph, links };
});
/** In rows, as they follow one another. */
const tidied = graphed((graph) => ({
  ...graph,
  nodes: graph.nodes.map((each, i) => ({ ...each, x: (i % 4) * 3, y: 1 + 2 * Math.floor(i / 4) })),
}));
const zoomed = (factor: number) => (state: KettlebyState) => {
  return { ...state, zoom: within(Math.round(state.zoom * factor * 100) / 100, 0.5, 2) };
};

const nodeWords = (state: KettlebyState) => {
  const found = chosenNode(state);
  return found ? `Node ${found.id}: ${found.kind}, ${found.value}.` : 'No node is chosen.';
};
const countWords = ({ graph }: KettlebyState) => `${graph.nodes.length} nodes, ${graph.links.length} links.`;
const zoomWords = ({ zoom }: KettlebyState) => `Seen at ${Math.round(zoom * 100)} %.`;

/** Its commands; letters are places of keys, as in many programs that draw in space. */
const ROWS: readonly CommandRow<KettlebyState>[] = [
  ['ArrowRight', 'Next node', stepped(1)],
  ['ArrowLeft', 'Previous node', stepped(-1)],
  ['Home', 'First node', chosenAt('first')],
  ['End', 'Last node', chosenAt('last')],
  ['ArrowUp', 'Value up', valued(5)],
  ['ArrowDown', 'Value down', valued(-5)],
  ['Shift+ArrowRight', 'Move the node right', moved(1, 0)],
  ['Shift+ArrowLeft', 'Move the node left', moved(-1, 0)],
  ['Shift+ArrowUp', 'Move the node up', moved(0, -1)],
  ['Shift+ArrowDown', 'Move the node down', moved(0, 1)],
  [
    'N',
    'New node',
    added((beside) => NODE_KINDS[(NODE_KINDS.indexOf(beside?.kind ?? 'spring') + 1) % 5] ?? 'bend'),
    countWords,
  ],
  ['Shift+D', 'Duplicate the node', added((beside) => beside?.kind ?? 'outline'), countWords],
  ['L', 'Link to the next node', linked, countWords],
  ['Shift+L', 'Cut the links', unlinked, countWords],
  ['M', 'Node off or on', nodeChanged((each) => ({ ...each, off: !each.off }))],
  ['Delete', 'Delete the node', removed, countWords],
  ['T', 'Tidy up', tidied, countWords],
  ['=', 'Zoom in', zoomed(1.25), zoomWords],
  ['-', 'Zoom out', zoomed(0.8), zoomWords],
  ['F', 'Fit in window', (state) => ({ ...state, zoom: 1 }), zoomWords],
  [
    'Space',
    'Turn the prop',
    (state) => ({ ...state, turning: !state.turning }),
    ({ turning }) => (turning ? 'It turns.' : 'It stands.'),
  ],
  [
    'G',
    'Grid',
    (state) => ({ ...state, gridShown: !state.gridShown }),
    ({ gridShown }) => (gridShown ? 'The grid shows.' : 'The grid is hidden.'),
  ],
  ...undoRows<KettlebyState, Graph>(
    'Ctrl+Shift+Z',
    ({ graph }) => graph,
    (state, graph) => ({ ...state, graph }),
  ),
];

/** A node graph for props, which reads keys by their place. */
export const KETTLEBY_PROGRAM: StandIn<KettlebyState> = {
  initial: INITIAL,
  keysBy: 'place',
  commands: [
    ...commandsFrom(ROWS, nodeWords),
    {
      shortcut: 'Ctrl+B',
      name: 'Bake the prop…',
      run: (state) => state,
      said: () => 'It asks how it is to be baked.',
      opens: 'kettleby-bake',
    },
  ],
  wheel: { by: 'parts', turn: (state, ticks) => zoomed(1.1 ** ticks)(state) },
};
