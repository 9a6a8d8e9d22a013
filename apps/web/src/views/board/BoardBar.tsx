import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Check, ChevronDown, Search } from 'lucide-react';
import { useState } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { allColumns } from './boardModel.ts';
import { searched, selectBoardState, viewChanged } from './boardSlice.ts';
import { LayerTabs } from './LayerTabs.tsx';
import { WORDS } from './words.ts';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  height: 40,
  padding: '0 16px 0 10px',
  overflowX: 'auto',
  borderTop: `1px solid ${vars?.palette.divider}`,
  '& .fill': { flex: 1 },
  '& .MuiButton-root, & .MuiToggleButton-root': {
    minHeight: 28,
    height: 28,
    paddingBlock: 0,
    fontSize: 12,
    whiteSpace: 'nowrap',
  },
  '& .MuiOutlinedInput-root': { minHeight: 28, height: 28, fontSize: 12 },
}));

/** Above the matrix: layers, and which rows and columns are shown. */
export function BoardBar() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { search, view } = useAppSelector(selectBoardState);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // Counted over all columns: one that is hidden is still there to be shown again.
  const columns = allColumns(setup);
  const shown = columns.length - columns.filter(({ profile }) => view.hidden.includes(profile.id)).length;
  // What is hidden is kept by name, so that a program that is added later is seen at once.
  const toggleHidden = (id: string) =>
    viewChanged({
      hidden: view.hidden.includes(id) ? view.hidden.filter((other) => other !== id) : [...view.hidden, id],
    });
  return (
    <Bar>
      <LayerTabs />
      <span className="fill" />
      <OutlinedInput
        value={search}
        placeholder={WORDS.search}
        startAdornment={<Search size={14} aria-hidden />}
        onChange={({ target }) => dispatch(searched(target.value))}
        // Escape empties the field, as search fields do.
        onKeyDown={({ key }) => key === 'Escape' && dispatch(searched(''))}
        inputProps={{ 'aria-label': WORDS.search, maxLength: 60 }}
        sx={{ width: 168, flex: 'none' }}
      />
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={WORDS.rows}
        value={view.grouping}
        onChange={(_event, grouping) => grouping && dispatch(viewChanged({ grouping }))}
      >
        {(['device', 'use'] as const).map((grouping) => (
          <ToggleButton key={grouping} value={grouping}>
            {WORDS.grouping[grouping]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Button
        variant={view.onlySet ? 'contained' : 'outlined'}
        aria-pressed={view.onlySet}
        onClick={() => dispatch(viewChanged({ onlySet: !view.onlySet }))}
      >
        {WORDS.onlySet}
      </Button>
      <Button
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        endIcon={<ChevronDown size={14} aria-hidden />}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.columns} {shown < columns.length && `${shown} / ${columns.length}`}
      </Button>
      {/* Ticks instead of boxes: the menu stays what a menu is to a screen reader. } */}
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {columns.map(({ profile, name }) => (
          <MenuItem
            key={profile.id}
            role="menuitemcheckbox"
            aria-checked={!view.hidden.includes(profile.id)}
            onClick={() => dispatch(toggleHidden(profile.id))}
          >
            <Check
              size={15}
              aria-hidden
              style={{ marginRight: 8, opacity: view.hidden.includes(profile.id) ? 0 : 1 }}
            />
            {name}
          </MenuItem>
        ))}
      </Menu>
    </Bar>
  );
}
