/** Below this a wheel is taken to stand still: degrees a second. Common practice, no source. */
const STANDS_BELOW = 12;

/** A free wheel nobody touches any more. */
export interface Coasting {
  /** How fast it was let go: degrees a second, signed. */
  readonly speed: number;
  /** How long it takes until it turns 1/e as fast: milliseconds. */
  readonly coastMs: number;
}

/**
 * How far a free wheel has turned by itself since it was let go. Friction that grows with the speed slows it down,
 * ω(t) = ω₀ e^(−t/τ), so that the way is ω₀ τ (1 − e^(−t/τ)): the damped rotor of any textbook of mechanics.
 *
 * @param since milliseconds since it was let go
 * @returns degrees, signed
 */
export function coastedDegrees({ speed, coastMs }: Coasting, since: number): number {
  if (coastMs <= 0) return 0;
  const until = Math.min(Math.max(0, since), coastingLasts({ speed, coastMs }));
  return (speed / 1000) * coastMs * (1 - Math.exp(-until / coastMs));
}

/** How long a wheel that was let go still turns: milliseconds; 0 where it was too slow to go on. */
export function coastingLasts({ speed, coastMs }: Coasting): number {
  const fast = Math.abs(speed) / STANDS_BELOW;
  return fast <= 1 ? 0 : coastMs * Math.log(fast);
}

/** A turn that was felt, with its moment in milliseconds. */
export interface FeltTurn {
  readonly t: number;
  /** Signed. */
  readonly degrees: number;
}

/** Only this much before a wheel is let go counts: a hand that rested does not flick. Common practice, no source. */
const FLICK_MS = 120;

/** No finger flicks faster: degrees a second. What comes at the same moment would tell any speed. From trying. */
const FASTEST = 3000;

/**
 * How fast a wheel turned when it was let go, in degrees a second, signed; 0 where it rested.
 *
 * @param turns oldest first
 * @param now milliseconds
 */
export function speedAtRelease(turns: readonly FeltTurn[], now: number): number {
  const last = turns.filter(({ t }) => now - t <= FLICK_MS);
  const [first] = last;
  if (!first || last.length < 2) return 0;
  // What came with the first turn was turned before it.
  const degrees = last.slice(1).reduce((sum, turn) => sum + turn.degrees, 0);
  const speed = (degrees / Math.max(1, now - first.t)) * 1000;
  return Math.max(-FASTEST, Math.min(FASTEST, speed));
}
