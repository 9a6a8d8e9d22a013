import { GRAPHITE, PAPER, type Tokens } from './tokens.ts';

/** The tokens of a theme as custom properties. */
const properties = ({
  background,
  sheet,
  sunk,
  ink,
  soft,
  line,
  accent,
  accentTint,
  onAccent,
  brick,
}: Tokens) =>
  Object.entries({ background, sheet, sunk, ink, soft, line, accent, accentTint, onAccent, brick })
    .map(([name, value]) => `--${name}: ${value};`)
    .join(' ');

/** For pages without a theme provider: the colours of both themes, by what the person's system has. */
export const THEME_PROPERTIES = `
:root { ${properties(PAPER)} }
@media (prefers-color-scheme: dark) { :root { ${properties(GRAPHITE)} } }
`;
