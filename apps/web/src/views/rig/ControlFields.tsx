import IconButton from '@mui/material/IconButton';
import OutlinedInput from '@mui/material/OutlinedInput';
import type { Control, Device } from '@nimble-lever/core/devices';
import { Trash2, X } from 'lucide-react';
import { useDraft } from '../../app/useDraft.ts';
import { PhraseField } from './PhraseField.tsx';
import type { DeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

/** One control, and how it was when the device came, so that it can be put back. */
interface Props {
  readonly control: Control;
  readonly edits: DeviceEdits;
  /** The device as it came; null where nobody knows. */
  readonly came: Device | null;
}

/** What can be changed of a control: how it is called, and for a voice what is said. */
export function ControlFields({ control, edits, came }: Props) {
  const name = useDraft(control.name, (text) => {
    if (text.trim()) edits.setControl({ ...control, name: text.trim() });
  });
  // Controls that came with the device stay: without them it would not be the device.
  const isOwn = !came?.controls.some(({ id }) => id === control.id);
  return (
    <div className="edit">
      {control.phrase === null ? (
        <OutlinedInput
          {...name}
          inputProps={{ 'aria-label': WORDS.controlName(control.name), maxLength: 60 }}
          sx={{ width: 180 }}
        />
      ) : (
        <PhraseField control={control} onChange={edits.setControl} />
      )}
      {isOwn && (
        <IconButton
          aria-label={WORDS.removeControl(control.name)}
          onClick={() => edits.removeControl(control.id)}
        >
          <Trash2 size={15} aria-hidden />
        </IconButton>
      )}
      {control.heardAs.map((id) => (
        <span key={id} className="heard">
          {WORDS.heardAs} {id.replaceAll('/', ' ')}
          <IconButton
            aria-label={WORDS.forget(id)}
            onClick={() =>
              edits.setControl({ ...control, heardAs: control.heardAs.filter((own) => own !== id) })
            }
          >
            <X size={13} aria-hidden />
          </IconButton>
        </span>
      ))}
    </div>
  );
}
