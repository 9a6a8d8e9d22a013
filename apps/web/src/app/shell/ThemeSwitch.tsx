import IconButton from '@mui/material/IconButton';
import ListItemIcon from '@mui/material/ListItemIcon';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import { Check, SunMoon } from 'lucide-react';
import { useState } from 'react';
import { WORDS } from './words.ts';

/** As the system has it, first: that is what a person expects who never chose. */
const MODES = ['system', 'light', 'dark'] as const;

/** Follows the system, or stays with one theme. */
export function ThemeSwitch() {
  const { mode, setMode } = useColorScheme();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <IconButton
        aria-label={WORDS.theme}
        title={WORDS.theme}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <SunMoon size={20} strokeWidth={1.75} aria-hidden />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {MODES.map((choice) => (
          <MenuItem
            key={choice}
            role="menuitemradio"
            aria-checked={choice === mode}
            onClick={() => {
              setMode(choice);
              setAnchor(null);
            }}
          >
            <ListItemIcon>{choice === mode && <Check size={16} aria-hidden />}</ListItemIcon>
            {WORDS.themes[choice]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
