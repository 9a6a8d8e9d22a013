import { styled } from '@mui/material/styles';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { useAppDispatch } from '../../app/store.ts';
import { readAsked } from '../../practice/asked.ts';
import { DeskStrip } from '../../practice/DeskStrip.tsx';
import { DeskWindows } from '../../practice/DeskWindows.tsx';
import { raiseWindow } from '../../practice/frontWindow.ts';
import { Taskbar } from '../../practice/Taskbar.tsx';
import { useDesk } from '../../practice/useDesk.ts';
import { Account } from './Account.tsx';
import { OwnDevices } from './OwnDevices.tsx';
import { Tray } from './Tray.tsx';
import { usePedalKeys } from './usePedalKeys.ts';
import { WORDS } from './words.ts';

const Page = styled('div')({ height: '100%', display: 'flex', minHeight: 0 });
const Left = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' });
const Surface = styled('section')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.desk,
}));

/** Rehearse: working programs, the rig to press and turn, and the account of what happened and why. */
export function RehearsePage() {
  const dispatch = useAppDispatch();
  const surface = useRef<HTMLDivElement>(null);
  const [ownDevices, setOwnDevices] = useState(false);
  const { state: led } = useLocation();
  const asked = useMemo(() => readAsked(led), [led]);
  useDesk(surface);
  useEffect(() => {
    if (asked?.program) dispatch(raiseWindow(asked.program));
  }, [dispatch, asked]);
  usePedalKeys();

  return (
    <Page>
      <Left>
        <Surface aria-label={WORDS.practiceDesk}>
          <DeskStrip ownDevices={ownDevices} onOwnDevices={setOwnDevices} />
          <DeskWindows surface={surface}>
            {ownDevices && <OwnDevices surface={surface} onClose={() => setOwnDevices(false)} />}
          </DeskWindows>
          <Taskbar />
        </Surface>
        <Tray first={asked?.device ?? null} />
      </Left>
      <Account />
    </Page>
  );
}
