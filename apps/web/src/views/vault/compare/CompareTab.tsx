import Button from '@mui/material/Button';
import type { Setup } from '@nimble-lever/core/setup';
import { editTo, takeOver } from '@nimble-lever/core/vault';
import { refusalWords } from '@nimble-lever/core/words';
import { ArrowLeftRight } from 'lucide-react';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { readSnapshots } from '../../../app/setup/vaultApi.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { ListSearch } from '../../../pieces/ListSearch.tsx';
import { Columns } from '../Columns.tsx';
import { PartList } from '../PartList.tsx';
import { type ListedPart, partRows } from '../partRows.ts';
import { Side } from '../Side.tsx';
import { snapshotName } from '../snapshots/snapshotName.ts';
import { useServerList } from '../useServerList.ts';
import { type Moment, useShown } from '../useShown.ts';
import { WORDS } from '../words.ts';
import { tellDifferences } from './tellDifferences.ts';
import { useStateAt } from './useStates.ts';

const NOW = 'now';
const textOf = (moment: Moment) => (moment === null ? NOW : String(moment));
const NONE: readonly ListedPart[] = [];

/** What is otherwise between two moments of the set-up; any of it can be taken over as it is in the second. */
export function CompareTab() {
  const dispatch = useAppDispatch();
  const now = useAppSelector(selectSetup);
  const { id: setUp, asItWas } = useAppSelector((state) => state.setup);
  const { from, to, compare } = useShown();
  const [attempt, setAttempt] = useState(0);
  const [first, second] = [useStateAt(from, attempt), useStateAt(to, attempt)];
  const read = useCallback(async () => (setUp === null ? [] : readSnapshots(setUp)), [setUp]);
  const { items } = useServerList(read);
  const [search, setSearch] = useState('');
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState('');
  const pair = useDeferredValue(
    first.kind === 'read' && second.kind === 'read' ? [first.setup, second.setup] : null,
  );
  const told = useMemo(() => {
    const [a, b] = pair ?? [];
    return a && b ? tellDifferences(a, b) : NONE;
  }, [pair?.[0], pair?.[1]]);
  const rows = useMemo(() => partRows(told, search), [told, search]);
  const there = useMemo(() => new Set(told.map(({ key }) => key)), [told]);
  const chosen = useMemo(() => new Set([...picked].filter((key) => there.has(key))), [picked, there]);
  const choose = (keys: readonly string[], on: boolean) => {
    const next = new Set(chosen);
    for (const key of keys) {
      if (on) next.add(key);
      else next.delete(key);
    }
    setPicked(next);
    setSaid('');
  };
  const moments = (own: Moment): readonly (readonly [string, string])[] => {
    const named = items.map((snapshot) => [String(snapshot.revision), snapshotName(snapshot)] as const);
    const known = own === null || named.some(([revision]) => revision === String(own));
    const all = [
      [NOW, WORDS.now] as const,
      ...(known ? [] : [[String(own), WORDS.afterEdit(own)] as const]),
      ...named,
      ...(named.some(([revision]) => revision === '0') ? [] : [['0', WORDS.afterEdit(0)] as const]),
    ];
    return [...new Map(all).entries()];
  };
  const momentOf = (text: string): Moment => (text === NOW ? null : Number(text));
  const take = (other: Setup) => {
    const taken = takeOver(now, other, chosen);
    if (!taken.ok) return setSaid(WORDS.notTaken(refusalWords(taken.problem)));
    const way = editTo(now, taken.value.setup);
    switch (way.kind) {
      case 'there':
        return setSaid(WORDS.sameAlready);
      case 'too-many':
      case 'no-way':
        return setSaid(WORDS.tooMuchAtOnce);
      case 'edit':
        if (!dispatch(makeEdit(way.edit))) return;
        setPicked(new Set());
        setSaid(WORDS.took(chosen.size, taken.value.along.length));
    }
  };
  const failed = [first, second].find((state) => state.kind === 'failed');
  const isReading = first.kind === 'reading' || second.kind === 'reading';
  const canTake = to !== null && !asItWas;
  return (
    <Columns>
      <section className="left" aria-label={WORDS.tabs.compare}>
        <div className="bar">
          <ChoiceField
            label={WORDS.compareFrom}
            value={textOf(from)}
            options={moments(from)}
            onChange={(text) => compare(momentOf(text), to)}
          />
          <Button
            aria-label={WORDS.swap}
            title={WORDS.swap}
            onClick={() => compare(to, from)}
            sx={{ minWidth: 32, px: 0 }}
          >
            <ArrowLeftRight size={15} aria-hidden />
          </Button>
          <ChoiceField
            label={WORDS.compareTo}
            value={textOf(to)}
            options={moments(to)}
            onChange={(text) => compare(from, momentOf(text))}
          />
          <div className="search">
            <ListSearch
              value={search}
              label={WORDS.searchDifferences}
              onChange={setSearch}
              onEnter={() => undefined}
            />
          </div>
          <span role="status" className="count">
            {isReading ? WORDS.reading : WORDS.differ(told.length)}
          </span>
        </div>
        {failed?.kind === 'failed' && (
          <p className="said failed" role="alert">
            {failed.why} <Button onClick={() => setAttempt(attempt + 1)}>{WORDS.tryAgain}</Button>
          </p>
        )}
        {!isReading && !failed && rows.length === 0 && (
          <p className="said">{told.length === 0 ? WORDS.noDifference : WORDS.noneFits}</p>
        )}
        <PartList
          label={WORDS.differences}
          rows={rows}
          chosen={chosen}
          canChoose={canTake}
          onChoose={choose}
        />
      </section>
      <Side aria-label={WORDS.takeOver}>
        <h2>{WORDS.takeOver}</h2>
        <p>{canTake ? WORDS.takeOverMeans : asItWas ? WORDS.onlyLooking : WORDS.chooseThen}</p>
        {canTake && second.kind === 'read' && (
          <div className="acts">
            <Button variant="contained" disabled={chosen.size === 0} onClick={() => take(second.setup)}>
              {WORDS.takeThese(chosen.size)}
            </Button>
            {chosen.size > 0 && (
              <Button onClick={() => choose([...chosen], false)}>{WORDS.chooseNone}</Button>
            )}
          </div>
        )}
        <p role="status">{said}</p>
      </Side>
    </Columns>
  );
}
