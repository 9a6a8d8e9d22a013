import type { SetUpHead } from '@nimble-lever/core/setup';
import { useCallback, useEffect, useState } from 'react';
import { addressIn } from './shownSetUp.ts';
import { readSetUps } from './vaultApi.ts';

/** The set-ups of the server as they were read last. */
interface ReadSetUps {
  readonly setUps: readonly SetUpHead[];
  /** Whether they were read at all. */
  readonly isRead: boolean;
  /** Why they could not be read, in words; null where they could. */
  readonly failed: string | null;
}

/** The set-ups of the server, read when this is first drawn, and again when asked. */
export function useSetUps(): ReadSetUps & { readonly readAgain: () => Promise<void> } {
  const [read, setRead] = useState<ReadSetUps>({ setUps: [], isRead: false, failed: null });
  const readAgain = useCallback(async () => {
    try {
      setRead({ setUps: await readSetUps(), isRead: true, failed: null });
    } catch (error) {
      setRead((before) => ({ ...before, failed: error instanceof Error ? error.message : '' }));
    }
  }, []);
  useEffect(() => void readAgain(), [readAgain]);
  return { ...read, readAgain };
}

/** Opens a set-up in place of the one that is shown: the page begins anew, with nothing of the other one. */
export function openSetUp(id: string, view = '/board'): void {
  location.assign(addressIn(id, null, view));
}
