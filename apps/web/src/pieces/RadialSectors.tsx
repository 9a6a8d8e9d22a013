import { styled } from '@mui/material/styles';
import type { FacePicture } from '@nimble-lever/core/devices';
import type { RadialItem } from '@nimble-lever/core/setup';
import type { DOMAttributes } from 'react';
import { FaceIcon } from './FaceIcon.tsx';

/** The menu's inner and outer radius, and where its labels sit, as parts of half its size. */
const INNER = 0.2;
/** Of half the menu's width: where its items end, and where their labels stand. */
const OUTER = 0.97;
/** How far out words stand, as a part of the radius: where a sector is wide enough for a word. */
const LABELS = 0.63;

const Box = styled('div')(({ theme: { vars } }) => ({
  position: 'relative',
  '& svg.sectors': { position: 'absolute', inset: 0, filter: 'drop-shadow(0 4px 14px rgb(0 0 0 / 0.28))' },
  '& .sector': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.divider, strokeWidth: 1.5 },
  '& .sector[data-on=true]': {
    fill: vars?.palette.tokens.accentTint,
    stroke: vars?.palette.tokens.accent,
    strokeWidth: 2,
  },
  '& button': {
    position: 'absolute',
    transform: 'translate(-50%, -50%)',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 3,
    minWidth: 44,
    minHeight: 44,
    maxWidth: 74,
    padding: 2,
    border: 0,
    borderRadius: 8,
    font: 'inherit',
    fontSize: 11,
    lineHeight: 1.15,
    color: vars?.palette.text.primary,
    background: 'none',
    cursor: 'pointer',
  },
  '& button[data-on=true]': { fontWeight: 650 },
  '& button[aria-pressed=true]': { outline: `2px solid ${vars?.palette.text.primary}` },
}));

/** An item as it is shown; sets have pictures, where their faces have. */
type SectorItem = Pick<RadialItem, 'id' | 'label' | 'icon'> & { readonly picture?: FacePicture | null };

/** A radial menu as it opens: the same piece shows it in Rehearse and while it is made. */
interface Props {
  readonly items: readonly SectorItem[];
  /** By its place, clockwise from the top; null in the middle. */
  readonly highlighted: number | null;
  /** For editing: the item that is selected. */
  readonly selected?: number | null;
  /** Pixels across. */
  readonly size: number;
  readonly onItem: (item: number) => void;
  /** For editing: a hook that lets an item be dragged. */
  readonly wrap?: (item: number) => ItemDrag;
}

/** How an item takes part in dragging. */
interface ItemDrag {
  readonly ref: (node: HTMLElement | null) => void;
  /** What makes it draggable. */
  readonly listeners: DOMAttributes<HTMLElement>;
  /** How far it is dragged: pixels. */
  readonly shift: readonly [x: number, y: number] | null;
  /** Another one is dragged over it. */
  readonly lit: boolean;
}

/** An item that cannot be dragged. */
const STILL: ItemDrag = { ref: () => undefined, listeners: {}, shift: null, lit: false };

/** A radial menu: up to eight items in equal sectors, the first at the top, then clockwise. */
export function RadialSectors({ items, highlighted, selected = null, size, onItem, wrap }: Props) {
  const half = size / 2;
  const count = items.length;
  return (
    <Box style={{ width: size, height: size }}>
      <svg className="sectors" viewBox={`${-half} ${-half} ${size} ${size}`} aria-hidden>
        {items.map((_item, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a sector is its place.
            key={i}
            className="sector"
            data-on={i === highlighted}
            d={sectorPath(i, count, half * INNER, half * OUTER)}
          />
        ))}
      </svg>
      {items.map((item, i) => (
        <Item
          // biome-ignore lint/suspicious/noArrayIndexKey: an item is its place.
          key={i}
          item={item}
          at={i}
          count={count}
          half={half}
          on={i === highlighted}
          pressed={selected === null ? undefined : i === selected}
          onItem={onItem}
          {...(wrap ? { useDrag: wrap } : {})}
        />
      ))}
    </Box>
  );
}

/** One item, as a slice of the circle with its label. */
interface ItemProps {
  readonly item: Props['items'][number];
  /** Its place, clockwise from the top. */
  readonly at: number;
  readonly count: number;
  /** Half the menu's width: pixels. */
  readonly half: number;
  /** It is highlighted, or selected while the menu is made. */
  readonly on: boolean;
  /** Undefined where nothing is made: then it is no toggle. */
  readonly pressed: boolean | undefined;
  readonly onItem: (item: number) => void;
  readonly useDrag?: (item: number) => ItemDrag;
}

/** The hook for menus whose items stay where they are. */
const useStill = () => STILL;

/** An item at its place on the circle, counted clockwise from the top. */
function Item({ item, at, count, half, on, pressed, onItem, useDrag = useStill }: ItemProps) {
  const { ref, listeners, shift, lit } = useDrag(at);
  const angle = (at / count) * 2 * Math.PI;
  const moved = shift ? { translate: `${shift[0]}px ${shift[1]}px`, zIndex: 1 } : {};
  return (
    <button
      ref={ref}
      {...listeners}
      type="button"
      data-on={on || lit}
      data-item={at}
      aria-pressed={pressed}
      style={{
        left: half + Math.sin(angle) * half * LABELS,
        top: half - Math.cos(angle) * half * LABELS,
        ...moved,
      }}
      onClick={() => onItem(at)}
    >
      <FaceIcon face={item} size={item.picture ? 26 : 18} />
      {item.label}
    </button>
  );
}

/** The outline of one of `count` equal sectors round the origin. */
function sectorPath(index: number, count: number, inner: number, outer: number): string {
  if (count === 1) {
    const circle = (r: number) => `M0 ${-r}A${r} ${r} 0 1 1 0 ${r}A${r} ${r} 0 1 1 0 ${-r}Z`;
    return circle(outer) + circle(inner);
  }
  const at = (turn: number, r: number) => {
    const angle = turn * 2 * Math.PI;
    return `${(Math.sin(angle) * r).toFixed(2)} ${(-Math.cos(angle) * r).toFixed(2)}`;
  };
  const [from, to] = [(index - 0.5) / count, (index + 0.5) / count];
  const large = count === 2 ? 1 : 0;
  return `M${at(from, inner)}L${at(from, outer)}A${outer} ${outer} 0 ${large} 1 ${at(to, outer)}L${at(to, inner)}A${inner} ${inner} 0 ${large} 0 ${at(from, inner)}Z`;
}
