import Alert from '@mui/material/Alert';
import { styled } from '@mui/material/styles';
import { editWords, refusalWords } from '@nimble-lever/core/words';
import { AskKeyboard } from '../keyboard/AskKeyboard.tsx';
import { selectSetup } from '../setup/selectors.ts';
import { noticeClosed } from '../setup/setupSlice.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { WORDS } from './words.ts';

const Stack = styled('div')({
  position: 'fixed',
  top: 56,
  right: 16,
  zIndex: 1400,
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  maxWidth: 420,
});

/** Edits that could not be kept: what, why, and what stays. */
export function Notices() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const notices = useAppSelector((state) => state.setup.notices);
  return (
    <Stack>
      <AskKeyboard />
      {notices.map(({ id, edit, refusal, detail }) => (
        <Alert key={id} severity="error" closeText={WORDS.close} onClose={() => dispatch(noticeClosed(id))}>
          {WORDS.notKept(editWords(setup, edit))} {refusal ? refusalWords(refusal) : detail}
        </Alert>
      ))}
    </Stack>
  );
}
