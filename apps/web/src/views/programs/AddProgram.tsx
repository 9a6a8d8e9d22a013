import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { type CommandList, readCommandList } from '@nimble-lever/core/formats';
import { addProgram, copyProgram, type Made, READY_LISTS } from '@nimble-lever/core/programs';
import { newCommand } from '@nimble-lever/core/setup';
import { formatProblemWords } from '@nimble-lever/core/words';
import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectCompiled, selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import type { DeskWindow } from '../../practice/deskSlice.ts';
import { useUnknownWindows } from '../../practice/useUnknownWindows.ts';
import { TextFile } from './importing/TextFile.tsx';
import { useSay } from './say.ts';
import { WORDS } from './words.ts';

interface Props {
  /** The program that can be copied; null for Everywhere. */
  readonly current: string | null;
  readonly onAdded: (program: string) => void;
  /** A list of commands for the program that was added, still to be looked at. */
  readonly onList: (text: string) => void;
  /** It is named by hand. */
  readonly onName: () => void;
}

/** A program more: from a window that is open, by its name, from a file, or a copy of the one shown. */
export function AddProgram({ current, onAdded, onList, onName }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say, sayWrong } = useSay();
  const unknown = useUnknownWindows(useAppSelector(selectCompiled));
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const own = setup.programs.find(({ id }) => id === current);
  const close = () => setAnchor(null);
  const add = (made: Made | null, words?: string) => {
    close();
    if (!made) return;
    dispatch(makeEdit(made.edit));
    onAdded(made.id);
    if (words) say(words);
  };
  const fromList = (name: string, keysBy: CommandList['keysBy'], commands: CommandList['commands']) => {
    const items = commands.map((command) => newCommand({ ...command, id: 'new' }));
    return addProgram(setup, { name, keysBy, commands: items }, null);
  };
  const fromWindow = ({ name, executable }: DeskWindow) =>
    add(addProgram(setup, { name }, executable), WORDS.copied(name));
  const fromFile = (text: string, file: string) => {
    if (!/^\ufeff?\s*[[{]/.test(text)) {
      // A list in another form says no program: it is called as the file, and its commands are looked at first.
      add(addProgram(setup, { name: file.replace(/\.[^.]*$/, '') || file }, null));
      return onList(text);
    }
    const read = readCommandList(text);
    if (!read.ok) {
      const [first] = read.problem;
      const why = first ? formatProblemWords(first) : '';
      return sayWrong(WORDS.wrongFile(file, `${why.charAt(0).toUpperCase()}${why.slice(1)}`));
    }
    const { program, keysBy, commands } = read.value;
    add(fromList(program, keysBy, commands), WORDS.addedFrom(program, commands.length));
  };
  return (
    <>
      <Button
        variant="contained"
        startIcon={<Plus size={16} aria-hidden />}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.add}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close}
        slotProps={{ paper: { sx: { maxHeight: 520 } } }}
      >
        <MenuItem
          onClick={() => {
            close();
            onName();
          }}
        >
          {WORDS.byHand}
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            picker.current?.click();
          }}
        >
          {WORDS.fromFile}
        </MenuItem>
        {own && (
          <MenuItem onClick={() => add(copyProgram(setup, own.id), WORDS.copied(WORDS.copyOf(own.name)))}>
            {WORDS.copyOf(own.name)}
          </MenuItem>
        )}
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: '28px', fontSize: 12 }}>
          {WORDS.readyMade}
        </ListSubheader>
        {READY_LISTS.map(({ program, keysBy, commands }) => (
          <MenuItem key={program} onClick={() => add(fromList(program, keysBy, commands))}>
            {program}
            <small style={{ marginLeft: 'auto', paddingLeft: 24, opacity: 0.75 }}>
              {WORDS.commands(commands.length)}
            </small>
          </MenuItem>
        ))}
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: '28px', fontSize: 12 }}>
          {unknown.length > 0 ? WORDS.openNow : WORDS.nothingOpen}
        </ListSubheader>
        {unknown.map((window) => (
          <MenuItem key={window.id} onClick={() => fromWindow(window)}>
            {window.name}
            <small style={{ marginLeft: 'auto', paddingLeft: 24, opacity: 0.75 }}>{window.title}</small>
          </MenuItem>
        ))}
      </Menu>
      <TextFile inputRef={picker} onText={fromFile} />
    </>
  );
}
