import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import { styled, useColorScheme } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Keycap } from '../../pieces/Keycap.tsx';
import { WORDS } from '../shell/words.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import type { FindSource, Found } from './findSource.ts';
import { matching } from './matching.ts';
import { PAGE_FOUND } from './places.ts';
import { keepRecent, readRecent } from './recent.ts';

/** The same empty list each time, so that nothing is drawn anew for it. */
const NOTHING: readonly Found[] = [];

const Option = styled('li')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 10,
  fontSize: 13,
  '& .name': { flex: 1, minWidth: 0 },
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
}));

/** What is found is handed in, so that the shell knows no view. */
interface Props {
  readonly source: FindSource;
  /** What was typed while the dialog was still read. */
  readonly begun: string;
  /** From now on it hears keys itself. */
  readonly onReady: () => void;
  readonly open: boolean;
  readonly onClose: () => void;
}

/** Everything by name, to go to. */
export function FindDialog({ source, begun, open, onReady, onClose }: Props) {
  // Before the next key can come: one between would be heard by nobody.
  useLayoutEffect(() => onReady(), [onReady]);
  const [input, setInput] = useState(begun);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { setMode } = useColorScheme();
  const [went, setWent] = useState(false);
  // A new field each time: called again while the dialog still closes, it would go on with what was typed before.
  const opened = useRef({ open: false, times: 0 });
  if (open && !opened.current.open) opened.current.times += 1;
  opened.current.open = open;
  const own = useAppSelector((state) => (open ? source.items(state) : NOTHING));
  const items = useMemo(() => [...PAGE_FOUND, ...own], [own]);
  const [recent, setRecent] = useState(() => readRecent());
  const go = (item: Found) => {
    setWent(true);
    setRecent(keepRecent(item.key));
    if (item.theme) setMode(item.theme);
    const path = dispatch(item.go);
    if (path !== null) void navigate(path);
    onClose();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      transitionDuration={0}
      // The cell that had the keys would be selected again by getting them back, in place of what was chosen.
      disableRestoreFocus={went}
      slotProps={{
        // The paper is the dialog: a name on the root is read by nobody.
        paper: { 'aria-label': WORDS.find, sx: { position: 'absolute', top: 60, padding: 3 } },
        transition: {
          onEnter: () => {
            setWent(false);
            setInput(begun);
          },
          onExited: () => {
            if (went) source.focus();
          },
        },
      }}
    >
      <Autocomplete<Found>
        key={opened.current.times}
        inputValue={input}
        // Put back to what is chosen when it comes, it would forget what was typed before.
        onInputChange={(_event, text, reason) => reason !== 'reset' && setInput(text)}
        open
        options={items}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ key }) => key}
        filterOptions={(options, { inputValue }) => matching(options, inputValue, recent)}
        autoHighlight
        forcePopupIcon={false}
        noOptionsText={WORDS.foundNothing}
        onChange={(_event, item) => item && go(item)}
        onClose={(_event, reason) => reason === 'escape' && onClose()}
        slotProps={{ listbox: { sx: { maxHeight: 420 } } }}
        renderOption={({ key, ...props }, { name, owner, hint, shortcut }) => (
          <Option key={key} {...props}>
            <span className="name">
              {name} <small>{owner}</small>
            </span>
            {hint !== null && <small>{hint}</small>}
            {shortcut && <Keycap shortcut={shortcut} />}
          </Option>
        )}
        renderInput={(params) => <TextField {...params} autoFocus placeholder={WORDS.find} />}
      />
    </Dialog>
  );
}
