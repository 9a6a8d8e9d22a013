import Button from '@mui/material/Button';
import { typingReport } from '@nimble-lever/core/setup/shortcuts';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { makeEdit } from '../setup/edits.ts';
import { selectSetup } from '../setup/selectors.ts';
import { Told } from '../shell/Told.tsx';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { isSeen, keepSeen } from './seenReports.ts';
import { WORDS } from './words.ts';

/** What this keyboard cannot type of the set-up, and, once, on which keyboard an older one was made. */
export function TypingNotices() {
  const dispatch = useAppDispatch();
  const { pathname } = useLocation();
  // After what the edit itself shows: it has time.
  const setup = useDeferredValue(useAppSelector(selectSetup));
  const { madeOn } = setup;
  const setUp = useAppSelector((state) => state.setup.id);
  const layout = useAppSelector((state) => state.keyboard.layout);
  const report = useMemo(() => layout && typingReport(setup, layout), [setup, layout]);
  const [, setLooked] = useState(0);
  // In Settings both are dealt with.
  if (pathname === '/settings' || !layout || !report) return null;
  const count = report.untypeable.length;
  const seen = `${setUp ?? ''} ${layout.id} ${count}`;
  const close = () => {
    keepSeen(seen);
    setLooked((times) => times + 1);
  };
  const toSettings = (
    <Button component={Link} to="/settings" sx={{ whiteSpace: 'nowrap' }}>
      {madeOn === null ? WORDS.another : WORDS.lookAtThem}
    </Button>
  );
  if (madeOn === null) {
    const sayUs = () => dispatch(makeEdit({ kind: 'set', at: '', fields: { madeOn: 'us' } }));
    return (
      <Told
        severity="info"
        action={
          <>
            <Button onClick={sayUs} sx={{ whiteSpace: 'nowrap' }}>
              {WORDS.itIsUs}
            </Button>
            {toSettings}
          </>
        }
      >
        {WORDS.askMadeOn}
      </Told>
    );
  }
  if (count === 0 || isSeen(seen)) return null;
  return (
    <Told severity="info" action={toSettings} onClose={close}>
      {WORDS.untypeable(count, report.all, layout.name)}
    </Told>
  );
}
