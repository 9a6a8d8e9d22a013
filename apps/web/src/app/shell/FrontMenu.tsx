import Divider from '@mui/material/Divider';
import ListItemIcon from '@mui/material/ListItemIcon';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { profileName } from '@nimble-lever/core/words';
import { Archive, Check } from 'lucide-react';
import { Link } from 'react-router';
import { pinProfile, stepProfile } from '../engine/pinning.ts';
import { selectSetup } from '../setup/selectors.ts';
import { openSetUp, useSetUps } from '../setup/setUps.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { SET_UP_WORDS } from './setUpWords.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly anchor: HTMLElement;
  /** The profile that is stayed with; null where the front decides. */
  readonly pinned: string | null;
  readonly onClose: () => void;
}

/** Which profile applies, and which set-up is open. */
export function FrontMenu({ anchor, pinned, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const own = useAppSelector((state) => state.setup.id);
  const { setUps } = useSetUps();
  const pin = (profile: string | null) => {
    dispatch(pinProfile(profile));
    onClose();
  };
  const others = setUps.filter(({ binnedAt, id }) => binnedAt === null || id === own);
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      <Choice chosen={pinned === null} name={WORDS.automatic} onChoose={() => pin(null)} />
      {/* The menu stays: one goes on until the right one is named above. */}
      <MenuItem onClick={() => dispatch(stepProfile(1))}>
        <ListItemIcon />
        {WORDS.nextProfile}
      </MenuItem>
      <MenuItem onClick={() => dispatch(stepProfile(-1))}>
        <ListItemIcon />
        {WORDS.previousProfile}
      </MenuItem>
      {Object.keys(setup.profiles).map((id) => (
        <Choice
          key={id}
          chosen={pinned === id}
          name={WORDS.pin(profileName(setup, id))}
          onChoose={() => pin(id)}
        />
      ))}
      <Divider />
      <ListSubheader role="presentation" sx={{ lineHeight: '32px' }}>
        {SET_UP_WORDS.setUps}
      </ListSubheader>
      {others.map(({ id, name }) => (
        <Choice
          key={id}
          chosen={id === own}
          name={name}
          onChoose={() => {
            onClose();
            if (id !== own) openSetUp(id);
          }}
        />
      ))}
      <MenuItem component={Link} to="/vault?tab=set-ups" onClick={onClose}>
        <ListItemIcon>
          <Archive size={16} aria-hidden />
        </ListItemIcon>
        {SET_UP_WORDS.allSetUps}
      </MenuItem>
    </Menu>
  );
}

/** A profile that can be stayed with, "automatic", or a set-up. */
interface ChoiceProps {
  readonly chosen: boolean;
  readonly name: string;
  readonly onChoose: () => void;
}

/** A line of the menu, ticked where it holds. */
function Choice({ chosen, name, onChoose, ...item }: ChoiceProps) {
  return (
    <MenuItem {...item} role="menuitemradio" aria-checked={chosen} onClick={onChoose}>
      <ListItemIcon>{chosen && <Check size={16} aria-hidden />}</ListItemIcon>
      {name}
    </MenuItem>
  );
}
