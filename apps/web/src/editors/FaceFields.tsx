import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import type { Face } from '@nimble-lever/core/setup';
import { useDraft } from '../app/useDraft.ts';
import { FaceKey } from '../pieces/FaceKey.tsx';
import { ColourField } from './ColourField.tsx';
import { IconField } from './IconField.tsx';
import { WORDS } from './words.ts';

const Row = styled('div')({ display: 'flex', gap: 12, alignItems: 'flex-start' });
const Fields = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', gap: 8 });

/** What a control shows by itself: the name of what it does. */
const NO_FACE: Face = { label: null, icon: null, colour: null };

/** A face as it is set, and how it changes. */
interface Props {
  /** Null where nothing is set yet. */
  readonly face: Face | null;
  /** What is shown where there is no label. */
  readonly name: string;
  /** There is no binding a face could belong to. */
  readonly disabled: boolean;
  readonly onChange: (face: Face) => void;
}

/** What a control shows: label, icon, colour. */
export function FaceFields({ face: own, name, disabled, onChange }: Props) {
  const face = own ?? NO_FACE;
  // An empty label is none: the control then shows the name of what it does.
  const label = useDraft(face.label ?? '', (text) => onChange({ ...face, label: text.trim() || null }));
  return (
    <Row>
      <FaceKey label={label.value || name} icon={face.icon} colour={face.colour ?? 'ink'} blank={disabled} />
      <Fields>
        <OutlinedInput
          {...label}
          placeholder={WORDS.label}
          disabled={disabled}
          inputProps={{ 'aria-label': WORDS.label, maxLength: 24 }}
        />
        <ColourField
          colour={face.colour}
          disabled={disabled}
          onChange={(colour) => onChange({ ...face, colour })}
        />
        <IconField icon={face.icon} disabled={disabled} onChange={(icon) => onChange({ ...face, icon })} />
      </Fields>
    </Row>
  );
}
