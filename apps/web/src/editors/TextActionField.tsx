import OutlinedInput from '@mui/material/OutlinedInput';
import type { Action } from '@nimble-lever/core/setup';
import { useDraft } from '../app/useDraft.ts';
import { WORDS } from './words.ts';

/** Text that is typed by the keyboard of the computer that receives it. */
type Text = Extract<Action, { kind: 'text' }>;

/** A text, and what it must be like. */
interface Props {
  readonly action: Text;
  /** What the field is called; the text to type, if nothing else. */
  readonly label?: string;
  /** What the text must be like to be taken. */
  readonly pattern?: RegExp;
  readonly onChange: (action: Text) => void;
}

/** The text an action types; it saves by itself. */
export function TextActionField({ action, label = WORDS.text, pattern = /./, onChange }: Props) {
  const draft = useDraft(action.text, (text) => {
    // What does not fit is shown as wrong, and what was there before stays.
    if (pattern.test(text)) onChange({ kind: 'text', text });
  });
  return (
    <OutlinedInput
      {...draft}
      fullWidth
      error={!pattern.test(draft.value)}
      inputProps={{ 'aria-label': label, maxLength: 2000, spellCheck: false }}
    />
  );
}
