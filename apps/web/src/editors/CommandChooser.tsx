import Autocomplete from '@mui/material/Autocomplete';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { describeAction } from '@nimble-lever/core/words';
import type { RefObject } from 'react';
import { Keycap } from '../pieces/Keycap.tsx';
import { type ActionChoice, actionChoices, choiceId } from './actionChoices.ts';
import type { ActionTarget } from './actionTarget.ts';
import { WORDS } from './words.ts';

const Option = styled('li')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 8,
  fontSize: 13,
  '& .name': { flex: 1 },
  '& kbd': { color: vars?.palette.text.primary },
}));

/** What is chosen goes to `target`, as one edit. */
interface Props {
  readonly target: ActionTarget;
  /** The field, for who leads the keys to it. */
  readonly inputRef?: RefObject<HTMLInputElement | null>;
  /** A radial menu is to be made first. */
  readonly onNewMenu: () => void;
  /** Chosen or left: the keys go back to where they were. */
  readonly onDone: () => void;
}

/** The commands of the program, the common ones, and all else a control can do, by search. */
export function CommandChooser({ target, inputRef, onNewMenu, onDone }: Props) {
  const { setup, profile, action, setAction } = target;
  const choices = actionChoices(target);
  // What the cell does now, also when it is nothing that the list has: then it stands where the choice would.
  const info = action && describeAction(setup, profile, action);
  const own = action && (info?.command ? `command ${info.command.id}` : choiceId(action));
  // Chosen by id, which stays the same while the set-up changes: with another value, what is typed is forgotten.
  const value = own && choices.some(({ id }) => id === own) ? own : null;
  const placeholder = info && !value ? info.name : WORDS.chooseCommand;
  return (
    <Autocomplete
      key={target.place}
      options={choices}
      value={value}
      groupBy={({ group }) => group}
      getOptionLabel={(option) => option.name}
      getOptionValue={({ id }) => id}
      filterOptions={(options, { inputValue }) => matching(options, inputValue)}
      // Delete on the cell goes back to inherit; a cross in the field would be a second way to the same.
      disableClearable={value !== null}
      openOnFocus
      selectOnFocus
      autoHighlight
      blurOnSelect
      size="small"
      onChange={(_event, id) => {
        const choice = choices.find((choice) => choice.id === id);
        if (choice?.action && choice.other) target.pair?.set(choice.action, choice.other);
        else if (choice?.action) setAction(choice.action);
        else if (choice) return onNewMenu();
        onDone();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone();
      }}
      slotProps={{
        // Upwards: the dock is at the bottom, and a list that flips about hides the cell it is for.
        popper: {
          placement: 'top-start',
          modifiers: [{ name: 'flip', enabled: false }],
          // As wide as the longest entry needs, whatever the field's width is.
          sx: { width: 'max-content !important', minWidth: 240, maxWidth: 480 },
        },
        listbox: { sx: { maxHeight: 320 } },
      }}
      renderOption={({ key, ...props }, option) => (
        <Option key={key} {...props}>
          <span className="name">{option.name}</span>
          {option.shortcut && <Keycap shortcut={option.shortcut} />}
        </Option>
      )}
      renderInput={(params) => (
        <TextField
          {...params}
          inputRef={inputRef}
          placeholder={placeholder}
          aria-label={WORDS.chooseCommand}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, 'aria-label': WORDS.chooseCommand },
          }}
        />
      )}
    />
  );
}

/**
 * What has in its name or shortcut all that was typed; one that is called exactly that comes first of its group, and its
 * group first, so that a full name and Enter choose it.
 */
function matching(choices: readonly ActionChoice[], typed: string): ActionChoice[] {
  const text = typed.trim().toLowerCase();
  const words = text.split(/\s+/).filter(Boolean);
  const fitting = choices.filter(({ name, shortcut }) =>
    words.every((word) => `${name} ${shortcut ?? ''}`.toLowerCase().includes(word)),
  );
  const exact = fitting.find(({ name }) => name.toLowerCase() === text);
  if (!exact) return fitting;
  const rank = ({ id, group }: ActionChoice) => (id === exact.id ? 0 : group === exact.group ? 1 : 2);
  return fitting.toSorted((a, b) => rank(a) - rank(b));
}
