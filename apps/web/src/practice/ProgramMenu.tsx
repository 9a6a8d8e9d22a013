import Button from '@mui/material/Button';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch } from '../app/store.ts';
import { Keycap } from '../pieces/Keycap.tsx';
import { did } from './deeds.ts';
import { runCommand } from './programKeys.ts';
import { menuPath } from './programs/standIn.ts';
import { type PracticeProgram, standInOf } from './programs/standIns.ts';
import { WORDS } from './words.ts';

const Item = styled(MenuItem)({ display: 'flex', justifyContent: 'space-between', gap: 32 });

/** A program's own menus: every command with its shortcut, as programs show them. */
export function ProgramMenus({
  program,
  name,
}: {
  readonly program: PracticeProgram;
  readonly name: string;
}) {
  const tops = [...new Set(standInOf(program).commands.map((command) => menuPath(command)[0] ?? ''))];
  // The one that has most comes first.
  return [
    ...tops.filter((top) => top === WORDS.commands),
    ...tops.filter((top) => top !== WORDS.commands),
  ].map((top) => <ProgramMenu key={top} program={program} name={name} top={top} />);
}

interface Props {
  readonly program: PracticeProgram;
  readonly name: string;
  /** What the menu is called. */
  readonly top: string;
}

function ProgramMenu({ program, name, top }: Props) {
  const dispatch = useAppDispatch();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const items = standInOf(program)
    .commands.map((command) => ({ ...command, path: menuPath(command) }))
    .filter(({ path }) => path[0] === top);
  const within = [...new Set(items.map(({ path }) => path.slice(1, -1).join(' › ')))];
  return (
    <>
      <Button
        variant="text"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={top === WORDS.commands ? WORDS.commandsOf(name) : WORDS.menuOf(top, name)}
        endIcon={<ChevronDown size={14} aria-hidden />}
        sx={{ minHeight: 24, minWidth: 0, padding: '0 6px', fontSize: 12, backgroundColor: 'transparent' }}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {top}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { sx: { maxHeight: 420 } } }}
      >
        {/* A program's own menu does not go through the engine: it is how the program is used without us. */}
        {within.flatMap((group) => [
          group !== '' && (
            <ListSubheader key={`in ${group}`} role="presentation">
              {group}
            </ListSubheader>
          ),
          ...items
            .filter(({ path }) => path.slice(1, -1).join(' › ') === group)
            .map(({ shortcut, name: command, path }) => (
              <Item
                key={shortcut}
                onClick={() => {
                  setAnchor(null);
                  did({ kind: 'menu-item', path });
                  dispatch(runCommand(program, name, shortcut, false));
                }}
              >
                {command} <Keycap shortcut={shortcut} />
              </Item>
            )),
        ])}
      </Menu>
    </>
  );
}
