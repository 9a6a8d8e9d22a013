import { styled } from '@mui/material/styles';
import { Check, CloudOff, LoaderCircle } from 'lucide-react';
import { useAppSelector } from '../store.ts';
import { WORDS } from './words.ts';

const Box = styled('span')<{ ownerState: { waiting: boolean } }>(
  ({ theme: { vars }, ownerState: { waiting } }) => ({
    display: 'inline-flex',
    alignItems: 'center',
    gap: 6,
    fontSize: 12,
    whiteSpace: 'nowrap',
    color: waiting ? vars?.palette.tokens.brick : vars?.palette.text.secondary,
  }),
);

/** Whether everything is saved, and since when. */
export function SaveState() {
  const { saving, savedAt, pending, waitingFor } = useAppSelector((state) => state.setup);
  return (
    <Box
      ownerState={{ waiting: saving === 'waiting' }}
      role="status"
      data-saving={saving}
      title={waitingFor ? WORDS.waitingBecause(waitingFor) : undefined}
    >
      {saving === 'saved' && <Check size={14} aria-hidden />}
      {saving === 'saving' && <LoaderCircle size={14} aria-hidden />}
      {saving === 'waiting' && <CloudOff size={14} aria-hidden />}
      {saving === 'waiting' && WORDS.waiting(pending.length)}
      {saving === 'saving' && WORDS.saving}
      {saving === 'saved' && (savedAt ? WORDS.saved(timeWords(savedAt)) : WORDS.nothingYet)}
    </Box>
  );
}

/** The time of day, with the date where it was not today. */
function timeWords(iso: string): string {
  const at = new Date(iso);
  const today = at.toDateString() === new Date().toDateString();
  const time = { hour: '2-digit', minute: '2-digit' } as const;
  return today
    ? at.toLocaleTimeString([], time)
    : at.toLocaleString([], { day: 'numeric', month: 'short', ...time });
}
