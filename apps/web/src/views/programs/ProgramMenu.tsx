import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { copyProgram, type Removal, removeProgram } from '@nimble-lever/core/programs';
import type { Program } from '@nimble-lever/core/setup';
import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { raiseWindow } from '../../practice/frontWindow.ts';
import { windowOfProgram } from '../../practice/windowOfProgram.ts';
import { moveProgram } from './moveProgram.ts';
import { ProgramDialog } from './ProgramDialog.tsx';
import { useSay } from './say.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly program: Program;
  readonly onShow: (program: string | null) => void;
}

/** What can be done with a program as a whole. */
export function ProgramMenu({ program, onShow }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // Worked out when the menu opens: what hangs on it is told before it goes.
  const [removal, setRemoval] = useState<Removal | null>(null);
  const [editing, setEditing] = useState(false);
  const { id, name } = program;
  const { programs } = setup;
  const at = programs.findIndex((each) => each.id === id);
  const window = windowOfProgram(program);
  const close = () => setAnchor(null);
  const does = (act: () => void) => () => {
    close();
    act();
  };
  const copy = () => {
    const made = copyProgram(setup, id);
    if (!made) return;
    dispatch(makeEdit(made.edit));
    onShow(made.id);
    say(WORDS.copied(WORDS.copyOf(name)));
  };
  const remove = () => {
    const next = programs[at + 1] ?? programs[at - 1];
    dispatch(makeEdit(removeProgram(setup, id).edit));
    onShow(next?.id ?? null);
    say(WORDS.removed(name));
  };
  return (
    <>
      <button
        type="button"
        aria-label={WORDS.more(name)}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => {
          setRemoval(removeProgram(setup, id));
          setAnchor(currentTarget);
        }}
      >
        <Ellipsis size={16} aria-hidden />
      </button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        <MenuItem onClick={does(() => setEditing(true))}>{WORDS.edit}</MenuItem>
        <MenuItem onClick={does(copy)}>{WORDS.copy}</MenuItem>
        {window && <MenuItem onClick={does(() => dispatch(raiseWindow(window)))}>{WORDS.bring}</MenuItem>}
        <MenuItem disabled={at <= 0} onClick={() => dispatch(moveProgram(id, -1))}>
          {WORDS.up}
        </MenuItem>
        <MenuItem disabled={at === programs.length - 1} onClick={() => dispatch(moveProgram(id, 1))}>
          {WORDS.down}
        </MenuItem>
        <Divider />
        <MenuItem onClick={does(remove)}>{removal ? WORDS.removes(removal) : WORDS.remove}</MenuItem>
      </Menu>
      {editing && <ProgramDialog program={program} onClose={() => setEditing(false)} />}
    </>
  );
}
