import { THEME_PROPERTIES } from '../app/theme/properties.ts';
import { PAPER } from '../app/theme/tokens.ts';

/** The page of a panel in use: nothing scrolls, zooms, is selected or has a menu. */
export const PANEL_STYLES = `
${THEME_PROPERTIES}html, body, #root { height: 100%; margin: 0; overflow: hidden; overscroll-behavior: none; background: var(--background); }
body { font-family: "Atkinson Hyperlegible Next Variable", system-ui, sans-serif; color: var(--ink);
  touch-action: none; user-select: none; -webkit-user-select: none; -webkit-touch-callout: none; }
#root { display: flex; flex-direction: column; }
svg[role=group] { flex: 1; min-height: 0; width: 100%; display: block; touch-action: none; }
.body { fill: var(--sunk); stroke: var(--line); }
.body, .face, .cap { vector-effect: non-scaling-stroke; stroke-width: 1.5; }
.control { outline: none; cursor: pointer; }
.control .face { fill: var(--sheet); stroke: var(--line); }
.control .cap { fill: var(--sunk); stroke: var(--soft); }
.control .mark { fill: var(--ink); }
.control .level { fill: var(--accent); fill-opacity: 0.18; }
.control .bar { stroke: var(--sheet); stroke-width: 0.4; }
.control .ticks { fill: none; stroke: var(--soft); stroke-width: 0.5; }
.control .reach { fill: transparent; }
.empty .face { fill: none; }
.control.looked-at .face, .control.see-through .face { fill: transparent; stroke: none; }
.control.lit .face { fill: var(--accentTint); stroke: var(--accent); stroke-width: 3; }
.control.lit .words { filter: brightness(1.25); transform: scale(0.97); }
.control:focus-visible .face { stroke: var(--accent); stroke-width: 3; }
.done .face { stroke: var(--accent); stroke-width: 5; }
.words { position: relative; height: 100%; display: flex; flex-direction: column; align-items: center; justify-content: center;
  gap: 10px; padding: 12px; box-sizing: border-box; overflow: hidden; text-align: center; line-height: 1.12;
  font-weight: 650; white-space: nowrap; border-radius: 25px; }
.words[data-pictured=true] { padding: 0; justify-content: flex-end; }
.words img { position: absolute; inset: 0; }
.words .text span { display: block; }
.words svg { flex: none; }
${Object.entries(PAPER.face)
  .map(
    ([name, value]) =>
      `.words.${name}, .words.${name} .text { background: ${value}; color: ${PAPER.onFace}; }`,
  )
  .join('\n')}
.words[data-pictured=true] .text { position: relative; width: 100%; padding: 5px 12px; box-sizing: border-box;
  background: ${PAPER.face.ink}; color: ${PAPER.onFace}; }
.words .dark { color: ${PAPER.face.ink}; }
.words .light { color: ${PAPER.onFace}; }
.words .paper { padding: 5px 12px; border-radius: 10px; background: var(--sheet); }
.words .lamp { position: absolute; top: 9px; left: 30%; right: 30%; height: 13px; border-radius: 10px;
  background: ${PAPER.onFace}; box-shadow: 0 0 0 3px ${PAPER.face.ink}; }
.words .count { position: absolute; top: 4px; right: 4px; min-width: 42px; height: 42px; line-height: 42px; border-radius: 21px;
  font-size: 30px; background: ${PAPER.face.ink}; color: ${PAPER.onFace}; box-shadow: 0 0 0 3px ${PAPER.onFace}; }
svg.no-desk { opacity: 0.55; }
p { margin: 0; padding: 4px 12px; font-size: 13px; flex: none; color: var(--soft); }
p.away a { color: var(--ink); font-weight: 650; }
p.away { padding: 10px 14px; font-size: 15px; color: var(--brick); }
`;
