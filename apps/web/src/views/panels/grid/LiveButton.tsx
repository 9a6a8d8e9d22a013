import Button from '@mui/material/Button';
import type { Device } from '@nimble-lever/core/devices';
import { lazy, Suspense, useState } from 'react';
import { WORDS } from './words.ts';

const LiveDialog = lazy(() => import('./LiveDialog.tsx'));

/** Opens a device to be used from another browser. */
export function LiveButton({ device }: { readonly device: Device }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="contained" onClick={() => setOpen(true)}>
        {WORDS.live}
      </Button>
      <Suspense fallback={null}>
        {open && <LiveDialog device={device} onClose={() => setOpen(false)} />}
      </Suspense>
    </>
  );
}
