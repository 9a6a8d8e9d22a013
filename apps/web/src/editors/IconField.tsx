import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { Keyboard } from 'lucide-react';
import { FACE_ICONS } from '../pieces/faceIcons.ts';
import { WORDS } from './words.ts';

/** An icon by its name in the list of faces; null for none. */
interface Props {
  readonly icon: string | null;
  readonly disabled?: boolean;
  readonly onChange: (icon: string | null) => void;
}

/** One of the icons there are, or none. */
export function IconField({ icon, disabled = false, onChange }: Props) {
  return (
    <Select
      displayEmpty
      size="small"
      value={icon ?? ''}
      disabled={disabled}
      onChange={({ target }) => onChange(target.value || null)}
      inputProps={{ 'aria-label': WORDS.icon }}
      renderValue={(id) => FACE_ICONS[id]?.name ?? WORDS.noIcon}
      MenuProps={{ slotProps: { paper: { sx: { maxHeight: 320 } } } }}
    >
      <MenuItem value="">
        <Keyboard size={16} aria-hidden style={{ marginRight: 10, opacity: 0 }} />
        {WORDS.noIcon}
      </MenuItem>
      {Object.entries(FACE_ICONS).map(([id, { icon: Icon, name }]) => (
        <MenuItem key={id} value={id}>
          <Icon size={16} aria-hidden style={{ marginRight: 10 }} />
          {name}
        </MenuItem>
      ))}
    </Select>
  );
}
