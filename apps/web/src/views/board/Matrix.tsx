import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { defaultRangeExtractor, type Range, useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { whenIdle } from '../../app/whenIdle.ts';
import { cellStyles } from '../../pieces/Cell.tsx';
import { GridPart } from '../../pieces/GridPart.tsx';
import { useSize } from '../../pieces/useSize.ts';
import { type BoardModel, rowKey } from './boardModel.ts';
import { searched, selectBoardState, viewChanged } from './boardSlice.ts';
import type { BoardView } from './boardView.ts';
import { CellMenu } from './CellMenu.tsx';
import { ColumnHead } from './ColumnHead.tsx';
import type { CopyFrom } from './copyFrom.ts';
import { MatrixRow } from './MatrixRow.tsx';
import { useMatrixKeys } from './matrixKeys.ts';
import {
  COLUMN,
  type ColumnPlace,
  GROUP,
  GROUP_INSET,
  HEAD,
  HEAD_HEIGHT,
  matrixStyles,
  ROW,
} from './matrixLayout.ts';
import { usePageColumn } from './pages/usePageColumn.ts';
import { STRIP } from './stripHeight.ts';
import { selectCell } from './useBoard.ts';
import { useMarks } from './useMarks.ts';
import { WORDS } from './words.ts';

/** Drawn right after the matrix: what it is looked at for first are its cells. */
const PageTabs = lazy(async () => ({ default: (await import('./pages/PageTabs.tsx')).PageTabs }));

const Scroller = styled('div')({ overflow: 'auto', minHeight: 0, flex: 1, position: 'relative' });
const Grid = styled('div')(matrixStyles, cellStyles);
const Empty = styled('div')(({ theme: { vars } }) => ({
  position: 'sticky',
  left: 0,
  display: 'flex',
  alignItems: 'center',
  gap: 12,
  padding: 24,
  color: vars?.palette.text.secondary,
}));

/** Rows and columns drawn beyond what is seen: many at rest, so that keys find them there; few while it scrolls. */
const ROWS_AHEAD = { atFirst: 0, atRest: 20, scrolling: 4 };
/** Drawn before they scroll into sight: a wheel goes about so far between two frames. */
const COLUMNS_AHEAD = 3;

interface Props {
  readonly model: BoardModel;
  /** The `device/control/trigger` rows that were just used. */
  readonly flashing: ReadonlySet<string>;
  /** The profile that is in front now. */
  readonly front: string;
  /** Opens the list of what the selected cell can do. */
  readonly onChoose: () => void;
  readonly onHelp: () => void;
  readonly onCopy: (from: CopyFrom) => void;
  readonly onReadsKeys: (program: string) => void;
  /** How high the devices above it are: pixels. */
  readonly above: number;
  /** Whether it is scrolled far enough that the devices above can give way. */
  readonly onScrolled: (scrolled: boolean) => void;
}

/** Controls × programs; only what is near the part that is seen is drawn. One cell is selected and takes the keys. */
export function Matrix({
  above,
  model,
  flashing,
  front,
  onChoose,
  onHelp,
  onCopy,
  onReadsKeys,
  onScrolled,
}: Props) {
  const dispatch = useAppDispatch();
  const cell = useAppSelector(selectCell);
  const recording = useAppSelector((state) => selectBoardState(state).recording);
  // The intent under the pointer: cells that do the same in other programs show it.
  const [intent, setIntent] = useState<string | null>(null);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const openers = useMemo(() => ({ chooser: onChoose, help: onHelp, menu: setMenu }), [onChoose, onHelp]);
  const onKeyDown = useMatrixKeys(model, openers);
  const marks = useMarks(model);
  const scroller = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(scroller);
  // Fewer rows are drawn ahead while it scrolls: at 20,000 bindings that is the difference between smooth and not.
  const [scrolling, setScrolling] = useState(false);
  const [settled, setSettled] = useState(false);
  useEffect(() => whenIdle(() => setSettled(true)), []);

  const grouping = useAppSelector((state) => selectBoardState(state).view.grouping);
  const items = useMemo(() => itemsOf(model, grouping), [model, grouping]);
  const pinned = model.columns.filter((column) => column.pinned).length;
  // Columns share the room there is, and never get narrower than a name needs.
  const columnWidth = Math.max(COLUMN, Math.floor((width - HEAD) / Math.max(1, model.columns.length)));
  const at = cell?.at;
  const selectedRow = useMemo(() => (at ? items.findIndex(({ row }) => row === at.row) : -1), [items, at]);
  // The selected row stays drawn wherever one scrolls, as when the dock opens over it: its cell has the keys.
  const rangeExtractor = useCallback(
    (range: Range) => {
      const near = defaultRangeExtractor(range);
      return selectedRow < 0 || near.includes(selectedRow)
        ? near
        : [...near, selectedRow].sort((a, b) => a - b);
    },
    [selectedRow],
  );
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (items[i]?.row === null ? GROUP : ROW),
    rangeExtractor,
    overscan: scrolling ? ROWS_AHEAD.scrolling : settled ? ROWS_AHEAD.atRest : ROWS_AHEAD.atFirst,
    onChange: ({ isScrolling }) => setScrolling(isScrolling),
    // The head stands above the rows and stays in sight over them.
    scrollMargin: HEAD_HEIGHT,
    scrollPaddingStart: HEAD_HEIGHT,
  });
  const columns = useVirtualizer({
    horizontal: true,
    count: model.columns.length - pinned,
    getScrollElement: () => scroller.current,
    estimateSize: () => columnWidth,
    overscan: COLUMNS_AHEAD,
    scrollMargin: HEAD + pinned * columnWidth,
    scrollPaddingStart: HEAD + pinned * columnWidth,
  });
  // Rows and columns change their sizes with what is shown.
  // biome-ignore lint/correctness/useExhaustiveDependencies: measured anew when these change.
  useLayoutEffect(() => {
    rows.measure();
    columns.measure();
  }, [items, columnWidth, pinned]);

  const seen = useRef({ at, height, above });
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is above counts only once the height has followed it.
  useEffect(() => {
    const before = seen.current;
    seen.current = { at, height, above };
    if (!at) return;
    // Less room, as when the dock opens, must not hide the cell; but where one has scrolled away from it, one stays. So one
    // does where the devices above come back, which they do for one who scrolled to the top.
    const isResized = before.at === at && before.height !== height;
    const comeBack = before.height > height && before.height + before.above === height + above;
    if (isResized && comeBack && rows.scrollOffset === 0) return;
    if (isResized && !wasInSight(rows, selectedRow, before.height)) return;
    rows.scrollToIndex(selectedRow, { align: 'auto' });
    if (at.column >= pinned) columns.scrollToIndex(at.column - pinned, { align: 'auto' });
  }, [at, selectedRow, pinned, rows, columns, height]);
  usePageColumn(model.columns, (column) => {
    if (column >= pinned) columns.scrollToIndex(column - pinned, { align: 'auto' });
  });

  // The same places as long as the same columns are near, so that rows need not be drawn anew as they scroll by.
  const near = columns.getVirtualItems();
  const [first = 0, last = -1] = [near[0]?.index, near.at(-1)?.index];
  const places = useMemo(
    () => columnPlaces(pinned, first, last, columnWidth),
    [pinned, first, last, columnWidth],
  );
  // The grid is as wide as all columns, so that the scroll bar tells how many there are.
  const across = HEAD + model.columns.length * columnWidth;
  return (
    <Scroller ref={scroller} onScroll={({ currentTarget }) => onScrolled(givesWay(currentTarget))}>
      <Grid
        role="grid"
        aria-label={WORDS.matrix}
        // Rows and columns are counted by all there are, as only a part is in the page (WAI-ARIA 1.2, `aria-
        // rowcount`).
        aria-rowcount={model.rows.length + 1}
        aria-colcount={model.columns.length + 1}
        style={{ width: Math.max(across, width) }}
        onKeyDown={onKeyDown}
        onMouseLeave={() => setIntent(null)}
      >
        <GridPart className="head" role="row" aria-rowindex={1}>
          <GridPart role="columnheader" className="corner" style={{ width: HEAD }}>
            {WORDS.control}
          </GridPart>
          {places.map((place) => {
            const column = model.columns[place.index];
            return column ? (
              <ColumnHead
                key={column.profile.id}
                column={column}
                place={place}
                width={columnWidth}
                front={column.profile.id === front}
                onCopy={onCopy}
                onReadsKeys={onReadsKeys}
              />
            ) : null;
          })}
        </GridPart>
        <GridPart role="rowgroup" style={{ position: 'relative', height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start: fromTop }) => {
            const start = fromTop - HEAD_HEIGHT;
            const item = items[index];
            if (!item) return null;
            if (item.row === null) {
              return (
                <GroupHead
                  key={item.group}
                  name={item.group}
                  device={item.device}
                  top={start}
                  width={width}
                />
              );
            }
            const row = model.rows[item.row];
            if (!row) return null;
            const key = rowKey(row);
            return (
              <MatrixRow
                key={key}
                model={model}
                index={item.row}
                row={row}
                top={start}
                places={places}
                width={columnWidth}
                selected={at?.row === item.row ? at.column : null}
                chosen={marks.chosen.get(item.row) ?? ''}
                cut={marks.cut.get(item.row) ?? ''}
                reachable={!cell && item.row === 0}
                recording={recording}
                flashing={flashing.has(key)}
                intent={intent}
                onIntent={setIntent}
                onCopy={onCopy}
                onMenu={setMenu}
              />
            );
          })}
        </GridPart>
      </Grid>
      {model.rows.length === 0 && (
        <Empty>
          {WORDS.nothingFound}
          <Button
            onClick={() => {
              dispatch(searched(''));
              dispatch(viewChanged({ onlySet: false }));
            }}
          >
            {WORDS.showAll}
          </Button>
        </Empty>
      )}
      {menu && cell && (
        <CellMenu
          anchor={menu}
          cell={cell}
          onChoose={onChoose}
          onCopy={onCopy}
          onClose={() => setMenu(null)}
        />
      )}
    </Scroller>
  );
}

interface HeadProps {
  readonly name: string;
  /** Null for a heading that is no device’s. */
  readonly device: Device | null;
  /** Pixels from the first row, and of what is seen of the matrix. */
  readonly top: number;
  readonly width: number;
}

/** A heading over rows; beside a device's name its pages. */
function GroupHead({ name, device, top, width }: HeadProps) {
  const style = { transform: `translateY(${top}px)` };
  if (!device) {
    return (
      <div className="group" role="presentation" style={style}>
        <span role="presentation">{name}</span>
      </div>
    );
  }
  return (
    <GridPart className="group" role="row" style={style}>
      <GridPart className="device" role="rowheader" style={{ width: width - 2 * GROUP_INSET }}>
        <span>{name}</span>
        <Suspense fallback={null}>
          <PageTabs device={device} />
        </Suspense>
      </GridPart>
    </GridPart>
  );
}

/** Whether a row was to be seen when the matrix was so many pixels high. */
function wasInSight(rows: Virtualizer<HTMLDivElement, Element>, index: number, height: number): boolean {
  const top = (rows.measurementsCache[index]?.start ?? 0) - (rows.scrollOffset ?? 0);
  return top > 0 && top < height;
}

/**
 * Whether the devices above give way to more rows. They come back at the very top only, and never give way where so
 * little is left to scroll that the room gained would bring the top into sight again: it would go to and fro.
 */
function givesWay({ scrollTop, scrollHeight, clientHeight }: HTMLElement): boolean {
  return scrollTop > 0 && scrollHeight - clientHeight > 2 * STRIP.large;
}

interface Item {
  /** Its heading's words. */
  readonly group: string;
  /** Null for a heading. */
  readonly row: number | null;
  /** Of a heading: the device whose pages stand beside it. */
  readonly device: Device | null;
}

/** Headings and rows in one list. */
function itemsOf({ rows }: BoardModel, grouping: BoardView['grouping']): readonly Item[] {
  return rows.flatMap(({ group, device }, row): readonly Item[] => {
    const own = { group, row, device: null };
    const head = { group, row: null, device: grouping === 'device' ? device : null };
    return group === rows[row - 1]?.group ? [own] : [head, own];
  });
}

/** Where pinned columns stand, then those near the part that is seen, from `first` to `last` of the others. */
function columnPlaces(pinned: number, first: number, last: number, width: number): readonly ColumnPlace[] {
  const place = (index: number, sticky: boolean): ColumnPlace => ({
    index,
    left: HEAD + index * width,
    sticky,
  });
  return [
    ...Array.from({ length: pinned }, (_, i) => place(i, true)),
    ...Array.from({ length: last - first + 1 }, (_, i) => place(pinned + first + i, false)),
  ];
}
