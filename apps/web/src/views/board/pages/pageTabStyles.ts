import type { Theme } from '@mui/material/styles';

/** How a device's pages look beside its name: quiet, until one is chosen. */
export function pageTabStyles({ theme: { vars } }: { readonly theme: Theme }) {
  const tokens = vars?.palette.tokens;
  return {
    display: 'flex',
    alignItems: 'center',
    gap: 2,
    minWidth: 0,
    // More than there is room for are scrolled through, as the tab that is chosen comes into sight.
    '& [role=tablist]': {
      display: 'flex',
      alignItems: 'center',
      gap: 2,
      minWidth: 0,
      padding: 3,
      overflowX: 'auto',
      scrollbarWidth: 'none',
    },
    '& [role=tab]': {
      flex: 'none',
      display: 'inline-flex',
      alignItems: 'center',
      gap: 4,
      height: 24,
      padding: '0 8px',
      font: 'inherit',
      fontSize: 12,
      fontWeight: 400,
      border: '1px solid transparent',
      borderRadius: 6,
      color: vars?.palette.text.secondary,
      background: 'none',
      cursor: 'pointer',
      whiteSpace: 'nowrap',
    },
    '& [role=tab]:hover': { color: vars?.palette.text.primary, backgroundColor: tokens?.sunk },
    '& [role=tab][aria-selected=true]': {
      fontWeight: 650,
      color: vars?.palette.text.primary,
      borderColor: vars?.palette.text.secondary,
      backgroundColor: tokens?.sheet,
    },
    '& [role=tab][data-over=true]': { outline: `2px solid ${tokens?.accent}` },
    '& [role=tab] small': { fontSize: 11, fontWeight: 400, color: vars?.palette.text.secondary },
    '& [role=tab] .wrong': { color: tokens?.brick },
    '& .add': { color: vars?.palette.text.secondary },
  } as const;
}
