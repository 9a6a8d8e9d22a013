import Button from '@mui/material/Button';
import type { SnapshotHead } from '@nimble-lever/core/vault';
import { Eye, GitCompareArrows, History, Pencil, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { momentWords } from '../../../app/moment.ts';
import { addressIn } from '../../../app/setup/shownSetUp.ts';
import { useAppSelector } from '../../../app/store.ts';
import { Side } from '../Side.tsx';
import { useGoBack } from '../useGoBack.ts';
import { useShown } from '../useShown.ts';
import { WORDS } from '../words.ts';
import { snapshotName } from './snapshotName.ts';

interface Props {
  readonly setUp: string;
  readonly snapshot: SnapshotHead | null;
  readonly isBusy: boolean;
  readonly onName: (snapshot: SnapshotHead) => void;
  /** Makes another set-up of it. */
  readonly onCopy: (snapshot: SnapshotHead) => void;
  readonly onRemove: (snapshot: SnapshotHead) => void;
}

/** One snapshot: what it is, and what can be done with it. */
export function ChosenSnapshot({ setUp, snapshot, isBusy, onName, onCopy, onRemove }: Props) {
  const { compare } = useShown();
  const { isGoing, goBack } = useGoBack();
  const asItWas = useAppSelector((state) => state.setup.asItWas);
  const [said, setSaid] = useState('');
  if (!snapshot) {
    return (
      <Side aria-label={WORDS.snapshot}>
        <p>{WORDS.noSnapshotChosen}</p>
      </Side>
    );
  }
  const { revision, note, author, at, kind } = snapshot;
  const back = async () => setSaid(await goBack(revision, WORDS.wentTo(snapshotName(snapshot))));
  return (
    <Side aria-label={WORDS.snapshot}>
      <h2>{WORDS.snapshot}</h2>
      <p className="what">{snapshotName(snapshot)}</p>
      <p>
        {momentWords(at)}
        <br />
        {author ? `${author.name} · ` : ''}
        {WORDS.afterEdit(revision)}
      </p>
      {note !== null && <p className="note">{note}</p>}
      {kind !== 'own' && <p>{WORDS.byItselfMeans[kind]}</p>}
      <div className="acts">
        <Button
          startIcon={<GitCompareArrows size={15} aria-hidden />}
          onClick={() => compare(null, revision)}
        >
          {WORDS.compareWithNow}
        </Button>
        <Button startIcon={<Eye size={15} aria-hidden />} href={addressIn(setUp, revision, '/board')}>
          {WORDS.lookAtIt}
        </Button>
        <Button
          startIcon={<History size={15} aria-hidden />}
          disabled={isGoing || asItWas !== null}
          onClick={() => void back()}
        >
          {WORDS.goBackToIt}
        </Button>
        <Button startIcon={<Plus size={15} aria-hidden />} onClick={() => onCopy(snapshot)}>
          {WORDS.newFromIt}
        </Button>
        {kind === 'own' && (
          <Button
            startIcon={<Pencil size={15} aria-hidden />}
            disabled={isBusy}
            onClick={() => onName(snapshot)}
          >
            {WORDS.renameSnapshot}
          </Button>
        )}
        <Button
          startIcon={<Trash2 size={15} aria-hidden />}
          disabled={isBusy}
          onClick={() => onRemove(snapshot)}
        >
          {WORDS.removeSnapshot}
        </Button>
      </div>
      <p>{WORDS.removeSnapshotMeans}</p>
      <p role="status">{said}</p>
    </Side>
  );
}
