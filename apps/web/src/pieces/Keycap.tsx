import { styled } from '@mui/material/styles';
import { Keys } from './Keys.tsx';

/** The cap itself, for what is no shortcut in our notation. */
export const Cap = styled('kbd')(({ theme: { vars, typography } }) => ({
  fontFamily: typography.mono,
  fontSize: 12,
  lineHeight: '16px',
  whiteSpace: 'nowrap',
  padding: '0 6px',
  borderRadius: 4,
  border: `1px solid ${vars?.palette.divider}`,
  borderBottomWidth: 2,
  color: 'inherit',
  backgroundColor: vars?.palette.tokens.background,
}));

/** A shortcut in our notation as one keycap. */
export function Keycap({ shortcut }: { readonly shortcut: string }) {
  return (
    <Cap>
      <Keys shortcut={shortcut} />
    </Cap>
  );
}
