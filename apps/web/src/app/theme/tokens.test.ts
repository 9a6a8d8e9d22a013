import { contrastRatio, type Rgb } from '@nimble-lever/core/panels';
import { GRAPHITE, PAPER, type Tokens } from './tokens.ts';

const rgb = (hex: string): Rgb => {
  const value = Number.parseInt(hex.slice(1), 16);
  return [value >> 16, (value >> 8) & 255, value & 255];
};

/** What is written on what: text at 4.5 to 1 (WCAG 2.2, 1.4.3). */
const TEXT: readonly (readonly [
  words: string,
  (tokens: Tokens) => string,
  (tokens: Tokens) => readonly string[],
])[] = [
  [
    'ink',
    ({ ink }) => ink,
    (on) => [on.background, on.sheet, on.sunk, on.accentTint, on.layerTint, on.brickTint],
  ],
  ['soft', ({ soft }) => soft, (on) => [on.background, on.sheet, on.sunk]],
  ['accent', ({ accent }) => accent, (on) => [on.background, on.sheet, on.accentTint]],
  ['layer', ({ layer }) => layer, (on) => [on.background, on.sheet, on.layerTint]],
  ['brick', ({ brick }) => brick, (on) => [on.background, on.sheet, on.brickTint]],
  ['on accent', ({ onAccent }) => onAccent, (on) => [on.accent]],
  ['on the rail', ({ onRail }) => onRail, (on) => [on.rail, on.railRaised]],
  ['softly on the rail', ({ onRailSoft }) => onRailSoft, (on) => [on.rail]],
  ['on faces', ({ onFace }) => onFace, (on) => Object.values(on.face)],
];
/** Signs that are no text: at 3 to 1 (WCAG 2.2, 1.4.11). */
const SIGNS: typeof TEXT = [
  ['on the rail, lit', ({ railAccent }) => railAccent, (on) => [on.rail]],
  ...(['move', 'view', 'edit', 'tool', 'time', 'system'] as const).map(
    (family) =>
      [
        `family ${family}`,
        (of: Tokens) => of.family[family],
        (on: Tokens) => [on.sheet, on.background],
      ] as const,
  ),
];

describe.each([
  ['paper', PAPER],
  ['graphite', GRAPHITE],
])('%s', (_name, tokens) => {
  test.each(TEXT)('text: %s', (_words, of, on) => {
    for (const under of on(tokens)) {
      expect([under, contrastRatio(rgb(of(tokens)), rgb(under)) >= 4.5]).toEqual([under, true]);
    }
  });
  test.each(SIGNS)('sign: %s', (_words, of, on) => {
    for (const under of on(tokens)) {
      expect([under, contrastRatio(rgb(of(tokens)), rgb(under)) >= 3]).toEqual([under, true]);
    }
  });
});
