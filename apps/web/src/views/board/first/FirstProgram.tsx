import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { addProgram, READY_LISTS } from '@nimble-lever/core/programs';
import { newCommand } from '@nimble-lever/core/setup';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectCompiled, selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { useUnknownWindows } from '../../../practice/useUnknownWindows.ts';
import { WORDS } from './words.ts';

/** No list: the commands come later. */
const NONE = '';

/** The program one works in: its name, and commands to begin with. */
export function FirstProgram() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const [name, setName] = useState('');
  const [list, setList] = useState(NONE);
  const { programs } = setup;
  const unknown = useUnknownWindows(useAppSelector(selectCompiled));
  const add = (called: string, executable: string) => {
    const ready = READY_LISTS.find(({ program }) => program === list);
    const commands = (ready?.commands ?? []).map((command) => newCommand({ ...command, id: 'new' }));
    const keysBy = ready?.keysBy ?? 'character';
    dispatch(makeEdit(addProgram(setup, { name: called, keysBy, commands }, executable).edit));
    setName('');
  };
  const addNamed = (event: FormEvent) => {
    event.preventDefault();
    // Most programs are called as their file is; where this one is not, its rule says so under Windows.
    if (name.trim() !== '') add(name.trim(), name.trim());
  };
  return (
    <>
      <p>{WORDS.programMeans}</p>
      <form className="choices" onSubmit={addNamed}>
        <OutlinedInput
          value={name}
          placeholder={WORDS.programName}
          onChange={({ target }) => setName(target.value)}
          inputProps={{ 'aria-label': WORDS.programName, maxLength: 60 }}
          sx={{ width: 200 }}
        />
        {WORDS.commandsOf}
        <ChoiceField
          label={WORDS.commandsOf}
          value={list}
          options={[[NONE, WORDS.noList], ...READY_LISTS.map(({ program }) => [program, program] as const)]}
          onChange={setList}
        />
        <Button type="submit" disabled={name.trim() === ''}>
          {WORDS.add}
        </Button>
      </form>
      {unknown.length > 0 && (
        <div className="choices">
          {WORDS.openNow}
          {unknown.map((window) => (
            <Button key={window.id} onClick={() => add(window.name, window.executable)}>
              {window.name}
            </Button>
          ))}
        </div>
      )}
      {programs.length > 0 && (
        <div className="choices">
          <span>{WORDS.there(programs.map((program) => program.name).join(', '))}</span>
          <Button component={Link} to="/programs?do=list">
            {WORDS.pasteList}
          </Button>
        </div>
      )}
    </>
  );
}
