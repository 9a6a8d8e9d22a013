import Alert, { type AlertColor } from '@mui/material/Alert';
import IconButton from '@mui/material/IconButton';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { WORDS } from './words.ts';

/** One notice as it is shown. */
interface ToldProps {
  readonly severity: AlertColor;
  readonly action: ReactNode;
  readonly onClose?: () => void;
  readonly children: ReactNode;
}

/** One notice: low, since what it covers may be wanted; what can be done beside the words. */
export function Told({ severity, action, onClose, children }: ToldProps) {
  const close = onClose && (
    <IconButton aria-label={WORDS.close} title={WORDS.close} onClick={onClose}>
      <X size={16} aria-hidden />
    </IconButton>
  );
  return (
    <Alert
      severity={severity}
      sx={{ py: 0, alignItems: 'center', '& .MuiAlert-action': { gap: 0.5, alignItems: 'center', py: 0 } }}
      action={
        <>
          {action}
          {close}
        </>
      }
    >
      {children}
    </Alert>
  );
}
