import { styled } from '@mui/material/styles';
import type { MouseEvent } from 'react';
import { WORDS } from './words.ts';

/** The id of the element that holds the view. */
export const VIEW = 'view';

const Link = styled('a')(({ theme: { vars } }) => ({
  position: 'absolute',
  zIndex: 1500,
  left: 8,
  top: -60,
  padding: '8px 14px',
  borderRadius: 8,
  fontWeight: 650,
  color: vars?.palette.tokens.onAccent,
  backgroundColor: vars?.palette.tokens.accent,
  '&:focus': { top: 8 },
}));

/**
 * The first stop of the Tab key: past the rail, the header and whatever stands above it to what the view is about (WCAG
 * 2.2, 2.4.1). A view marks that by `data-first`; without a mark, the view itself gets the keys.
 */
export function SkipLink() {
  const skip = (event: MouseEvent) => {
    event.preventDefault();
    const view = document.getElementById(VIEW);
    (view?.querySelector<HTMLElement>('[data-first=true]') ?? view)?.focus();
  };
  return (
    <Link href={`#${VIEW}`} onClick={skip}>
      {WORDS.skip}
    </Link>
  );
}
