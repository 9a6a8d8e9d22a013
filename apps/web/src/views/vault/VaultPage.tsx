import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { LogEntry } from '@nimble-lever/core/setup';
import { wayBackTo } from '@nimble-lever/core/vault';
import { useCallback, useMemo, useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { ListSearch } from '../../pieces/ListSearch.tsx';
import { ChosenEdit } from './ChosenEdit.tsx';
import { HistoryList } from './HistoryList.tsx';
import { entryWords, type Filter, momentOf, rowsOf } from './rows.ts';
import { useHistory } from './useHistory.ts';
import { WORDS } from './words.ts';

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'flex',
  minHeight: 0,
  '& > .left': { flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' },
  '& .bar': {
    flex: 'none',
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    padding: '10px 20px',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    borderBottom: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .bar .search': { flex: '0 1 280px' },
  '& .said': { margin: 0, padding: '8px 20px', fontSize: 12 },
  '& .failed': { display: 'flex', alignItems: 'center', gap: 10 },
}));

/** An option for no choice. */
const ALL = '';

/** The Vault: everything that was done to the set-up, by whom and when, and the way back. */
export function VaultPage() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const history = useHistory();
  const { entries, more, reading, failed, readOlder } = history;
  const [filter, setFilter] = useState<Filter>({ search: '', about: null, by: null });
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const rows = useMemo(() => rowsOf(setup, entries, filter), [setup, entries, filter]);
  const people = useMemo(() => new Map(entries.map(({ author }) => [author.id, author.name])), [entries]);
  const things = [
    ...setup.devices.map(({ id, name }) => [`devices/${id}`, name] as const),
    ...setup.programs.map(({ id, name }) => [`programs/${id}`, name] as const),
    ...setup.macros.map(({ id, name }) => [`macros/${id}`, name] as const),
  ];
  const row = rows.find((each) => each.key === chosen);
  const shown = row?.kind === 'edit' ? row.entry : null;
  const later = shown ? entries.filter(({ revision }) => revision > shown.revision).length : 0;
  const isFiltered = filter.search !== '' || filter.about !== null || filter.by !== null;

  const goBack = (entry: LogEntry, to: 'after' | 'before') => {
    const after = entries.filter(
      (each) => each.revision > entry.revision || (to === 'before' && each.revision === entry.revision),
    );
    const way = wayBackTo(after);
    switch (way.kind) {
      case 'edit':
        dispatch(makeEdit(way.edit));
        return setSaid(WORDS.went(to, entryWords(setup, entry), momentOf(entry.at)));
      case 'there':
        return setSaid(WORDS.same);
      case 'unknown':
        return setSaid(WORDS.unknown);
      case 'too-many':
        return setSaid(WORDS.tooMany);
    }
  };
  // Reads on by itself as long as the end is seen; what failed is tried again by hand.
  const onEnd = useCallback(() => {
    if (more && !reading && failed === null) readOlder();
  }, [more, reading, failed, readOlder]);
  const end = () => {
    if (failed !== null) {
      return (
        <span className="failed" role="alert">
          {WORDS.notRead(failed)} <Button onClick={readOlder}>{WORDS.tryAgain}</Button>
        </span>
      );
    }
    if (reading) return <span role="status">{WORDS.reading}</span>;
    if (more) return <Button onClick={readOlder}>{WORDS.older}</Button>;
    if (entries.length === 0) return WORDS.none;
    if (rows.length === 0) return WORDS.noneFound;
    return isFiltered ? WORDS.searchedAll : WORDS.first;
  };
  return (
    <Page>
      <section className="left" aria-label={WORDS.history}>
        <div className="bar">
          <div className="search">
            <ListSearch
              value={filter.search}
              label={WORDS.search}
              onChange={(search) => setFilter({ ...filter, search })}
              onEnter={() => {
                const first = rows.find(({ kind }) => kind === 'edit');
                if (first) setChosen(first.key);
              }}
            />
          </div>
          <span>{WORDS.about}</span>
          <ChoiceField
            label={WORDS.about}
            value={filter.about ?? ALL}
            options={[[ALL, WORDS.anything], ...things]}
            onChange={(about) => setFilter({ ...filter, about: about === ALL ? null : about })}
          />
          <span>{WORDS.by}</span>
          <ChoiceField
            label={WORDS.by}
            value={filter.by ?? ALL}
            options={[[ALL, WORDS.anyone], ...people]}
            onChange={(by) => setFilter({ ...filter, by: by === ALL ? null : by })}
          />
        </div>
        <p className="said" role="status" hidden={said === ''}>
          {said}
        </p>
        <HistoryList setup={setup} rows={rows} chosen={chosen} onChoose={setChosen} onEnd={onEnd}>
          {end()}
        </HistoryList>
      </section>
      <ChosenEdit setup={setup} chosen={shown} later={later} onBack={goBack} />
    </Page>
  );
}
