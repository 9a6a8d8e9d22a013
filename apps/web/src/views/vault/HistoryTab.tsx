import Button from '@mui/material/Button';
import type { LogEntry } from '@nimble-lever/core/setup';
import { useCallback, useMemo, useState } from 'react';
import { momentWords } from '../../app/moment.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { ListSearch } from '../../pieces/ListSearch.tsx';
import { ChosenEdit } from './ChosenEdit.tsx';
import { Columns } from './Columns.tsx';
import { HistoryList } from './HistoryList.tsx';
import { entryWords, type Filter, rowsOf } from './rows.ts';
import { useGoBack } from './useGoBack.ts';
import { useHistory } from './useHistory.ts';
import { WORDS } from './words.ts';

/** An option for no choice. */
const ALL = '';

/** Everything that was done to the set-up, by whom and when, and the way back. */
export function HistoryTab() {
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

  const { isGoing, goBack } = useGoBack();
  const goBackFrom = async (entry: LogEntry, to: 'after' | 'before') => {
    setSaid('');
    const went = WORDS.went(to, entryWords(setup, entry), momentWords(entry.at));
    setSaid(await goBack(to === 'after' ? entry.revision : entry.revision - 1, went));
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
    <Columns>
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
      <ChosenEdit
        setup={setup}
        chosen={shown}
        later={later}
        isBusy={isGoing}
        onBack={(entry, to) => void goBackFrom(entry, to)}
      />
    </Columns>
  );
}
