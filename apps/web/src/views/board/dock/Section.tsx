import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';

const Box = styled('section')(({ theme: { vars } }) => ({
  padding: '12px 16px 8px',
  minWidth: 0,
  overflowX: 'hidden',
  overflowY: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 6,
  borderLeft: `1px solid ${vars?.palette.divider}`,
  '&:first-of-type': { borderLeft: 0 },
}));

const Title = styled('h3')(({ theme: { vars } }) => ({
  margin: 0,
  fontSize: 12,
  fontWeight: 650,
  color: vars?.palette.text.secondary,
}));

/** A column of the dock under its own heading. */
export function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box aria-label={title}>
      <Title>{title}</Title>
      {children}
    </Box>
  );
}
