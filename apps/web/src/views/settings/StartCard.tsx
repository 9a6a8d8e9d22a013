import Button from '@mui/material/Button';
import { emptySetupEdit } from '@nimble-lever/core/programs';
import { useNavigate } from 'react-router';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Card } from '../../pieces/Card.tsx';
import { WORDS } from './words.ts';

/** Puts away what is arranged, the demo for instance, and begins with nothing. */
export function StartCard() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const setup = useAppSelector(selectSetup);
  const start = () => {
    dispatch(makeEdit(emptySetupEdit(setup, WORDS.newName)));
    void navigate('/board');
  };
  return (
    <Card aria-labelledby="start-settings">
      <h2 id="start-settings">{WORDS.start}</h2>
      <p>{WORDS.startMeans(setup.name)}</p>
      <div>
        <Button onClick={start}>{WORDS.startEmpty}</Button>
      </div>
    </Card>
  );
}
