import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { intentsIn } from '@nimble-lever/core/setup';
import { useEffect, useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { FilterChips } from '../FilterChips.tsx';
import { TextFile } from '../importing/TextFile.tsx';
import { WORDS } from '../words.ts';
import { CommandDetails } from './CommandDetails.tsx';
import { ExportButton } from './ExportButton.tsx';
import { countsOf, FILTERS } from './filters.ts';
import { PlaceMenu } from './PlaceMenu.tsx';
import { Sheet } from './Sheet.tsx';
import { type Row, useRows } from './useRows.ts';
import { useSheet } from './useSheet.ts';
import { useSheetEdits } from './useSheetEdits.ts';
import { useShownRows } from './useShownRows.ts';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 6,
  padding: '8px 16px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
}));
const Empty = styled('div')(({ theme: { vars } }) => ({
  padding: '16px 20px',
  display: 'flex',
  alignItems: 'center',
  gap: 12,
  color: vars?.palette.text.secondary,
}));

/** What stands out where there is any. */
const WARNS: ReadonlySet<string> = new Set(['doubled', 'untyped']);

interface Props {
  /** Null for the commands that mean the same in most programs. */
  readonly program: string | null;
  /** Where what can be done with the list as a whole stands, beside the tabs. */
  readonly actions: HTMLElement | null;
  /** A command whose places are asked for, by its id; null for none. */
  readonly placing: string | null;
  readonly onPlaced: () => void;
  /** A list to be looked at before it is taken in. */
  readonly onList: (text: string) => void;
}

/** What a program can do: a sheet of its commands, and what is known of the one that is chosen. */
export function CommandsTab({ program, actions, placing: wanted, onPlaced, onList }: Props) {
  const setup = useAppSelector(selectSetup);
  const rows = useRows(program);
  const shownRows = useShownRows(rows);
  const edits = useSheetEdits(program);
  const [placing, setPlacing] = useState<{ readonly command: string; readonly anchor: HTMLElement } | null>(
    null,
  );
  const picker = useRef<HTMLInputElement>(null);
  const owner = setup.programs.find(({ id }) => id === program);
  const name = owner?.name ?? WORDS.everywhere;
  const onPlace = ({ id }: Row, anchor: HTMLElement) => setPlacing({ command: id, anchor });
  const keysBy = owner?.keysBy ?? 'character';
  const sheet = useSheet({ rows: shownRows, edits, keysBy, onPlace, onList });
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each command that is asked for.
  useEffect(() => {
    if (wanted === null) return;
    if (rows.some(({ id }) => id === wanted)) {
      sheet.go({ row: wanted, column: 'where' });
      // After it was scrolled to and drawn: its places are told at its cell.
      requestAnimationFrame(() => {
        const anchor = document.querySelector<HTMLElement>(`[data-cell="${CSS.escape(wanted)} where"]`);
        if (anchor) setPlacing({ command: wanted, anchor });
      });
    }
    onPlaced();
  }, [wanted]);
  const counts = useMemo(() => countsOf(rows), [rows]);
  const intents = useMemo(() => intentsIn(setup), [setup]);
  const { search, setSearch, filter, setFilter } = shownRows;
  const showAll = () => {
    setSearch('');
    setFilter('all');
  };
  return (
    <>
      {actions &&
        createPortal(
          <>
            <Button onClick={() => onList('')}>{WORDS.paste}</Button>
            <Button onClick={() => picker.current?.click()}>{WORDS.import}</Button>
            <ExportButton name={name} keysBy={keysBy} commands={rows.map(({ command }) => command)} />
          </>,
          actions,
        )}
      <Bar>
        <OutlinedInput
          value={search}
          placeholder={WORDS.searchCommands}
          onChange={({ target }) => setSearch(target.value)}
          onKeyDown={({ key }) => key === 'Escape' && setSearch('')}
          inputProps={{ 'aria-label': WORDS.searchCommands, type: 'search', spellCheck: false }}
          sx={{ width: 200, flex: 'none' }}
        />
        <FilterChips
          label={WORDS.filter}
          chips={FILTERS.filter((each) => counts[each] > 0 || each === filter || !WARNS.has(each)).map(
            (each) => ({
              filter: each,
              name: WORDS.filters[each],
              count: counts[each],
              warns: WARNS.has(each),
            }),
          )}
          chosen={filter}
          onChoose={setFilter}
        />
      </Bar>
      <Sheet
        label={WORDS.sheet(name)}
        sheet={sheet}
        intents={intents}
        empty={
          <Empty>
            {rows.length === 0 ? WORDS.noCommands : WORDS.noneFits}
            {rows.length > 0 && <Button onClick={showAll}>{WORDS.showAll}</Button>}
          </Empty>
        }
      />
      {sheet.chosen.length > 0 && (
        <CommandDetails program={program} rows={rows} sheet={sheet} edits={edits} onPlace={onPlace} />
      )}
      {placing && (
        <PlaceMenu
          program={program}
          command={placing.command}
          anchor={placing.anchor}
          onClose={() => setPlacing(null)}
        />
      )}
      <TextFile inputRef={picker} onText={onList} />
    </>
  );
}
