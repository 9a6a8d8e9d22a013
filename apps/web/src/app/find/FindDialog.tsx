import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { Keycap } from '../../pieces/Keycap.tsx';
import { cellSelected } from '../../views/board/boardSlice.ts';
import { selectSetup } from '../setup/selectors.ts';
import { WORDS } from '../shell/words.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { type FindItem, findItems, matching } from './findItems.ts';

const Option = styled('li')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 10,
  fontSize: 13,
  '& .name': { flex: 1, minWidth: 0 },
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
}));

/** Everything by name, to go to. */
export function FindDialog({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const setup = useAppSelector(selectSetup);
  const profile = useAppSelector((state) => state.board.selected?.profile ?? state.engine.engine.profile);
  const items = useMemo(() => (open ? findItems(setup, profile) : []), [open, setup, profile]);
  const go = (item: FindItem) => {
    dispatch(cellSelected(item.slot));
    void navigate('/board');
    onClose();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-label={WORDS.find}
      slotProps={{
        paper: { sx: { position: 'absolute', top: 60, padding: 3 } },
        transition: { onExited: focusCell },
      }}
    >
      <Autocomplete<FindItem>
        open
        options={items}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ key }) => key}
        filterOptions={(options, { inputValue }) => matching(options, inputValue)}
        autoHighlight
        forcePopupIcon={false}
        noOptionsText={WORDS.foundNothing}
        onChange={(_event, item) => item && go(item)}
        onClose={(_event, reason) => reason === 'escape' && onClose()}
        slotProps={{ listbox: { sx: { maxHeight: 420 } } }}
        renderOption={({ key, ...props }, { name, owner, kind, control, shortcut }) => (
          <Option key={key} {...props}>
            <span className="name">
              {name} <small>{owner}</small>
            </span>
            {kind === 'command' && <small>{control ?? WORDS.noControl}</small>}
            {shortcut && <Keycap shortcut={shortcut} />}
          </Option>
        )}
        renderInput={(params) => <TextField {...params} autoFocus placeholder={WORDS.find} />}
      />
    </Dialog>
  );
}

/** The keys go to the cell that was found. */
function focusCell(): void {
  document.querySelector<HTMLElement>('[role=gridcell][aria-selected=true]')?.focus();
}
