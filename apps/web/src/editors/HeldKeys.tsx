import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { displaySteps, parseShortcut } from '@nimble-lever/core/keys';
import { shortcutProblemWords } from '@nimble-lever/core/words';
import { useContext, useState } from 'react';
import { readTyped } from '../app/keyboard/typedShortcut.ts';
import { useDraft } from '../app/useDraft.ts';
import { KeyboardContext } from '../pieces/keyboard.ts';
import { WORDS } from './words.ts';

interface Props {
  /** In our notation; null for none. */
  readonly keys: string | null;
  readonly onChange: (keys: string | null) => void;
}

/** The keys held with the pointer: modifiers, or a key. An empty field is none; what cannot be read is said. */
export function HeldKeys({ keys, onChange }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const [problem, setProblem] = useState<string | null>(null);
  const shown = keys === null ? '' : displaySteps(keys, platform, legends);
  const draft = useDraft(shown, (text) => {
    if (text.trim() === '') {
      setProblem(null);
      onChange(null);
      return;
    }
    const typed = readTyped(text, platform, legends);
    const single = typed.ok ? parseShortcut(typed.value) : typed;
    setProblem(single.ok ? null : shortcutProblemWords(single.problem));
    if (typed.ok && single.ok) onChange(typed.value);
  });
  return (
    <>
      <OutlinedInput
        {...draft}
        error={problem !== null}
        placeholder={WORDS.noKeys}
        inputProps={{ 'aria-label': WORDS.heldKeys, maxLength: 130, spellCheck: false }}
        sx={{ width: 120, '& input': { fontFamily: (theme) => theme.typography.mono } }}
      />
      {problem && (
        <FormHelperText error role="alert" sx={{ flexBasis: '100%', mt: -0.5 }}>
          {problem}
        </FormHelperText>
      )}
    </>
  );
}
