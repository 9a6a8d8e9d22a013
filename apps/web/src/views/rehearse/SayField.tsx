import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { type FormEvent, useState } from 'react';
import { feed } from '../../app/engine/feed.ts';
import { useAppDispatch } from '../../app/store.ts';
import { WORDS } from './words.ts';

const Form = styled('form')(({ theme: { vars } }) => ({
  flex: '0 1 44%',
  minWidth: 0,
  display: 'flex',
  flexDirection: 'column',
  gap: 6,
  fontSize: 11,
  lineHeight: 1.3,
  color: vars?.palette.text.secondary,
  '& .MuiOutlinedInput-root, & .MuiButton-root': { minHeight: 28, height: 28, fontSize: 12 },
}));

/** Something said, typed as a recogniser would hear it: also what is no phrase, to see what becomes of that. */
export function SayField() {
  const dispatch = useAppDispatch();
  const [text, setText] = useState('');
  const say = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    dispatch(feed({ kind: 'phrase', text: text.trim() }));
    setText('');
  };
  return (
    <Form onSubmit={say}>
      <OutlinedInput
        value={text}
        placeholder={WORDS.say}
        onChange={({ target }) => setText(target.value)}
        inputProps={{ 'aria-label': WORDS.say, maxLength: 200 }}
      />
      <Button type="submit" disabled={text.trim() === ''}>
        {WORDS.sayIt}
      </Button>
      {WORDS.sayHint}
    </Form>
  );
}
