import { styled } from '@mui/material/styles';
import { displaySteps } from '@nimble-lever/core/keys';
import { useContext } from 'react';
import { KeyboardContext } from './keyboard.ts';

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

/**
 * A shortcut in our notation as one keycap, as the person's platform and keyboard write it; steps are parted by
 * commas. Text that is no shortcut is shown as it is.
 */
export function Keycap({ shortcut }: { readonly shortcut: string }) {
  const { platform, legends } = useContext(KeyboardContext);
  return <Cap>{displaySteps(shortcut, platform, legends)}</Cap>;
}
