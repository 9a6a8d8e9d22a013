import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { readBefore, readMoments } from '../../app/setup/vaultApi.ts';
import type { AppThunk } from '../../app/store.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { HistoryReader } from './historyReader.ts';
import { type Digest, digestOf } from './rows.ts';

/** The log of the set-up: when each edit was made, and the edits that are looked at; what is saved meanwhile comes too. */
export function useHistory() {
  const dispatch = useAppDispatch();
  const id = useAppSelector((state) => state.setup.id);
  const revision = useAppSelector((state) => state.setup.revision);
  const reader = useMemo(() => dispatch(newReader(id ?? '')), [dispatch, id]);
  const known = useSyncExternalStore(reader.listen, reader.known);
  useEffect(() => () => reader.close(), [reader]);
  useEffect(() => reader.upTo(revision), [reader, revision]);
  return { reader, known };
}

/** Edits are put into words as the set-up is when they are read. */
const newReader =
  (id: string): AppThunk<HistoryReader<Digest>> =>
  (_dispatch, getState) =>
    new HistoryReader(
      {
        moments: (after) => readMoments(id, after),
        before: (revision, count) => readBefore(id, revision, count),
      },
      (entry) => {
        const { setup } = getState().setup;
        return setup ? digestOf(setup, entry) : { words: '', about: [] };
      },
    );
