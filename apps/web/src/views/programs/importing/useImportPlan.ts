import type { Columns } from '@nimble-lever/core/programs';
import { useContext, useEffect, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import type { ListAnswer, ListAsked } from '../../../workers/importList.ts';

/** A list that was read and planned. */
export type Planned = Extract<ListAnswer, { kind: 'planned' }>;

/** How far reading a list is. */
export type Reading =
  | { readonly kind: 'nothing' | 'stopped' | 'failed' }
  | { readonly kind: 'reading'; readonly done: number; readonly all: number }
  | Planned;

/** A pause in typing or pasting after which the list is read. */
const PAUSE_MS = 150;

/** What a list would become, worked out beside the page, so that it goes on meanwhile; `stop` ends that. */
export function useImportPlan(
  text: string,
  program: string | null,
  columns: Columns | null,
  proposes: boolean,
): { readonly reading: Reading; readonly stop: () => void } {
  const setup = useAppSelector(selectSetup);
  const { platform, legends } = useContext(KeyboardContext);
  const [reading, setReading] = useState<Reading>({ kind: 'nothing' });
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    if (text.trim() === '') return setReading({ kind: 'nothing' });
    setReading({ kind: 'reading', done: 0, all: 0 });
    let worker: Worker | null = null;
    const end = () => {
      clearTimeout(timeout);
      worker?.terminate();
    };
    // Not for each letter that is typed: a worker is begun once there is a pause.
    const timeout = setTimeout(() => {
      worker = new Worker(new URL('../../../workers/importList.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<ListAnswer>) =>
        setReading(data.kind === 'planned' ? data : { ...data, kind: 'reading' });
      worker.onerror = () => setReading({ kind: 'failed' });
      const asked: ListAsked = {
        text,
        // Only its commands are asked for; the rest would be copied for nothing.
        setup: { ...setup, devices: [], profiles: {}, macros: [], radialMenus: [], unreadable: [] },
        program,
        columns,
        proposes,
        platform,
        legends,
      };
      worker.postMessage(asked);
    }, PAUSE_MS);
    setStop(() => () => {
      end();
      setReading({ kind: 'stopped' });
    });
    return end;
  }, [text, setup, program, columns, proposes, platform, legends]);
  return { reading, stop };
}
