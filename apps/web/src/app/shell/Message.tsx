import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';

const Box = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 10,
  padding: 24,
  textAlign: 'center',
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, maxWidth: 460, color: vars?.palette.text.secondary },
}));

/** What is said instead of a view: a heading, the reason, and what can be done. */
interface Props {
  readonly title: string;
  readonly detail?: string | null;
  readonly children?: ReactNode;
}

/** What is going on where a view would be. */
export function Message({ title, detail = null, children }: Props) {
  return (
    <Box role="status">
      <h2>{title}</h2>
      {detail && <p>{detail}</p>}
      {children}
    </Box>
  );
}
