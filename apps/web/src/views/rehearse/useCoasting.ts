import {
  type Control,
  coastedDegrees,
  coastingLasts,
  type FeltTurn,
  speedAtRelease,
} from '@nimble-lever/core/devices';
import { useEffect, useRef } from 'react';

/** Turns by the mouse's own wheel or by keys end without a word: after this long without another one, milliseconds. */
const LET_GO_MS = 60;
/** More turns than this before it is let go tell nothing more about how fast it is. */
const TURNS_KEPT = 32;

/** What the hand does to a free wheel. */
export interface FreeWheel {
  /** The hand turned it. */
  readonly felt: (control: Control, degrees: number) => void;
  /** The hand is put on it, which stops it, or taken off it, which lets it go on. */
  readonly touched: (control: Control, touches: boolean) => void;
}

/**
 * A free wheel goes on by itself when it is let go while it turns.
 *
 * @param coastMs see `Coasting`; 0 where nothing goes on, as in a ratchet
 * @param turn turns the wheel by so many degrees
 */
export function useCoasting(coastMs: number, turn: (control: Control, degrees: number) => void): FreeWheel {
  const latest = useRef(turn);
  latest.current = turn;
  const turns = useRef<FeltTurn[]>([]);
  const held = useRef(false);
  const frame = useRef(0);
  const release = useRef<ReturnType<typeof setTimeout>>(undefined);
  const stop = () => {
    cancelAnimationFrame(frame.current);
    clearTimeout(release.current);
  };
  // In a ratchet it stands; nothing goes on where the drawing is gone.
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever changes how it goes on ends it.
  useEffect(() => stop, [coastMs]);

  const letGo = (control: Control, at: number) => {
    const speed = speedAtRelease(turns.current, at);
    turns.current = [];
    const coasting = { speed, coastMs };
    const began = performance.now();
    let done = 0;
    const goOn = () => {
      const since = performance.now() - began;
      const degrees = coastedDegrees(coasting, since);
      if (degrees !== done) latest.current(control, degrees - done);
      done = degrees;
      if (since < coastingLasts(coasting)) frame.current = requestAnimationFrame(goOn);
    };
    if (coastingLasts(coasting) > 0) frame.current = requestAnimationFrame(goOn);
  };
  return {
    felt(control, degrees) {
      stop();
      if (coastMs === 0) return;
      const t = performance.now();
      turns.current = [...turns.current, { t, degrees }].slice(-TURNS_KEPT);
      if (!held.current) release.current = setTimeout(() => letGo(control, t), LET_GO_MS);
    },
    touched(control, touches) {
      stop();
      held.current = touches;
      if (touches) turns.current = [];
      else if (coastMs > 0) letGo(control, performance.now());
    },
  };
}
