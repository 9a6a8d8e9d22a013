import { useCallback, useEffect, useRef, useState } from 'react';

/** How long a row stays lit: seen at a glance, gone before the next press as a rule. */
const FLASH_MS = 450;

/** What is lit now, and how to light it. */
export interface Flash {
  readonly lit: ReadonlySet<string>;
  /** Lights a key until `fade`. */
  readonly light: (key: string) => void;
  /** Lets a key go dark in a moment, long enough to be seen. */
  readonly fade: (key: string) => void;
}

/** Keys that light up while something is used, and for a moment after. */
export function useFlash(): Flash {
  const [lit, setLit] = useState<ReadonlySet<string>>(new Set());
  const timers = useRef(new Map<string, ReturnType<typeof setTimeout>>());
  useEffect(() => () => timers.current.forEach(clearTimeout), []);
  const light = useCallback((key: string) => {
    clearTimeout(timers.current.get(key));
    setLit((before) => new Set(before).add(key));
  }, []);
  const fade = useCallback((key: string) => {
    clearTimeout(timers.current.get(key));
    const dim = () => setLit((before) => new Set([...before].filter((other) => other !== key)));
    timers.current.set(key, setTimeout(dim, FLASH_MS));
  }, []);
  return { lit, light, fade };
}
