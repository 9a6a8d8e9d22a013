import { useCallback, useEffect, useState } from 'react';

/** A list of the server's as it was read last. */
export interface ServerList<Item> {
  readonly items: readonly Item[];
  readonly isRead: boolean;
  /** Why it could not be read, or something not be done, in words; null where all went well. */
  readonly failed: string | null;
  readonly isBusy: boolean;
  readonly readAgain: () => Promise<void>;
  /** Does something, then reads the list again; says whether it was done. */
  readonly run: (work: () => Promise<void>) => Promise<boolean>;
}

/** Reads a list, again when `read` changes, and after each thing that is done to it. */
export function useServerList<Item>(read: () => Promise<readonly Item[]>): ServerList<Item> {
  const [items, setItems] = useState<readonly Item[]>([]);
  const [isRead, setRead] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const readAgain = useCallback(async () => {
    try {
      setItems(await read());
      setRead(true);
      setFailed(null);
    } catch (error) {
      setFailed(wordsOf(error));
    }
  }, [read]);
  useEffect(() => void readAgain(), [readAgain]);
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
      await readAgain();
      return true;
    } catch (error) {
      setFailed(wordsOf(error));
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { items, isRead, failed, isBusy, readAgain, run };
}

function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : '';
}
