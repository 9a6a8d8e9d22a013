import { signedOf } from './items.ts';

/** Base units of each system (HID 1.11, 6.2.2.7): length, mass, time, temperature, current, luminous intensity. */
const SYSTEMS: Readonly<Record<number, readonly string[]>> = {
  1: ['cm', 'g', 's', 'K', 'A', 'cd'],
  2: ['rad', 'g', 's', 'K', 'A', 'cd'],
  3: ['in', 'slug', 's', '°F', 'A', 'cd'],
  4: ['°', 'slug', 's', '°F', 'A', 'cd'],
};

/** A unit: its words, and what a number is multiplied by. */
export interface Unit {
  /** SI symbols with exponents, for instance `g·cm²·s⁻²`; empty for none. */
  readonly words: string;
  /** What a value is multiplied by to be in `words`. */
  readonly factor: number;
}

/** Values without a unit are told as they are. */
const NO_UNIT: Unit = { words: '', factor: 1 };

/** A unit from its 32 bits and its exponent of ten (four bits, or a whole signed number). */
export function unitOf(code: number, exponent: number): Unit {
  if (code === 0 && exponent === 0) return NO_UNIT;
  const symbols = SYSTEMS[code & 0xf] ?? [];
  const words = symbols.flatMap((symbol, i) => {
    const power = signedOf((code >>> (4 * (i + 1))) & 0xf, 4);
    return power === 0 ? [] : [power === 1 ? symbol : `${symbol}${raised(power)}`];
  });
  const tens = exponent >= 0 && exponent <= 0xf ? signedOf(exponent, 4) : exponent;
  return { words: words.join('·'), factor: 10 ** tens };
}

/** An exponent as people write it. */
function raised(power: number): string {
  return Array.from(String(power), (sign) => (sign === '-' ? '⁻' : ('⁰¹²³⁴⁵⁶⁷⁸⁹'[Number(sign)] ?? ''))).join(
    '',
  );
}
