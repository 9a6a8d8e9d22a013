import Button from '@mui/material/Button';
import { freeId } from '@nimble-lever/core/devices';
import type { FilePart } from '@nimble-lever/core/formats';
import { EVERYWHERE } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { strToU8, zipSync } from 'fflate';
import { useEffect, useRef, useState } from 'react';
import { saveFile } from '../../../app/saveFile.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { readBindings, readSetUpFile } from '../../../app/setup/vaultApi.ts';
import { useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from '../words.ts';
import { Card } from './Card.tsx';

const ALL = 'all';

/** The set-up, or a part of it, as a file to keep or to give; its bindings as a table. */
export function OutCard() {
  const setup = useAppSelector(selectSetup);
  const { id, saving, revision, asItWas } = useAppSelector((state) => state.setup);
  const at = asItWas ? revision : null;
  const [chosen, setChosen] = useState(ALL);
  const [isReading, setReading] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const asked = useRef<AbortController | null>(null);
  useEffect(() => () => asked.current?.abort(), []);
  const parts: readonly (readonly [key: string, name: string])[] = [
    [ALL, WORDS.wholeSetUp],
    ...setup.devices.map((own) => [`device ${own.id}`, WORDS.partNames.device(own.name)] as const),
    ...setup.programs.map((own) => [`program ${own.id}`, WORDS.partNames.program(own.name)] as const),
    ...Object.keys(setup.profiles).map(
      (own) =>
        [
          `profile ${own}`,
          WORDS.partNames.profile(own === EVERYWHERE ? WORDS.everywhere : profileName(setup, own)),
        ] as const,
    ),
    ...setup.macros.map((own) => [`macro ${own.id}`, WORDS.partNames.macro(own.name)] as const),
  ];
  const [kind, of = ''] = chosen.split(' ');
  const isThere = parts.some(([key]) => key === chosen);
  const part = chosen === ALL || !isThere ? null : ({ kind, id: of } as FilePart);
  const name = freeId(
    part ? (parts.find(([key]) => key === chosen)?.[1] ?? '') : setup.name,
    new Set(),
    'set-up',
  );
  const run = async (work: (signal: AbortSignal, setUp: string) => Promise<void>) => {
    if (id === null) return;
    const own = new AbortController();
    asked.current = own;
    setReading(true);
    setWrong(null);
    try {
      await work(own.signal, id);
    } catch (error) {
      if (!own.signal.aborted) setWrong(error instanceof Error ? error.message : '');
    }
    setReading(false);
  };
  const save = (isPacked: boolean) =>
    run(async (signal, setUp) => {
      const text = await readSetUpFile(setUp, { part, at }, signal);
      if (!isPacked) return saveFile(`${name}.lever.json`, text);
      // Without the time of day the same content gives the same bytes.
      const bytes = zipSync({ [`${name}.lever.json`]: [strToU8(text), { mtime: new Date(1980, 0, 1) }] });
      saveFile(`${name}.lever.zip`, bytes as Uint8Array<ArrayBuffer>, 'application/zip');
    });
  const table = (as: 'csv' | 'markdown', ending: string, type: string) =>
    run(async (signal, setUp) =>
      saveFile(`${name}.${ending}`, await readBindings(setUp, { as, at }, signal), type),
    );
  return (
    <Card aria-labelledby="files-out">
      <h2 id="files-out">{WORDS.out}</h2>
      <p>{WORDS.outMeans}</p>
      <div className="row">
        <ChoiceField label={WORDS.what} value={isThere ? chosen : ALL} options={parts} onChange={setChosen} />
        <Button variant="contained" disabled={isReading} onClick={() => void save(false)}>
          {WORDS.saveFile}
        </Button>
        <Button disabled={isReading} onClick={() => void save(true)}>
          {WORDS.saveZip}
        </Button>
        {isReading && <Button onClick={() => asked.current?.abort()}>{WORDS.stop}</Button>}
      </div>
      <p>{WORDS.tableMeans}</p>
      <div className="row">
        <Button disabled={isReading} onClick={() => void table('csv', 'csv', 'text/csv')}>
          {WORDS.asCsv}
        </Button>
        <Button disabled={isReading} onClick={() => void table('markdown', 'md', 'text/markdown')}>
          {WORDS.asMarkdown}
        </Button>
      </div>
      {wrong !== null && <p role="alert">{wrong}</p>}
      <p role="status" hidden={!isReading && saving === 'saved'}>
        {isReading ? WORDS.fileComes : saving === 'saved' ? '' : WORDS.fileUnsaved}
      </p>
    </Card>
  );
}
