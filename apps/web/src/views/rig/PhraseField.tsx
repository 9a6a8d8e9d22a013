import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { type Control, cutName, foldPhrase, readWordings, wordingsOf } from '@nimble-lever/core/devices';
import type { Setup } from '@nimble-lever/core/setup';
import { useState } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly control: Control;
  readonly onChange: (control: Control) => void;
}

/**
 * What is said for a control, with its other wordings behind bars. The same wording for two controls is refused here, at
 * the field: only the first of them would ever be heard.
 */
export function PhraseField({ control, onChange }: Props) {
  const setup = useAppSelector(selectSetup);
  const [refused, setRefused] = useState<string | null>(null);
  const draft = useDraft(wordingsOf(control), (line) => {
    const said = readWordings(line);
    if (!said) return;
    const taken = takenBy(setup, control, [said.phrase, ...said.spellings]);
    setRefused(taken);
    // A phrase is called what is said, cut to what a name may be.
    if (taken === null) onChange({ ...control, name: cutName(said.phrase), ...said });
  });
  return (
    <div>
      <OutlinedInput
        {...draft}
        // A phrase that was just added is there to be said otherwise.
        autoFocus={control.phrase?.startsWith(WORDS.newPhrase) ?? false}
        onFocus={({ target }) => target.value.startsWith(WORDS.newPhrase) && target.select()}
        error={refused !== null}
        inputProps={{ 'aria-label': WORDS.phraseOf(control.name), maxLength: 400 }}
        sx={{ width: 290 }}
      />
      <FormHelperText error={refused !== null} role={refused ? 'alert' : undefined} sx={{ mx: 0 }}>
        {refused ?? WORDS.wordingsHint}
      </FormHelperText>
    </div>
  );
}

/** Why a wording cannot be taken: which other control is said by it. Null where all are free. */
function takenBy({ devices }: Setup, own: Control, wordings: readonly string[]): string | null {
  for (const device of devices) {
    for (const other of device.controls) {
      if (other.phrase === null || other.id === own.id) continue;
      const known = new Set([other.phrase, ...other.spellings].map(foldPhrase));
      const twice = wordings.find((wording) => known.has(foldPhrase(wording)));
      if (twice !== undefined) return WORDS.phraseTaken(twice, `${device.name}, “${other.phrase}”`);
    }
  }
  return null;
}
