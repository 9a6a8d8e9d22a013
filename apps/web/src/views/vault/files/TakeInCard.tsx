import Button from '@mui/material/Button';
import { FileDown } from 'lucide-react';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import { WORDS } from '../words.ts';
import { Card } from './Card.tsx';
import type { Stage } from './useTakeIn.ts';

interface Props {
  readonly stage: Stage;
  /** Whether a file was looked at before. */
  readonly isBack: boolean;
  readonly onFile: (file: File) => void;
  readonly onStop: () => void;
}

/** Where a file is let go or chosen; what is wrong with it is told here. */
export function TakeInCard({ stage, isBack, onFile, onStop }: Props) {
  const chooser = useRef<HTMLInputElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  // After a file was looked at one goes on where one began.
  useEffect(() => {
    if (isBack) button.current?.focus();
  }, [isBack]);
  const [isOver, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (file) onFile(file);
  };
  return (
    <Card aria-labelledby="files-in">
      <h2 id="files-in">{WORDS.takeIn}</h2>
      <p>{WORDS.takeInMeans}</p>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: files are let go here; the button inside does the same */}
      <div
        className={isOver ? 'drop over' : 'drop'}
        onDragOver={(event) => {
          if (!event.dataTransfer.types.includes('Files')) return;
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        <FileDown size={22} aria-hidden />
        <span>{stage.kind === 'busy' ? WORDS.doing[stage.doing] : WORDS.dropHere}</span>
        {stage.kind === 'busy' ? (
          <Button onClick={onStop}>{WORDS.stop}</Button>
        ) : (
          <Button ref={button} onClick={() => chooser.current?.click()}>
            {WORDS.chooseFile}
          </Button>
        )}
        <input
          ref={chooser}
          hidden
          type="file"
          accept=".json,.zip"
          aria-label={WORDS.chooseFile}
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) onFile(file);
            // The same one can be chosen again once it was mended.
            target.value = '';
          }}
        />
      </div>
      {stage.kind === 'refused' && (
        <div role="alert">
          <p role="presentation">{WORDS.notTakenIn(stage.file)}</p>
          <ul>
            {stage.why.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
      <p role="status">{stage.kind === 'done' ? stage.words : ''}</p>
    </Card>
  );
}
