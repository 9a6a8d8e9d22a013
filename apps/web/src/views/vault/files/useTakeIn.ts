import type { Choice, Mapping } from '@nimble-lever/core/vault';
import { useCallback, useEffect, useRef, useState } from 'react';
import { selectLayout } from '../../../app/keyboard/keyboardSlice.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { sendImport } from '../../../app/setup/sendImport.ts';
import { useAppSelector } from '../../../app/store.ts';
import type { ReadingStep, TakeInAnswer, TakeInAsked } from '../../../workers/takeIn.ts';
import { WORDS } from '../words.ts';

/** A file that was read, and what it would bring. */
export type Planned = Extract<TakeInAnswer, { kind: 'planned' }>;

/** How far taking a file in is. */
export type Stage =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'busy'; readonly doing: ReadingStep | 'take' }
  | { readonly kind: 'refused'; readonly file: string; readonly why: readonly string[] }
  | { readonly kind: 'planned'; readonly file: string; readonly plan: Planned }
  | { readonly kind: 'done'; readonly words: string };

/** Takes a file in, step by step; what takes its time is done beside the page, and can be stopped. */
export function useTakeIn() {
  const now = useAppSelector(selectSetup);
  const layout = useAppSelector(selectLayout);
  const { id, revision, me } = useAppSelector((state) => state.setup);
  const [stage, setStage] = useState<Stage>({ kind: 'nothing' });
  const worker = useRef<Worker | null>(null);
  const file = useRef('');
  const sending = useRef<AbortController | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    sending.current?.abort();
  }, []);
  useEffect(() => end, [end]);

  const ask = (asked: TakeInAsked) => worker.current?.postMessage(asked);
  const send = async ({ edit, along, pictures }: Extract<TakeInAnswer, { kind: 'taken' }>, count: number) => {
    if (edit === null) return setStage({ kind: 'done', words: WORDS.nothingTaken });
    if (id === null) return;
    const own = new AbortController();
    sending.current = own;
    const why = await sendImport({
      setUp: id,
      revision,
      author: me,
      edit,
      pictures,
      signal: own.signal,
    });
    if (own.signal.aborted) return;
    end();
    setStage(
      why === null
        ? { kind: 'done', words: WORDS.takenIn(count, along) }
        : { kind: 'refused', file: file.current, why: [why] },
    );
  };
  const count = useRef(0);
  const heard = (answer: TakeInAnswer) => {
    switch (answer.kind) {
      case 'step':
        return setStage({ kind: 'busy', doing: answer.step });
      case 'refused':
        return setStage({ kind: 'refused', file: file.current, why: answer.why });
      case 'planned':
        return setStage({ kind: 'planned', file: file.current, plan: answer });
      case 'taken':
        return void send(answer, count.current);
    }
  };

  const read = (given: File) => {
    end();
    file.current = given.name;
    setStage({ kind: 'busy', doing: 'read' });
    const own = new Worker(new URL('../../../workers/takeIn.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<TakeInAnswer>) => worker.current === own && heard(data);
    own.onerror = () =>
      worker.current === own && setStage({ kind: 'refused', file: given.name, why: [WORDS.notRead2] });
    worker.current = own;
    ask({ kind: 'read', file: given, now, layout });
  };
  return {
    stage,
    read,
    /** Works it out anew for other devices. */
    map: (mapping: Mapping) => ask({ kind: 'plan', now, mapping }),
    take: (choices: ReadonlyMap<string, Choice>) => {
      count.current = [...choices.values()].filter((choice) => choice !== 'mine').length;
      setStage({ kind: 'busy', doing: 'take' });
      ask({ kind: 'take', now, choices });
    },
    stop: () => {
      end();
      setStage({ kind: 'nothing' });
    },
  };
}
