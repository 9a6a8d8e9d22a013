import Autocomplete from '@mui/material/Autocomplete';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import type { Command } from '@nimble-lever/core/setup';
import { describeAction } from '@nimble-lever/core/words';
import type { RefObject } from 'react';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { WORDS } from '../words.ts';
import type { CellEdits } from './useCellEdits.ts';

const Option = styled('li')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 8,
  fontSize: 13,
  '& .bar': { width: 4, alignSelf: 'stretch', borderRadius: 2 },
  '& .name': { flex: 1 },
  '& kbd': { color: vars?.palette.text.primary },
}));

interface Choice extends Command {
  readonly group: string;
}

interface Props {
  readonly edits: CellEdits;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  /** Chosen or left: the keys go back to the cell. */
  readonly onDone: () => void;
}

/** The commands of the program and the common ones, by search. */
export function CommandChooser({ edits, inputRef, onDone }: Props) {
  const { setup, cell, binding, setAction } = edits;
  const { profile, name } = cell.column;
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  const choices: Choice[] = [
    ...own.map((command) => ({ ...command, group: name })),
    ...setup.commonCommands.map((command) => ({ ...command, group: 'Common' })),
  ];
  const { behaviour } = binding ?? {};
  const info = behaviour?.kind === 'action' ? describeAction(setup, profile, behaviour.action) : null;
  const value = choices.find(({ id }) => id === info?.command?.id) ?? null;
  const placeholder = info && !value ? info.name : WORDS.chooseCommand;
  return (
    <Autocomplete
      key={`${cell.slot.profile}/${cell.slot.device}/${cell.slot.control}/${cell.slot.trigger}`}
      options={choices}
      value={value}
      groupBy={({ group }) => group}
      getOptionLabel={(option) => option.name}
      getOptionKey={({ id }) => id}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      filterOptions={(options, { inputValue }) => matching(options, inputValue)}
      disableClearable={value !== null}
      openOnFocus
      selectOnFocus
      blurOnSelect
      size="small"
      onChange={(_event, choice) => {
        if (choice) setAction({ kind: 'command', command: choice.id });
        onDone();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone();
      }}
      slotProps={{
        popper: { placement: 'top-start', modifiers: [{ name: 'flip', enabled: false }] },
        listbox: { sx: { maxHeight: 320 } },
      }}
      renderOption={({ key, ...props }, option) => (
        <Option key={key} {...props}>
          <span className="name">{option.name}</span>
          <Keycap shortcut={option.shortcut} />
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

/** Commands whose name or shortcut has what was typed. */
function matching(choices: readonly Choice[], typed: string): Choice[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return choices.filter(({ name, shortcut }) =>
    words.every((word) => `${name} ${shortcut}`.toLowerCase().includes(word)),
  );
}
