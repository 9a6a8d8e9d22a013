import { styled } from '@mui/material/styles';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { chosenNode, type GraphNode, SHEET } from './kettleby.ts';

/** A square of the sheet: units of the drawing. */
const SQUARE = 60;
const NODE = { width: 108, height: 44 };

const Sheet = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'hidden',
  position: 'relative',
  backgroundColor: vars?.palette.tokens.background,
  '& svg': { width: '100%', height: '100%', display: 'block' },
  '& .grid': { stroke: vars?.palette.divider, strokeWidth: 1 },
  '& .link': { fill: 'none', stroke: vars?.palette.text.secondary, strokeWidth: 2 },
  '& .node rect': {
    fill: vars?.palette.tokens.sheet,
    stroke: vars?.palette.text.secondary,
    strokeWidth: 1.5,
    rx: 8,
  },
  '& .node text': { fontSize: 14, fill: vars?.palette.text.primary },
  '& .node .value': { fill: vars?.palette.tokens.accent, rx: 2 },
  '& .node': { cursor: 'pointer' },
  '& .node[data-chosen=true] rect.body': { stroke: vars?.palette.tokens.accent, strokeWidth: 3 },
  '& .node[data-off=true]': { opacity: 0.5 },
}));

/** Kettleby: the graph of a prop, node by node. */
export function KettlebyView() {
  const dispatch = useAppDispatch();
  const state = usePrograms((rehearse) => rehearse.kettleby);
  const { graph, chosen, zoom, gridShown, turning, lastCommand } = state;
  const found = chosenNode(state);
  const [width, height] = [SHEET.columns * SQUARE, SHEET.rows * SQUARE];
  const at = (id: number) => graph.nodes.find((each) => each.id === id);
  return (
    <>
      <Sheet>
        <svg
          viewBox={`0 0 ${width / zoom} ${height / zoom}`}
          role="img"
          aria-label={WORDS.graph(graph.nodes.length)}
        >
          {gridShown &&
            Array.from({ length: SHEET.columns + 1 }, (_, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a line is its place.
              <line key={i} className="grid" x1={i * SQUARE} x2={i * SQUARE} y1={0} y2={height} />
            ))}
          {gridShown &&
            Array.from({ length: SHEET.rows + 1 }, (_, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a line is its place.
              <line key={i} className="grid" y1={i * SQUARE} y2={i * SQUARE} x1={0} x2={width} />
            ))}
          {graph.links.map(([from, to]) => (
            <path key={`${from} ${to}`} className="link" d={linkPath(at(from), at(to))} />
          ))}
          {graph.nodes.map((each) => (
            <g
              key={each.id}
              className="node"
              data-chosen={each.id === chosen}
              data-off={each.off}
              transform={`translate(${each.x * SQUARE} ${each.y * SQUARE})`}
              onPointerDown={() =>
                dispatch(changeProgram('kettleby', (before) => ({ ...before, chosen: each.id })))
              }
            >
              <rect className="body" width={NODE.width} height={NODE.height} />
              <text x={10} y={20}>
                {each.kind}
              </text>
              <rect
                className="value"
                x={10}
                y={30}
                width={(each.value * (NODE.width - 20)) / 100}
                height={5}
              />
            </g>
          ))}
        </svg>
      </Sheet>
      <StatusLine
        facts={[
          [WORDS.node, found ? `${found.kind} ${found.value}` : WORDS.none],
          [WORDS.prop, turning ? WORDS.turns : WORDS.stands],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}

/** From the right side of a node to the left side of another. */
function linkPath(from: GraphNode | undefined, to: GraphNode | undefined): string {
  if (!from || !to) return '';
  const [x1, y1] = [from.x * SQUARE + NODE.width, from.y * SQUARE + NODE.height / 2];
  const [x2, y2] = [to.x * SQUARE, to.y * SQUARE + NODE.height / 2];
  const bend = Math.max(30, Math.abs(x2 - x1) / 2);
  return `M ${x1} ${y1} C ${x1 + bend} ${y1}, ${x2 - bend} ${y2}, ${x2} ${y2}`;
}
