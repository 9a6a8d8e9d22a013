import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { chooseLayout } from './keyboard.ts';
import { WORDS } from './words.ts';

/** Asks once which keyboard this is, where the browser does not tell. */
export function AskKeyboard() {
  const dispatch = useAppDispatch();
  const known = useAppSelector((state) => state.keyboard.known);
  if (known) return null;
  return (
    <Alert
      severity="info"
      action={
        <>
          <Button size="small" component={Link} to="/settings">
            {WORDS.chooseKeyboard}
          </Button>
          <Button size="small" onClick={() => void dispatch(chooseLayout('us'))}>
            {WORDS.itIsUs}
          </Button>
        </>
      }
    >
      {WORDS.askKeyboard}
    </Alert>
  );
}
