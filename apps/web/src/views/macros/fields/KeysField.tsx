import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { displaySteps, parseShortcut } from '@nimble-lever/core/keys';
import { shortcutProblemWords } from '@nimble-lever/core/words';
import { useContext, useState } from 'react';
import { readTyped } from '../../../app/keyboard/typedShortcut.ts';
import { useDraft } from '../../../app/useDraft.ts';
import { Composer } from '../../../editors/Composer.tsx';
import { LiveRecorder } from '../../../editors/LiveRecorder.tsx';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import { WORDS } from '../words.ts';

interface Props {
  /** In our notation. */
  readonly keys: string;
  /** Whether it listens at once, as for a step that is new. */
  readonly listens: boolean;
  readonly onChange: (keys: string) => void;
}

/** One shortcut: typed, recorded, or put together from keys on screen. */
export function KeysField({ keys, listens, onChange }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const [recording, setRecording] = useState(listens);
  const [composing, setComposing] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const draft = useDraft(displaySteps(keys, platform, legends), (text) => {
    const typed = readTyped(text, platform, legends);
    const single = typed.ok ? parseShortcut(typed.value) : typed;
    setProblem(single.ok ? null : shortcutProblemWords(single.problem));
    if (typed.ok && single.ok) onChange(typed.value);
  });
  const take = (notation: string) => {
    // One step of a shortcut is one step here; the newest counts.
    const [last] = notation.split(/, (?=\S)/).slice(-1);
    if (last) onChange(last);
    return null;
  };
  return (
    <>
      {recording ? (
        <LiveRecorder
          keysBy="character"
          onTaken={take}
          onCompose={() => {
            setRecording(false);
            setComposing(true);
          }}
          onLeave={() => setRecording(false)}
        />
      ) : (
        <div className="line">
          <OutlinedInput
            {...draft}
            fullWidth
            error={problem !== null}
            inputProps={{ 'aria-label': WORDS.keysOfStep, maxLength: 130, spellCheck: false }}
            sx={{ '& input': { fontFamily: (theme) => theme.typography.mono } }}
          />
          <Button onClick={() => setRecording(true)}>{WORDS.recordKeys}</Button>
        </div>
      )}
      {problem && (
        <FormHelperText error role="alert" sx={{ m: 0 }}>
          {problem}
        </FormHelperText>
      )}
      <Composer
        open={composing}
        keysBy="character"
        onUse={(notation) => {
          take(notation);
          setComposing(false);
        }}
        onClose={() => setComposing(false)}
      />
    </>
  );
}
