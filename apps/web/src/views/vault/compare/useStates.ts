import type { Setup } from '@nimble-lever/core/setup';
import { useEffect, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { readState } from '../../../app/setup/vaultApi.ts';
import { useAppSelector } from '../../../app/store.ts';
import type { Moment } from '../useShown.ts';

/** A set-up as it was, read; or why it could not be. */
export type StateOf =
  | { readonly kind: 'read'; readonly setup: Setup }
  | { readonly kind: 'reading' }
  | { readonly kind: 'failed'; readonly why: string };

/** The set-up at a moment: as it is now from the page itself, as it was from the server. */
export function useStateAt(moment: Moment, attempt: number): StateOf {
  const id = useAppSelector((state) => state.setup.id);
  const now = useAppSelector(selectSetup);
  const [read, setRead] = useState<{ readonly of: string; readonly state: StateOf } | null>(null);
  const key = `${id} ${moment} ${attempt}`;
  useEffect(() => {
    if (id === null || moment === null) return;
    let isWanted = true;
    const keep = (state: StateOf) => isWanted && setRead({ of: key, state });
    readState(id, moment).then(
      (setup) => keep({ kind: 'read', setup }),
      (error: unknown) => keep({ kind: 'failed', why: error instanceof Error ? error.message : '' }),
    );
    return () => {
      isWanted = false;
    };
  }, [id, moment, key]);
  if (moment === null) return { kind: 'read', setup: now };
  return read?.of === key ? read.state : { kind: 'reading' };
}
