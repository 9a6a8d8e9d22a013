import { useEffect, useRef, useState } from 'react';

/**
 * A value that may change faster than anybody reads: small changes show at most so often, and the last of them always;
 * any other shows at once.
 *
 * @param isSmall whether the second differs from the first only by what may wait
 * @param ms how long a small change may wait
 */
export function useCalm<Value>(
  value: Value,
  isSmall: (shown: Value, value: Value) => boolean,
  ms: number,
): Value {
  const [shown, setShown] = useState(value);
  const latest = useRef(value);
  latest.current = value;
  const waits = shown !== value && isSmall(shown, value);
  if (shown !== value && !waits) setShown(value);
  useEffect(() => {
    if (!waits) return;
    const timer = setTimeout(() => setShown(latest.current), ms);
    return () => clearTimeout(timer);
  }, [waits, ms]);
  return waits ? shown : value;
}
