import { styled } from '@mui/material/styles';
import { displayShortcut, type Platform, parseShortcut } from '@nimble-lever/core/keys';

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

/** The platform whose words keycaps use. */
export const PLATFORM: Platform = platformOf(typeof navigator === 'undefined' ? '' : navigator.userAgent);

function platformOf(agent: string): Platform {
  if (/Mac|iPhone|iPad/.test(agent)) return 'mac';
  return /Windows/.test(agent) ? 'windows' : 'linux';
}

/** A shortcut in our notation as one keycap, joined with +. Text that is no shortcut is shown as it is. */
export function Keycap({ shortcut }: { readonly shortcut: string }) {
  const parsed = parseShortcut(shortcut);
  return <Cap>{parsed.ok ? displayShortcut(parsed.value, PLATFORM).join('+') : shortcut}</Cap>;
}
