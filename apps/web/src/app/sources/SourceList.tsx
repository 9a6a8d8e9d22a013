import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { Ear } from 'lucide-react';
import type { SourceState } from './useSources.ts';
import { WORDS } from './words.ts';

const List = styled('ul')(({ theme: { vars } }) => ({
  margin: 0,
  padding: 0,
  listStyle: 'none',
  display: 'flex',
  flexDirection: 'column',
  gap: 4,
  fontSize: 12,
  color: vars?.palette.text.secondary,
  '& li': { display: 'flex', alignItems: 'center', gap: 8, minHeight: 28 },
  '& b': { fontWeight: 500, color: vars?.palette.text.primary },
  '& svg': { flex: 'none', color: vars?.palette.tokens.accent },
  '& .MuiButton-root': { minHeight: 26, paddingBlock: 1 },
}));

/** Which real devices are listened to, and what stands in the way of the others. */
export function SourceList({ sources }: { readonly sources: readonly SourceState[] }) {
  return (
    <List>
      {sources.map(({ source, state, says, start }) => (
        <li key={source.id}>
          {state === 'listening' && <Ear size={14} aria-hidden />}
          {state === 'asks' || state === 'failed' ? (
            <Button onClick={start}>{WORDS.listen(source.name)}</Button>
          ) : (
            <b>{source.name}</b>
          )}
          {state === 'listening' && WORDS.listening}
          {says}
        </li>
      ))}
    </List>
  );
}
