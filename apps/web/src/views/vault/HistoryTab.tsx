import Button from '@mui/material/Button';
import type { LogEntry } from '@nimble-lever/core/setup';
import type { Moment } from '@nimble-lever/core/vault';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { momentWords } from '../../app/moment.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { ListSearch } from '../../pieces/ListSearch.tsx';
import { ChosenEdit } from './ChosenEdit.tsx';
import { Columns } from './Columns.tsx';
import { HistoryList } from './HistoryList.tsx';
import { type Filter, needsEdits, rowsOf, wordsOf } from './rows.ts';
import { useGoBack } from './useGoBack.ts';
import { useHistory } from './useHistory.ts';
import { WORDS } from './words.ts';

/** Before they are read. */
const NONE: readonly Moment[] = [];
/** An option for no choice. */
const ALL = '';

/** Everything that was done to the set-up, by whom and when, and the way back. */
export function HistoryTab() {
  const setup = useAppSelector(selectSetup);
  const { reader, known } = useHistory();
  const { moments, entries, digests, failed } = known;
  const [filter, setFilter] = useState<Filter>({ search: '', about: null, by: null });
  const [chosen, setChosen] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const all = moments ?? NONE;
  const asks = needsEdits(filter);
  // Edits that are read on matter to what is found, and to nothing else.
  const read = asks ? digests.size : 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: digests are added to; how many there are says so
  const rows = useMemo(() => rowsOf(all, digests, filter), [all, digests, filter, read]);
  const people = useMemo(() => new Map(all.map(({ author }) => [author.id, author.name])), [all]);
  const [isStopped, setStopped] = useState(false);
  useEffect(() => reader.lookThrough(asks && !isStopped), [reader, asks, isStopped]);
  const narrow = (change: Partial<Filter>) => {
    setFilter({ ...filter, ...change });
    setStopped(false);
  };
  const things = [
    ...setup.devices.map(({ id, name }) => [`devices/${id}`, name] as const),
    ...setup.programs.map(({ id, name }) => [`programs/${id}`, name] as const),
    ...setup.macros.map(({ id, name }) => [`macros/${id}`, name] as const),
  ];
  // It stays shown when others push it out of what is at hand.
  const [held, setHeld] = useState<LogEntry | null>(null);
  const found = chosen === null ? null : (entries.get(chosen) ?? held);
  if (found && found !== held) setHeld(found);
  const shown = found?.revision === chosen ? found : null;
  const later = shown ? all.length - shown.revision : 0;
  const isFiltered = asks || filter.by !== null;
  const onSeen = useCallback((from: number, to: number) => reader.want(from, to), [reader]);

  const { isGoing, goBack } = useGoBack();
  const goBackFrom = async (entry: LogEntry, to: 'after' | 'before') => {
    setSaid('');
    const went = WORDS.went(to, wordsOf(setup, entry), momentWords(entry.at));
    setSaid(await goBack(to === 'after' ? entry.revision : entry.revision - 1, went));
  };
  const isLooking = asks && moments !== null && digests.size < all.length;
  const end = () => {
    if (failed !== null) {
      return (
        <span className="failed" role="alert">
          {WORDS.notRead(failed)} <Button onClick={() => reader.again()}>{WORDS.tryAgain}</Button>
        </span>
      );
    }
    if (moments === null) return <span role="status">{WORDS.reading}</span>;
    if (isLooking) return isStopped ? WORDS.notAll : WORDS.reading;
    if (all.length === 0) return WORDS.none;
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
              onChange={(search) => narrow({ search })}
              onEnter={() => {
                const first = rows.find(({ kind }) => kind === 'edit');
                if (first?.kind === 'edit') setChosen(first.key);
              }}
            />
          </div>
          <span>{WORDS.about}</span>
          <ChoiceField
            label={WORDS.about}
            value={filter.about ?? ALL}
            options={[[ALL, WORDS.anything], ...things]}
            onChange={(about) => narrow({ about: about === ALL ? null : about })}
          />
          <span>{WORDS.by}</span>
          <ChoiceField
            label={WORDS.by}
            value={filter.by ?? ALL}
            options={[[ALL, WORDS.anyone], ...people]}
            onChange={(by) => narrow({ by: by === ALL ? null : by })}
          />
        </div>
        <p className="said" role="status" hidden={said === ''}>
          {said}
        </p>
        {isLooking && (
          <p className="said failed">
            <span role="status">{WORDS.lookedThrough(digests.size, all.length)}</span>
            <Button onClick={() => setStopped(!isStopped)}>{isStopped ? WORDS.lookOn : WORDS.stop}</Button>
          </p>
        )}
        <HistoryList
          key={`${filter.search} ${filter.about} ${filter.by}`}
          setup={setup}
          rows={rows}
          entries={entries}
          chosen={chosen}
          onChoose={setChosen}
          onSeen={onSeen}
        >
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
