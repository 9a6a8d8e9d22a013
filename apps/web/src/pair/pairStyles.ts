import { THEME_PROPERTIES } from '../app/theme/properties.ts';

/** The page that pairs a browser: one narrow column, large enough for fingers. */
export const PAIR_STYLES = `
${THEME_PROPERTIES}
body { margin: 0; background: var(--background); color: var(--ink); line-height: 1.5;
  font-family: "Atkinson Hyperlegible Next Variable", system-ui, sans-serif; font-size: 16px; }
main { max-width: 380px; margin: 0 auto; padding: 9vh 20px 24px; }
h1 { margin: 0 0 8px; font-size: 24px; font-weight: 650; }
p { margin: 0 0 16px; color: var(--soft); }
p.wrong { margin: 0; color: var(--brick); }
a { color: var(--accent); font-weight: 650; }
form { display: flex; flex-direction: column; gap: 16px; padding: 20px; border: 1px solid var(--line);
  border-radius: 12px; background: var(--sheet); }
label { display: flex; flex-direction: column; gap: 4px; font-size: 14px; font-weight: 650; }
input { min-height: 44px; padding: 4px 12px; box-sizing: border-box; border: 1px solid var(--soft); border-radius: 8px;
  background: var(--background); color: var(--ink); font: inherit; font-size: 16px; font-weight: 400; }
input.code { min-height: 60px; font-size: 32px; font-weight: 650; letter-spacing: 0.16em; text-align: center; }
input:focus-visible, button:focus-visible, a:focus-visible { outline: 3px solid var(--accent); outline-offset: 2px; }
button { min-height: 48px; border: 0; border-radius: 8px; background: var(--accent); color: var(--onAccent); font: inherit;
  font-weight: 650; cursor: pointer; }
`;
