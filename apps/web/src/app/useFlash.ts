import { useCallback, useEffect, useRef, useState } from 'react';

const FLASH_MS = 450;

/** Keys that are lit for a moment after `flash`. */
export function useFlash(): { readonly lit: ReadonlySet<string>; readonly flash: (key: string) => void } {
  const [lit, setLit] = useState<ReadonlySet<string>>(new Set());
  const timers = useRef(new Map<string, ReturnType<typeof setTimeout>>());
  useEffect(() => () => timers.current.forEach(clearTimeout), []);
  const flash = useCallback((key: string) => {
    clearTimeout(timers.current.get(key));
    setLit((before) => new Set(before).add(key));
    const dim = () => setLit((before) => new Set([...before].filter((other) => other !== key)));
    timers.current.set(key, setTimeout(dim, FLASH_MS));
  }, []);
  return { lit, flash };
}
