import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  padding: '12px 16px 14px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  '& > header': { display: 'flex', alignItems: 'center', justifyContent: 'space-between', minHeight: 28 },
  '& h3': { margin: 0, fontSize: 13, fontWeight: 650, color: vars?.palette.text.primary },
  '& p': { margin: 0 },
  '& .refused': { color: vars?.palette.tokens.brick },
  '& .line': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  '& .line > span': { minWidth: 118 },
  '& .MuiOutlinedInput-root': { minHeight: 28, height: 28, fontSize: 12 },
  '& .MuiButton-root': { minHeight: 26, paddingBlock: 0, fontSize: 12 },
}));

/** One thing that can be tuned, with the way back. */
interface Props {
  readonly title: string;
  /** Puts this back to how it came; null where it is so, or nobody knows how it was. */
  readonly onReset: (() => void) | null;
  readonly children: ReactNode;
}

/** One thing that is tuned, with the way back to how it came. */
export function TuneCard({ title, onReset, children }: Props) {
  return (
    <Box aria-label={title}>
      <header>
        <h3>{title}</h3>
        {onReset && <Button onClick={onReset}>{WORDS.asItCame}</Button>}
      </header>
      {children}
    </Box>
  );
}
