import OutlinedInput from '@mui/material/OutlinedInput';
import { displaySteps } from '@nimble-lever/core/keys';
import { shortcutProblemWords } from '@nimble-lever/core/words';
import { useContext, useState } from 'react';
import { readTyped } from '../../../app/keyboard/typedShortcut.ts';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import { useSay } from '../say.ts';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  /** In our notation; null for none. */
  readonly shortcut: string | null;
  readonly onChange: (shortcut: string | null) => void;
}

/** A shortcut that need not be there, typed by its name. */
export function ShortcutField({ label, placeholder, shortcut, onChange }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const { sayWrong } = useSay();
  const shown = shortcut === null ? '' : displaySteps(shortcut, platform, legends);
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState(false);
  const take = () => {
    if (text.trim() === shown) return setWrong(false);
    if (text.trim() === '') return onChange(null);
    const typed = readTyped(text, platform, legends);
    setWrong(!typed.ok);
    if (typed.ok) onChange(typed.value);
    else sayWrong(shortcutProblemWords(typed.problem));
  };
  return (
    <OutlinedInput
      value={text}
      placeholder={placeholder}
      error={wrong}
      onChange={({ target }) => setText(target.value)}
      onBlur={take}
      onKeyDown={({ key }) => {
        if (key === 'Enter') take();
        if (key === 'Escape') setText(shown);
      }}
      inputProps={{ 'aria-label': label, 'aria-invalid': wrong, maxLength: 120, spellCheck: false }}
      sx={{ height: 26, '& input': { fontSize: 12, fontFamily: (theme) => theme.typography.mono } }}
    />
  );
}
