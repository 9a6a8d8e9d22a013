import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Rights } from '@nimble-lever/core/desks';
import type { Device } from '@nimble-lever/core/devices';
import { useState } from 'react';
import { PairingCode } from '../../../app/pairing/PairingCode.tsx';
import { Reaching } from '../../../app/pairing/Reaching.tsx';
import { findShown } from '../../../app/setup/shownSetUp.ts';
import { useAppSelector } from '../../../app/store.ts';
import { DialogBody } from './DialogBody.tsx';
import { WORDS } from './words.ts';

interface Props {
  readonly device: Device;
  readonly onClose: () => void;
}

/** How a panel is opened to be used: here, and on other devices by a code; and what is missing for it. */
export default function LiveDialog({ device, onClose }: Props) {
  const setUp = useAppSelector((state) => state.setup.id);
  const [may, setMay] = useState<Rights['may']>('panel');
  if (setUp === null) return null;
  const rights: Rights = may === 'panel' ? { may, setUp, device: device.id } : { may };
  // A page at the address of a set-up means that one.
  const path = `/panel/${device.id}${findShown().id === null ? '' : `?set-up=${setUp}`}`;
  return (
    <Dialog open onClose={onClose} aria-labelledby="panel-live">
      <DialogBody sx={{ width: 460 }}>
        <h2 id="panel-live">{WORDS.liveOf(device.name)}</h2>
        <p>{WORDS.liveMeans}</p>
        <Reaching>
          {(origin) => (
            <>
              <div className="line">
                <span id="panel-live-may">{WORDS.mayBe}</span>
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  aria-labelledby="panel-live-may"
                  value={may}
                  onChange={(_event, chosen: Rights['may'] | null) => chosen && setMay(chosen)}
                >
                  <ToggleButton value="panel">{WORDS.mayPanel}</ToggleButton>
                  <ToggleButton value="everything">{WORDS.mayEverything}</ToggleButton>
                </ToggleButtonGroup>
              </div>
              <PairingCode rights={rights} origin={origin} to={path} />
              <p>
                {WORDS.pairedAlready} <b>{`${origin}${path}`}</b>
              </p>
            </>
          )}
        </Reaching>
        <p>
          {WORDS.inThisBrowser}{' '}
          <a href={path} target="_blank" rel="noreferrer">
            {`${location.origin}${path}`}
          </a>
        </p>
        <div className="end">
          <Button variant="contained" onClick={onClose}>
            {WORDS.close}
          </Button>
        </div>
      </DialogBody>
    </Dialog>
  );
}
