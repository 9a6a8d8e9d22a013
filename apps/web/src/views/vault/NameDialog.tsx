import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { nameSchema } from '@nimble-lever/core/devices';
import { type FormEvent, type ReactNode, useId, useState } from 'react';
import { WORDS } from './words.ts';

const Form = styled('form')(({ theme: { vars } }) => ({
  width: 480,
  maxWidth: '100%',
  padding: 20,
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  '& h2, & p': { margin: 0 },
  '& h2': { fontSize: 15, fontWeight: 650 },
  '& .field': { display: 'flex', flexDirection: 'column', gap: 4, fontSize: 12 },
  '& .field, & p': { color: vars?.palette.text.secondary },
  '& .end': { display: 'flex', justifyContent: 'flex-end', gap: 8, marginTop: 4 },
}));

/** The longest note that is kept: characters. */
const MOST_NOTE = 500;

interface Props {
  readonly title: string;
  readonly name: string;
  /** Undefined where there is no note. */
  readonly note?: string | null;
  readonly action: string;
  /** Under the fields. */
  readonly children?: ReactNode;
  /** Why it was not done, in words. */
  readonly failed: string | null;
  readonly isBusy: boolean;
  readonly onDone: (name: string, note: string | null) => void;
  readonly onClose: () => void;
}

/** Asks for a name, and a note where there is one. */
export function NameDialog({
  title,
  note,
  action,
  children,
  failed,
  isBusy,
  onDone,
  onClose,
  ...given
}: Props) {
  const heading = useId();
  const problem = useId();
  const [name, setName] = useState(given.name);
  const [text, setText] = useState(note ?? '');
  const [isWrong, setWrong] = useState(false);
  const finish = (event: FormEvent) => {
    event.preventDefault();
    const named = nameSchema.safeParse(name.trim());
    if (!named.success) return setWrong(true);
    onDone(named.data, text.trim() === '' ? null : text.trim());
  };
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby={heading}>
      <Form onSubmit={finish} noValidate>
        <h2 id={heading}>{title}</h2>
        <label className="field" htmlFor={`${heading}name`}>
          {WORDS.name}
          <OutlinedInput
            autoFocus
            id={`${heading}name`}
            value={name}
            error={isWrong}
            onFocus={({ target }) => target.select()}
            onChange={({ target }) => {
              setName(target.value);
              setWrong(false);
            }}
            inputProps={{ maxLength: 60, 'aria-describedby': isWrong ? problem : undefined }}
          />
        </label>
        {isWrong && (
          <FormHelperText error id={problem} role="alert">
            {WORDS.nameMissing}
          </FormHelperText>
        )}
        {note !== undefined && (
          <label className="field" htmlFor={`${heading}note`}>
            {WORDS.note}
            <OutlinedInput
              id={`${heading}note`}
              multiline
              minRows={2}
              value={text}
              onChange={({ target }) => setText(target.value)}
              inputProps={{ maxLength: MOST_NOTE }}
            />
          </label>
        )}
        {children}
        {failed !== null && (
          <FormHelperText error role="alert">
            {failed}
          </FormHelperText>
        )}
        <div className="end">
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button type="submit" variant="contained" disabled={isBusy}>
            {action}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
