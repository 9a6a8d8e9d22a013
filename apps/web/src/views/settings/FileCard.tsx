import Button from '@mui/material/Button';
import { freeId } from '@nimble-lever/core/devices';
import { useEffect, useRef, useState } from 'react';
import { saveFile } from '../../app/saveFile.ts';
import { readSetUpFile } from '../../app/setup/api.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { Card } from './Card.tsx';
import { WORDS } from './words.ts';

/** The set-up as a file to keep or to give, its pictures inside. */
export function FileCard() {
  const { name } = useAppSelector(selectSetup);
  const id = useAppSelector((state) => state.setup.id);
  const unsaved = useAppSelector((state) => state.setup.pending.length);
  const [reading, setReading] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const asked = useRef<AbortController | null>(null);
  useEffect(() => () => asked.current?.abort(), []);
  const save = async () => {
    if (id === null) return;
    const own = new AbortController();
    asked.current = own;
    setReading(true);
    setWrong(null);
    try {
      saveFile(`${freeId(name, new Set(), 'set-up')}.lever.json`, await readSetUpFile(id, own.signal));
    } catch (error) {
      if (!own.signal.aborted) setWrong(error instanceof Error ? error.message : '');
    }
    setReading(false);
  };
  return (
    <Card aria-labelledby="file-settings">
      <h2 id="file-settings">{WORDS.file}</h2>
      <p>{WORDS.fileMeans}</p>
      <div>
        <Button disabled={reading} onClick={() => void save()}>
          {WORDS.saveFile}
        </Button>{' '}
        {reading && <Button onClick={() => asked.current?.abort()}>{WORDS.stop}</Button>}
      </div>
      <p role="status">{wrong ?? (reading ? WORDS.fileComes : unsaved > 0 ? WORDS.fileUnsaved : '')}</p>
    </Card>
  );
}
