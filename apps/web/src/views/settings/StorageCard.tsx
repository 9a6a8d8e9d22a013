import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Storage } from '@nimble-lever/core/vault';
import { useCallback, useEffect, useState } from 'react';
import { momentWords } from '../../app/moment.ts';
import { keepFor, readStorage } from '../../app/setup/vaultApi.ts';
import { useAppSelector } from '../../app/store.ts';
import { Card } from '../../pieces/Card.tsx';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { WORDS } from './words.ts';

const Facts = styled('dl')(({ theme: { vars } }) => ({
  margin: 0,
  display: 'grid',
  gridTemplateColumns: 'max-content 1fr',
  gap: '6px 20px',
  '& dt': { color: vars?.palette.text.secondary },
  '& dd': { margin: 0 },
  '& code': { fontSize: 12 },
}));

const FOR_EVER = 'ever';

/** What is kept on the disk and for how long, and when everything was backed up last. */
export function StorageCard() {
  const id = useAppSelector((state) => state.setup.id);
  const [storage, setStorage] = useState<Storage | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const read = useCallback(async (before: () => Promise<void> = async () => undefined) => {
    try {
      await before();
      setStorage(await readStorage());
      setFailed(null);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : '');
    }
  }, []);
  useEffect(() => void read(), [read]);
  const days = storage?.keeps.find((each) => each.id === id)?.days ?? null;
  const offered = [...new Set([30, 90, 365, ...(days === null ? [] : [days])])].sort((a, b) => a - b);
  return (
    <Card aria-labelledby="storage-settings">
      <h2 id="storage-settings">{WORDS.storage}</h2>
      <p>{WORDS.storageMeans}</p>
      {failed !== null && (
        <p role="alert">
          {failed} <Button onClick={() => void read()}>{WORDS.tryAgain}</Button>
        </p>
      )}
      {storage === null && failed === null && <p role="status">{WORDS.storageReading}</p>}
      {storage !== null && id !== null && (
        <Facts>
          <dt>{WORDS.sizes.edits}</dt>
          <dd>{sizeWords(storage.bytes.edits)}</dd>
          <dt>{WORDS.sizes.snapshots}</dt>
          <dd>{sizeWords(storage.bytes.snapshots)}</dd>
          <dt>{WORDS.sizes.pictures}</dt>
          <dd>{sizeWords(storage.bytes.pictures)}</dd>
          <dt>{WORDS.sizes.all}</dt>
          <dd>{sizeWords(storage.bytes.all)}</dd>
          <dt>{WORDS.keepsFor}</dt>
          <dd>
            <ChoiceField
              label={WORDS.keepsFor}
              value={days === null ? FOR_EVER : String(days)}
              options={[
                [FOR_EVER, WORDS.forEver],
                ...offered.map((count) => [String(count), WORDS.forDays(count)] as const),
              ]}
              onChange={(next) => void read(() => keepFor(id, next === FOR_EVER ? null : Number(next)))}
            />
          </dd>
          <dt>{WORDS.lastBackup}</dt>
          <dd>{storage.backedUpAt === null ? WORDS.neverBackedUp : momentWords(storage.backedUpAt)}</dd>
          <dt>{WORDS.backUpBy}</dt>
          <dd>
            <code>npm run -s lever -- backup FILE</code>
          </dd>
        </Facts>
      )}
    </Card>
  );
}

/** Bytes as people say them, in steps of a thousand. */
function sizeWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.ceil(bytes / 1000)} kB`;
  return `${(bytes / 1_000_000).toFixed(1)} MB`;
}
