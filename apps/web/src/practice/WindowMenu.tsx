import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { AppWindow } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { Keycap } from '../pieces/Keycap.tsx';
import { commandWindows, raiseWindow } from './frontWindow.ts';
import { WINDOW_SHORTCUTS } from './windowShortcuts.ts';
import { WINDOW_COMMANDS } from './windows.ts';
import { WORDS } from './words.ts';

const Item = styled(MenuItem)({ display: 'flex', justifyContent: 'space-between', gap: 32 });

/** What the desk can do with a window, with the shortcuts of the person's platform. */
export function WindowMenu({ id, name }: { readonly id: string; readonly name: string }) {
  const dispatch = useAppDispatch();
  const platform = useAppSelector((state) => state.keyboard.platform);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="text"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={WORDS.windowMenu(name)}
        title={WORDS.window}
        sx={{ minWidth: 26, minHeight: 24, padding: 0, backgroundColor: 'transparent' }}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        <AppWindow size={15} aria-hidden />
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {WINDOW_COMMANDS.map((command) => (
          <Item
            key={command}
            onClick={() => {
              setAnchor(null);
              dispatch(raiseWindow(id));
              dispatch(commandWindows(command));
            }}
          >
            {WORDS.windowCommands[command]} <Keycap shortcut={WINDOW_SHORTCUTS[platform][command]} />
          </Item>
        ))}
      </Menu>
    </>
  );
}
