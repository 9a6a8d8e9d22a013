/** What is scrolled smoothly comes in this many parts, one a frame: about an eighth of a second at 60 a second. */
const PARTS = 8;

/**
 * Hands an amount on in parts, one a frame, large at first and small in the end, as a hand would. The parts add up to
 * the amount.
 *
 * @param each is given one part, signed as the amount is
 */
export function inParts(amount: number, each: (part: number) => void): void {
  // Out of 1, how much has come after so many parts.
  const upTo = (parts: number) => 1 - (1 - parts / PARTS) ** 2;
  let done = 0;
  let given = 0;
  const next = () => {
    done += 1;
    const whole = done === PARTS ? amount : Math.round(amount * upTo(done));
    if (whole !== given) each(whole - given);
    given = whole;
    if (done < PARTS) requestAnimationFrame(next);
  };
  next();
}
