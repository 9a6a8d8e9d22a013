import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { foldName } from '@nimble-lever/core/devices';
import { useEffect, useId, useRef } from 'react';
import { useDraft } from '../app/useDraft.ts';

interface Props {
  readonly name: string;
  /** What others beside it are called: two tabs of one name could not be told apart. */
  readonly others: readonly string[];
  /** Names the field, and says that another has the name. */
  readonly words: { readonly label: string; readonly taken: string };
  readonly onName: (name: string) => void;
  readonly onDone: () => void;
}

/** So long keys that go elsewhere come back: milliseconds. */
const SETTLES_MS = 250;

/** A tab's name while it is being changed; an empty one goes back to what it was, and so does one that another has. */
export function TabName({ name, others, words, onName, onDone }: Props) {
  const hint = useId();
  const isTaken = (text: string) => others.some((other) => foldName(other) === foldName(text));
  const draft = useDraft(name, (text) => {
    const next = text.trim();
    if (next && !isTaken(next)) onName(next);
  });
  const taken = isTaken(draft.value);
  // The menu that it was asked for in gives the keys back to where they were, on a busy machine after this has them.
  const isSettled = useRef(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      isSettled.current = true;
    }, SETTLES_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <div style={{ display: 'flex', alignItems: 'center', gap: 8 }}>
      <OutlinedInput
        {...draft}
        autoFocus
        error={taken}
        onFocus={({ target }) => target.select()}
        onBlur={({ target }) => {
          if (!isSettled.current) {
            setTimeout(() => target.focus());
            return;
          }
          draft.onBlur();
          onDone();
        }}
        onKeyDown={(event) => {
          // Enter on a name that cannot be stays where it can be mended.
          if (event.key === 'Enter' && taken) return;
          draft.onKeyDown(event);
          if (event.key === 'Enter' || event.key === 'Escape') onDone();
        }}
        inputProps={{ 'aria-label': words.label, 'aria-describedby': hint, maxLength: 60 }}
        sx={{ width: 130, minHeight: 24, height: 24 }}
      />
      {taken && (
        <FormHelperText error id={hint} role="alert" sx={{ m: 0, whiteSpace: 'nowrap' }}>
          {words.taken}
        </FormHelperText>
      )}
    </div>
  );
}
