import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { CATALOGUE, type Device } from '@nimble-lever/core/devices';
import { copyDevice } from '@nimble-lever/core/setup';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addFromCatalogue } from '../../app/setup/addDevice.ts';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { WORDS } from './words.ts';

/** Where a new device comes from. */
interface Props {
  /** The device that can be copied. */
  readonly current: Device | null;
  /** It is there: it can be shown. */
  readonly onAdded: (id: string) => void;
}

/** A device more: from the catalogue, from a report descriptor, or a copy of the one shown. */
export function AddDevice({ current, onAdded }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const setup = useAppSelector(selectSetup);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  const add = (model: Device) => {
    close();
    // Null when the set-up is full, which the person has been told then.
    const id = dispatch(addFromCatalogue(model.id));
    if (id !== null) onAdded(id);
  };
  const copy = (device: Device) => {
    close();
    const made = copyDevice(setup, device.id);
    if (!made) return;
    dispatch(makeEdit(made.edit));
    onAdded(made.id);
  };
  return (
    <>
      <Button
        startIcon={<Plus size={16} aria-hidden />}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.add}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close}
        slotProps={{ paper: { sx: { maxHeight: 520 } } }}
      >
        {current && <MenuItem onClick={() => copy(current)}>{WORDS.copyOf(current.name)}</MenuItem>}
        <MenuItem onClick={() => void navigate('/add-device')}>{WORDS.fromDescriptor}</MenuItem>
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: '28px', fontSize: 12 }}>
          {WORDS.fromCatalogue}
        </ListSubheader>
        {CATALOGUE.map((device) => (
          <MenuItem key={device.id} onClick={() => add(device)}>
            {device.name}
            <small style={{ marginLeft: 'auto', paddingLeft: 24, opacity: 0.75 }}>
              {WORDS.controlsCount(device.controls.length)}
            </small>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
