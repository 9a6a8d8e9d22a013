import type { PairingCode, Rights } from '@nimble-lever/core/desks';
import { useCallback, useEffect, useState } from 'react';
import { makeCode, readCode, withdrawCode } from './api.ts';

/** How often it is asked whether a code was used: milliseconds. */
const ASK_MS = 1000;

/** How a code stands that is shown to a person. */
export type CodeState =
  | { readonly kind: 'making' }
  | { readonly kind: 'failed' }
  | { readonly kind: 'shown'; readonly code: PairingCode };

/** Whether a code still lets somebody in. */
export const isGood = ({ seconds, pairedWith }: PairingCode) => seconds > 0 && pairedWith === null;

/** A code for some rights, and how it stands; other rights have one of their own made. Also: has another one made. */
export function usePairingCode(rights: Rights): readonly [CodeState, () => void] {
  const [state, setState] = useState<CodeState>({ kind: 'making' });
  const [round, setRound] = useState(0);
  // Rights are data: the same ones are the same code.
  const asked = JSON.stringify(rights);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each round has a code of its own.
  useEffect(() => {
    let isOver = false;
    let made: PairingCode | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const show = (code: PairingCode) => {
      made = code;
      if (isOver) return withdrawCode(code.id);
      setState({ kind: 'shown', code });
      if (isGood(code))
        timer = setTimeout(() => void readCode(code.id).then(show, () => again(code)), ASK_MS);
    };
    // The server is away for a moment: the time goes on.
    const again = (code: PairingCode) =>
      show({ ...code, seconds: Math.max(0, code.seconds - ASK_MS / 1000) });
    setState({ kind: 'making' });
    makeCode(JSON.parse(asked)).then(show, () => !isOver && setState({ kind: 'failed' }));
    return () => {
      isOver = true;
      clearTimeout(timer);
      if (made && isGood(made)) withdrawCode(made.id);
    };
  }, [asked, round]);
  const another = useCallback(() => setRound((before) => before + 1), []);
  return [state, another];
}
