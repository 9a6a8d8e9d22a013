import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { SnapshotHead } from '@nimble-lever/core/vault';
import { Camera } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { momentWords } from '../../../app/moment.ts';
import { openSetUp } from '../../../app/setup/setUps.ts';
import {
  makeSetUp,
  makeSnapshot,
  readSnapshots,
  removeSnapshot,
  renameSnapshot,
} from '../../../app/setup/vaultApi.ts';
import { useAppSelector } from '../../../app/store.ts';
import { Columns } from '../Columns.tsx';
import { NameDialog } from '../NameDialog.tsx';
import { useServerList } from '../useServerList.ts';
import { WORDS } from '../words.ts';
import { ChosenSnapshot } from './ChosenSnapshot.tsx';
import { snapshotName } from './snapshotName.ts';

const List = styled('ul')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  margin: 0,
  padding: '8px 12px 24px',
  overflow: 'auto',
  listStyle: 'none',
  '& button': {
    width: '100%',
    display: 'flex',
    alignItems: 'baseline',
    gap: 12,
    minHeight: 36,
    padding: '8px 10px',
    border: 0,
    borderRadius: 7,
    font: 'inherit',
    fontSize: 13,
    textAlign: 'left',
    color: 'inherit',
    background: 'none',
    cursor: 'pointer',
  },
  '& button[aria-pressed=true]': { backgroundColor: vars?.palette.tokens.accentTint },
  '& .name': { flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .own': { fontWeight: 650 },
  '& .when': { flex: 'none', fontSize: 12, color: vars?.palette.text.secondary },
}));

/** What is being asked for a name: a new snapshot, or one that there is. */
type Naming = SnapshotHead | 'new' | null;

/** States of the set-up that are kept by name, or by themselves. */
export function SnapshotsTab() {
  const { id: setUp, me, saving, revision, asItWas } = useAppSelector((state) => state.setup);
  const read = useCallback(async () => (setUp === null ? [] : readSnapshots(setUp)), [setUp]);
  const { items, isRead, failed, isBusy, readAgain, run } = useServerList(read);
  const [chosen, setChosen] = useState<string | null>(null);
  const [naming, setNaming] = useState<Naming>(null);
  const [copied, setCopied] = useState<SnapshotHead | null>(null);
  // An edit may have left one behind.
  useEffect(() => {
    if (revision > 0) void readAgain();
  }, [revision, readAgain]);
  if (setUp === null) return null;
  const shown = items.find(({ id }) => id === chosen) ?? null;
  const finish = async (name: string, note: string | null) => {
    const done = await run(() =>
      naming === 'new' || naming === null
        ? makeSnapshot(setUp, { name, note }, me)
        : renameSnapshot(setUp, naming.id, { name, note }),
    );
    if (done) setNaming(null);
  };
  const copy = async (of: SnapshotHead, name: string) => {
    await run(async () => {
      openSetUp(await makeSetUp(name, { from: 'copy', of: setUp, revision: of.revision }));
    });
  };
  const remove = async (snapshot: SnapshotHead) => {
    await run(() => removeSnapshot(setUp, snapshot.id));
  };
  return (
    <Columns>
      <section className="left" aria-label={WORDS.tabs.snapshots}>
        {!asItWas && (
          <div className="bar">
            {/* What is not saved would not be in it. */}
            <Button
              variant="contained"
              startIcon={<Camera size={15} aria-hidden />}
              disabled={saving !== 'saved'}
              onClick={() => setNaming('new')}
            >
              {WORDS.keepNow}
            </Button>
            <span>{WORDS.keepNowMeans}</span>
          </div>
        )}
        {failed !== null && naming === null && copied === null && (
          <p className="said failed" role="alert">
            {failed} <Button onClick={() => void readAgain()}>{WORDS.tryAgain}</Button>
          </p>
        )}
        {isRead && items.length === 0 && <p className="said">{WORDS.noSnapshots}</p>}
        <List aria-label={WORDS.tabs.snapshots}>
          {items.map((snapshot) => (
            <li key={snapshot.id}>
              <button
                type="button"
                aria-pressed={snapshot.id === chosen}
                onClick={() => setChosen(snapshot.id)}
              >
                <span className={snapshot.kind === 'own' ? 'name own' : 'name'}>
                  {snapshotName(snapshot)}
                </span>
                <span className="when">{momentWords(snapshot.at)}</span>
              </button>
            </li>
          ))}
        </List>
      </section>
      <ChosenSnapshot
        key={shown?.id}
        setUp={setUp}
        snapshot={shown}
        isBusy={isBusy}
        onName={setNaming}
        onCopy={setCopied}
        onRemove={(snapshot) => void remove(snapshot)}
      />
      {copied !== null && (
        <NameDialog
          title={WORDS.newSetUpName}
          name={snapshotName(copied).slice(0, 60)}
          action={WORDS.make}
          failed={failed}
          isBusy={isBusy}
          onDone={(name) => void copy(copied, name)}
          onClose={() => setCopied(null)}
        />
      )}
      {naming !== null && (
        <NameDialog
          title={naming === 'new' ? WORDS.newSnapshot : WORDS.renameSnapshot}
          name={
            naming === 'new' ? WORDS.snapshotOf(momentWords(new Date().toISOString())) : (naming.name ?? '')
          }
          note={naming === 'new' ? null : naming.note}
          action={naming === 'new' ? WORDS.keep : WORDS.rename}
          failed={failed}
          isBusy={isBusy}
          onDone={(name, note) => void finish(name, note)}
          onClose={() => setNaming(null)}
        />
      )}
    </Columns>
  );
}
