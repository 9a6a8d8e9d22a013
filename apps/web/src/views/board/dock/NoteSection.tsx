import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { Play } from 'lucide-react';
import { useNavigate } from 'react-router';
import { useDraft } from '../../../app/useDraft.ts';
import type { Asked } from '../../../practice/asked.ts';
import { WORDS } from '../words.ts';
import { Section } from './Section.tsx';
import type { CellEdits } from './useCellEdits.ts';

/** A note to self, and the way to the proof. */
export function NoteSection({ edits }: { readonly edits: CellEdits }) {
  const { binding, setNote } = edits;
  const navigate = useNavigate();
  // What is to be tried is in sight there: the program of this column in front, and this row's device.
  const { slot, column } = edits.cell;
  const asked: Asked = { program: column.profile.program, device: slot.device };
  // Typed as a draft: a note of forty words is one edit, not two hundred.
  const note = useDraft(binding?.note ?? '', (text) => setNote(text.trim() || null));
  return (
    <Section title={WORDS.note}>
      <OutlinedInput
        {...note}
        multiline
        // A plain one: the one that grows with its text measures the page at every step of the arrow keys, 16 ms each.
        inputComponent="textarea"
        rows={3}
        disabled={!binding}
        placeholder={WORDS.notePlaceholder}
        inputProps={{ 'aria-label': WORDS.note, maxLength: 1000 }}
        sx={{ padding: 0 }}
      />
      <Button
        variant="contained"
        startIcon={<Play size={16} aria-hidden />}
        sx={{ alignSelf: 'flex-start', marginTop: 1 }}
        onClick={() => navigate('/rehearse', { state: asked })}
      >
        {WORDS.rehearse}
      </Button>
    </Section>
  );
}
