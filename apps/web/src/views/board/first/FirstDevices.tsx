import Button from '@mui/material/Button';
import { CATALOGUE } from '@nimble-lever/core/devices';
import { Check, Plus } from 'lucide-react';
import { Link } from 'react-router';
import { addFromCatalogue } from '../../../app/setup/addDevice.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { WORDS } from './words.ts';

/** What lies on the desk: one press adds a device of the catalogue; others describe themselves. */
export function FirstDevices() {
  const dispatch = useAppDispatch();
  const { devices } = useAppSelector(selectSetup);
  const has = (model: string) => devices.some((device) => device.model === model);
  return (
    <>
      <p>{WORDS.devicesMean}</p>
      <div className="choices">
        {CATALOGUE.map(({ id, name }) => (
          <Button
            key={id}
            startIcon={has(id) ? <Check size={14} aria-hidden /> : <Plus size={14} aria-hidden />}
            onClick={() => dispatch(addFromCatalogue(id))}
          >
            {name}
          </Button>
        ))}
        <Button component={Link} to="/add-device">
          {WORDS.otherDevice}
        </Button>
      </div>
    </>
  );
}
