import { styled } from '@mui/material/styles';
import {
  AppWindow,
  Archive,
  Joystick,
  LayoutPanelLeft,
  ListOrdered,
  Play,
  Settings2,
  Table2,
} from 'lucide-react';
import { NavLink } from 'react-router';
import { Logo } from './Logo.tsx';
import { ThemeSwitch } from './ThemeSwitch.tsx';
import { WORDS } from './words.ts';

const Nav = styled('nav')(({ theme: { vars } }) => ({
  width: 72,
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  gap: 2,
  padding: '10px 4px',
  color: vars?.palette.tokens.onRailSoft,
  backgroundColor: vars?.palette.tokens.rail,
  '& .fill': { flex: 1 },
  '& .logo': { height: 40 },
  // The accent of the theme would not be seen on the dark rail.
  '& :focus-visible': { outlineColor: vars?.palette.tokens.railAccent },
}));

/** What belongs together stands together. */
const Group = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 2,
  '& + &': { marginTop: 6, paddingTop: 8, borderTop: `1px solid ${vars?.palette.tokens.railRaised}` },
}));

const Place = styled(NavLink)(({ theme: { vars } }) => ({
  width: 64,
  height: 56,
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 5,
  borderRadius: 8,
  fontSize: 11,
  textDecoration: 'none',
  color: 'inherit',
  borderLeft: '3px solid transparent',
  '&:hover': { color: vars?.palette.tokens.onRail },
  '&[aria-current=page]': {
    color: vars?.palette.tokens.onRail,
    backgroundColor: vars?.palette.tokens.railRaised,
    borderLeftColor: vars?.palette.tokens.railAccent,
  },
}));

/** The views there are, in the order of the work: arranged first, then proven, then kept. */
const GROUPS = [
  [
    { to: '/board', name: WORDS.board, icon: Table2 },
    { to: '/rig', name: WORDS.rig, icon: Joystick },
    { to: '/programs', name: WORDS.programs, icon: AppWindow },
    { to: '/macros', name: WORDS.macros, icon: ListOrdered },
    { to: '/panels', name: WORDS.panels, icon: LayoutPanelLeft },
  ],
  [{ to: '/rehearse', name: WORDS.rehearse, icon: Play }],
  [{ to: '/vault', name: WORDS.vault, icon: Archive }],
] as const;

/** The views, on the left of every one. */
export function Rail() {
  return (
    <Nav aria-label={WORDS.views}>
      <span className="logo">
        <Logo />
      </span>
      {GROUPS.map((places) => (
        <Group key={places[0].to}>
          {places.map(({ to, name, icon: Icon }) => (
            <Place key={to} to={to}>
              <Icon size={20} strokeWidth={1.75} aria-hidden />
              {name}
            </Place>
          ))}
        </Group>
      ))}
      <span className="fill" />
      <ThemeSwitch />
      <Place to="/settings">
        <Settings2 size={20} strokeWidth={1.75} aria-hidden />
        {WORDS.settings}
      </Place>
    </Nav>
  );
}
