import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { foldName, nameSchema } from '@nimble-lever/core/devices';
import { addProgram } from '@nimble-lever/core/programs';
import { changesOf, itemAt, newProgram, type Program } from '@nimble-lever/core/setup';
import { type FormEvent, type ReactNode, useId, useState } from 'react';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ColourField } from '../../editors/ColourField.tsx';
import { IconField } from '../../editors/IconField.tsx';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { ProgramSign } from './ProgramSign.tsx';
import { WORDS } from './words.ts';

const Form = styled('form')(({ theme: { vars } }) => ({
  width: 460,
  maxWidth: '100%',
  padding: 20,
  display: 'grid',
  gridTemplateColumns: '120px minmax(0, 1fr)',
  alignItems: 'center',
  gap: '12px 14px',
  '& h2': {
    gridColumn: '1 / -1',
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    margin: 0,
    fontSize: 15,
    fontWeight: 650,
  },
  '& p': { gridColumn: 2, margin: '-6px 0 0', fontSize: 12, color: vars?.palette.text.secondary },
  '& .buttons': { gridColumn: '1 / -1', display: 'flex', justifyContent: 'flex-end', gap: 8 },
}));
interface Props {
  /** The program that is changed; null for a new one. */
  readonly program: Program | null;
  readonly onClose: () => void;
  readonly onAdded?: (program: string) => void;
}

/** What a program is called, how it is known in lists, and by what it reads keys; for a new one also its program file. */
export function ProgramDialog({ program, onClose, onAdded }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const title = useId();
  const problem = useId();
  const [draft, setDraft] = useState(() => program ?? newProgram({ id: 'new', name: '' }));
  const [executable, setExecutable] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (fields: Partial<Program>) => {
    setDraft({ ...draft, ...fields });
    setWrong(null);
  };
  const finish = (event: FormEvent) => {
    event.preventDefault();
    const name = nameSchema.safeParse(draft.name.trim());
    if (!name.success) return setWrong(WORDS.nameMissing);
    const same = setup.programs.some(
      (other) => other.id !== program?.id && foldName(other.name) === foldName(name.data),
    );
    if (same) return setWrong(WORDS.nameTaken(name.data));
    const named = { ...draft, name: name.data };
    if (program) dispatch(makeEdits(changesOf(itemAt.program(program.id), program, named)));
    else {
      const { rules: _none, ...given } = named;
      const made = addProgram(setup, given, executable.trim() || null);
      dispatch(makeEdit(made.edit));
      onAdded?.(made.id);
    }
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby={title}>
      <Form onSubmit={finish} noValidate>
        <h2 id={title}>
          <ProgramSign colour={draft.colour} icon={draft.icon} />
          {program ? WORDS.editTitle(program.name) : WORDS.newTitle}
        </h2>
        <Field name={WORDS.name}>
          <OutlinedInput
            autoFocus
            value={draft.name}
            error={wrong !== null}
            onChange={({ target }) => set({ name: target.value })}
            inputProps={{
              'aria-label': WORDS.name,
              'aria-describedby': wrong ? problem : undefined,
              maxLength: 60,
            }}
          />
        </Field>
        {wrong && (
          <FormHelperText error id={problem} role="alert" sx={{ gridColumn: 2, mt: -2 }}>
            {wrong}
          </FormHelperText>
        )}
        {!program && (
          <>
            <Field name={WORDS.executable}>
              <OutlinedInput
                value={executable}
                onChange={({ target }) => setExecutable(target.value)}
                inputProps={{ 'aria-label': WORDS.executable, maxLength: 200, spellCheck: false }}
                sx={{ '& input': { fontFamily: (theme) => theme.typography.mono } }}
              />
            </Field>
            <p>{WORDS.executableHint}</p>
          </>
        )}
        <Field name={WORDS.keysBy}>
          <ChoiceField
            label={WORDS.keysBy}
            value={draft.keysBy}
            options={[
              ['character', WORDS.keysByNames.character],
              ['place', WORDS.keysByNames.place],
            ]}
            onChange={(keysBy) => set({ keysBy })}
          />
        </Field>
        <p>{WORDS.keysByMeans}</p>
        <Field name={WORDS.colour}>
          <ColourField colour={draft.colour} onChange={(colour) => set({ colour })} />
        </Field>
        <Field name={WORDS.sign}>
          <IconField icon={draft.icon} onChange={(icon) => set({ icon })} />
        </Field>
        <div className="buttons">
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button type="submit" variant="contained">
            {program ? WORDS.done : WORDS.addIt}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}

/** A field with its name at the left. */
function Field({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <>
      <span aria-hidden>{name}</span>
      {children}
    </>
  );
}
