import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { displaySteps } from '@nimble-lever/core/keys';
import { cellText } from '@nimble-lever/core/programs';
import { FAMILIES } from '@nimble-lever/core/setup';
import { FAMILY_NAMES } from '@nimble-lever/core/words';
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { type ReactNode, useContext, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { GridPart } from '../../../pieces/GridPart.tsx';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import { useSize } from '../../../pieces/useSize.ts';
import { WORDS } from '../words.ts';
import { CellInput } from './CellInput.tsx';
import { CellRecorder } from './CellRecorder.tsx';
import { SheetLine } from './SheetLine.tsx';
import { COLUMNS, type Column, NEW_ROW } from './sheetState.ts';
import { HEAD, ROW, sheetStyles } from './sheetStyles.ts';
import type { SheetModel } from './useSheet.ts';

const Scroller = styled('div')({ flex: 1, minHeight: 0, overflow: 'auto', position: 'relative' });
const Grid = styled('div')(sheetStyles);

/** The most that can be typed into a cell. */
const MOST: Readonly<Record<Column, number>> = {
  name: 60,
  shortcut: 120,
  family: 20,
  intent: 60,
  risky: 3,
  note: 1000,
  where: 0,
};

interface Props {
  readonly label: string;
  readonly sheet: SheetModel;
  /** The intents there are, to be taken up. */
  readonly intents: readonly string[];
  /** What is said where there is no line. */
  readonly empty: ReactNode;
}

/** A program's commands as a sheet of cells: only the lines near those that are seen are drawn. */
export function Sheet({ label, sheet, intents, empty }: Props) {
  const { state, shown, order, range, sorted } = sheet;
  const scroller = useRef<HTMLDivElement>(null);
  const grid = useRef<HTMLDivElement>(null);
  const at = state.active ? order.indexOf(state.active.row) : -1;
  const lines = useVirtualizer({
    count: order.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
    scrollMargin: HEAD,
    scrollPaddingStart: HEAD,
    // The active line stays drawn wherever one scrolls: it has the keys.
    rangeExtractor: (drawn) => [...new Set([...defaultRangeExtractor(drawn), ...(at < 0 ? [] : [at])])],
  });
  const { active, editing } = state;
  // What is known of a command opens below and takes room: the active line must not end up behind it.
  const { height } = useSize(scroller);
  // biome-ignore lint/correctness/useExhaustiveDependencies: also when there is less room.
  useLayoutEffect(() => {
    if (at >= 0) lines.scrollToIndex(at, { align: 'auto' });
  }, [at, lines, height]);
  const wantsKeys = useRef(sheet.takesKeys);
  wantsKeys.current = sheet.takesKeys;
  // The active cell has the keys, unless one is somewhere else on the page.
  useEffect(() => {
    if (!active || editing || !wantsKeys.current()) return;
    const cell = grid.current?.querySelector<HTMLElement>(
      `[data-cell="${CSS.escape(active.row)} ${active.column}"]`,
    );
    cell?.focus({ preventScroll: true });
  }, [active, editing]);
  return (
    <Scroller ref={scroller}>
      <Grid
        ref={grid}
        role="grid"
        aria-label={label}
        aria-rowcount={order.length + 1}
        aria-colcount={COLUMNS.length}
        aria-multiselectable
        onKeyDown={sheet.onKeyDown}
        onCopy={sheet.onCopy}
        onCut={sheet.onCut}
        onPaste={sheet.onPaste}
      >
        <GridPart role="rowgroup" className="heads">
          <GridPart role="row" aria-rowindex={1} className="head">
            {COLUMNS.map((column, i) => {
              const down = sorted?.column === column ? sorted.down : null;
              return (
                <GridPart
                  key={column}
                  role="columnheader"
                  aria-colindex={i + 1}
                  aria-sort={down === null ? 'none' : down ? 'descending' : 'ascending'}
                >
                  <button
                    type="button"
                    title={WORDS.sortBy(WORDS.columns[column])}
                    onClick={() => sheet.sortBy(column)}
                  >
                    {WORDS.columns[column]}
                    {down !== null &&
                      (down ? <ArrowDown size={13} aria-hidden /> : <ArrowUp size={13} aria-hidden />)}
                  </button>
                </GridPart>
              );
            })}
          </GridPart>
        </GridPart>
        <GridPart role="rowgroup" style={{ position: 'relative', height: lines.getTotalSize() }}>
          {lines.getVirtualItems().map(({ index, start }) => {
            const id = order[index] ?? NEW_ROW;
            const isAt = active?.row === id;
            const inside =
              range !== null && index >= range.rows[0] && index <= range.rows[1] && sheet.isRange;
            return (
              <SheetLine
                key={id}
                row={shown[index] ?? null}
                index={index}
                top={start - HEAD}
                active={isAt ? active.column : null}
                reachable={at < 0 && index === 0 ? 'name' : null}
                from={inside ? range.columns[0] : null}
                to={inside ? range.columns[1] : null}
                editor={isAt && editing ? <Editor sheet={sheet} /> : null}
                begun={id === NEW_ROW ? sheet.begun : ''}
                actions={sheet.actions}
              />
            );
          })}
        </GridPart>
      </Grid>
      {shown.length === 0 && empty}
      <datalist id="programs-intents">
        {intents.map((intent) => (
          <option key={intent} value={intent.replaceAll('-', ' ')} />
        ))}
      </datalist>
    </Scroller>
  );
}

/** What stands in the active cell while it is edited. */
function Editor({ sheet }: { readonly sheet: SheetModel }) {
  const { state, active } = sheet;
  const { platform, legends } = useContext(KeyboardContext);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const column = state.active?.column ?? 'name';
  const label = `${WORDS.columns[column]}${active ? `, ${active.command.name}` : ''}`;
  const begins = useMemo(() => {
    if (!active || column === 'where')
      return state.active?.row === NEW_ROW && column === 'name' ? sheet.begun : '';
    const text = cellText(active.command, column);
    if (column === 'shortcut') return displaySteps(text, platform, legends);
    return column === 'intent' ? text.replaceAll('-', ' ') : text;
  }, [active, column, platform, legends, state.active?.row, sheet.begun]);
  switch (state.editing?.kind) {
    case 'recording':
      return (
        <CellRecorder label={label} keysBy={sheet.keysBy} onTaken={sheet.takeKeys} onLeave={sheet.leave} />
      );
    case 'choosing':
      return (
        <>
          <span ref={setAnchor} style={{ padding: '0 10px' }}>
            {active && FAMILY_NAMES[active.command.family].toLowerCase()}
          </span>
          <Menu anchorEl={anchor} open={anchor !== null} onClose={() => sheet.leave(true)}>
            {FAMILIES.map((family) => (
              <MenuItem
                key={family}
                selected={family === active?.command.family}
                onClick={() => sheet.take(family, 'stay')}
              >
                {FAMILY_NAMES[family]}
              </MenuItem>
            ))}
          </Menu>
        </>
      );
    case 'typing':
      return (
        <CellInput
          label={label}
          begins={state.editing.how === 'over' ? '' : begins}
          selected={state.editing.how === 'all'}
          isKeys={column === 'shortcut'}
          list={column === 'intent' ? 'programs-intents' : undefined}
          most={MOST[column]}
          onTake={sheet.take}
          onLeave={sheet.leave}
        />
      );
    case undefined:
      return null;
  }
}
