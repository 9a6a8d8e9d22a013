import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import {
  columnOf,
  commandsOf,
  type Place,
  placeEdit,
  proposePlaces,
  type Reach,
  reachOf,
} from '@nimble-lever/core/programs';
import type { Setup } from '@nimble-lever/core/setup';
import { controlUseWords, profileName } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { whereWords } from './useRows.ts';
import { useToBoard } from './useToBoard.ts';

interface Props {
  readonly program: string | null;
  readonly command: string;
  readonly anchor: HTMLElement;
  readonly onClose: () => void;
}

/** Where a command is, to be gone to, and where it could be, to be put there. */
export function PlaceMenu({ program, command, anchor, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const toBoard = useToBoard();
  const { say } = useSay();
  const profile = columnOf(setup, program);
  const places = useMemo(() => proposePlaces(setup, profile, command), [setup, profile, command]);
  const reach = reachOf(setup, profile).get(command) ?? [];
  const name = commandsOf(setup, program).find(({ id }) => id === command)?.name ?? command;
  const put = (place: Place) => {
    dispatch(makeEdit(placeEdit(setup, command, place)));
    say(WORDS.placed(name, controlUseWords(setup, place.slot)));
    onClose();
  };
  const show = (at: Reach) => {
    onClose();
    toBoard(at.slot);
  };
  return (
    <Menu anchorEl={anchor} open onClose={onClose} slotProps={{ paper: { sx: { maxHeight: 420 } } }}>
      {reach.map((at) => (
        <MenuItem
          key={`${at.slot.layer}/${at.slot.device}/${at.slot.control}/${at.slot.trigger}`}
          onClick={() => show(at)}
        >
          {WORDS.showOnBoard}: {whereWords(setup, at)}
        </MenuItem>
      ))}
      {reach.length > 0 && <Divider />}
      <ListSubheader role="presentation" sx={{ lineHeight: '28px', fontSize: 12 }}>
        {places.length > 0 ? WORDS.places : WORDS.noPlaces}
      </ListSubheader>
      {places.map((place) => (
        <MenuItem
          key={`${place.slot.device}/${place.slot.control}/${place.slot.trigger}`}
          onClick={() => put(place)}
        >
          {controlUseWords(setup, place.slot)}
          <small style={{ marginLeft: 'auto', paddingLeft: 24, opacity: 0.8 }}>
            {reasonWords(setup, program, place)}
          </small>
        </MenuItem>
      ))}
    </Menu>
  );
}

/** What speaks for a place, and what it would cover. */
function reasonWords(setup: Setup, program: string | null, { reason, covers }: Place): string {
  const commandName = (id: string) =>
    [...commandsOf(setup, program), ...setup.commonCommands].find((command) => command.id === id)?.name ?? id;
  const covered = covers === null ? '' : `, ${WORDS.covers(profileName(setup, covers))}`;
  switch (reason.kind) {
    case 'same-intent':
      return `${WORDS.reasons.same(reason.profiles.map((id) => profileName(setup, id)).join(', '))}${covered}`;
    case 'beside-pair':
      return `${WORDS.reasons.beside(commandName(reason.command))}${covered}`;
    case 'with-pair':
      return WORDS.reasons.pair(commandName(reason.command));
    case 'free':
      return WORDS.reasons.free;
  }
}
