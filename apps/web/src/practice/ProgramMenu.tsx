import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch } from '../app/store.ts';
import { Keycap } from '../pieces/Keycap.tsx';
import { runCommand } from './programKeys.ts';
import { type PracticeProgram, standInOf } from './programs/standIns.ts';
import { WORDS } from './words.ts';

const Item = styled(MenuItem)({ display: 'flex', justifyContent: 'space-between', gap: 32 });

/** A program's own menu: every command with its shortcut, as programs show them. */
export function ProgramMenu({ program, name }: { readonly program: PracticeProgram; readonly name: string }) {
  const dispatch = useAppDispatch();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="text"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={WORDS.commandsOf(name)}
        endIcon={<ChevronDown size={14} aria-hidden />}
        sx={{ minHeight: 24, padding: '0 6px', fontSize: 12, backgroundColor: 'transparent' }}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.commands}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { sx: { maxHeight: 420 } } }}
      >
        {/* A program's own menu does not go through the engine: it is how the program is used without us. } */}
        {standInOf(program).commands.map(({ shortcut, name: command }) => (
          <Item
            key={shortcut}
            onClick={() => {
              setAnchor(null);
              dispatch(runCommand(program, name, shortcut, false));
            }}
          >
            {command} <Keycap shortcut={shortcut} />
          </Item>
        ))}
      </Menu>
    </>
  );
}
