/** A number with at most three decimals and no trailing noughts. */
export function tidy(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}
