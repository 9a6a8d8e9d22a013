import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { type Face, NO_FACE } from '@nimble-lever/core/setup';
import { useDraft } from '../app/useDraft.ts';
import { controlFace } from '../pieces/controlFace.ts';
import { FaceKey } from '../pieces/FaceKey.tsx';
import { ColourField, type OfferedColour } from './ColourField.tsx';
import { IconField } from './IconField.tsx';
import { PictureField } from './PictureField.tsx';
import { type SetFace, usePictureTaking } from './usePictureTaking.ts';
import { WORDS } from './words.ts';

const Row = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 12,
  alignItems: 'flex-start',
  borderRadius: 10,
  '&[data-over=true]': { outline: `2px dashed ${vars?.palette.tokens.accent}`, outlineOffset: 4 },
}));
const Fields = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', gap: 8 });

/** A face as it is set, and how it changes. */
interface Props {
  /** Null where nothing is set yet. */
  readonly face: Face | null;
  /** What is shown where there is no label. */
  readonly name: string;
  /** There is no binding a face could belong to. */
  readonly disabled: boolean;
  /** Width by height of the control; 1 where it is not known. */
  readonly ratio?: number;
  /** Colours that mean something here. */
  readonly offered?: readonly OfferedColour[];
  /** Gives what sets parts of the face that is edited now: what takes its time keeps the one it began with. */
  readonly target: () => SetFace;
}

/** What a control shows: label, icon, colour, a picture of the person's own. */
export function FaceFields({ face: own, name, disabled, ratio = 1, offered = [], target }: Props) {
  const face = own ?? NO_FACE;
  const set: SetFace = (parts) => target()(parts);
  // An empty label is none: the control then shows the name of what it does.
  const label = useDraft(face.label ?? '', (text) => set({ label: text.trim() || null }));
  const taking = usePictureTaking(target, disabled);
  return (
    <Row data-over={taking.over} {...taking.handlers}>
      <FaceKey face={controlFace({ ...face, label: label.value || null }, name)} blank={disabled} />
      <Fields>
        <OutlinedInput
          {...label}
          placeholder={WORDS.label}
          disabled={disabled}
          inputProps={{ 'aria-label': WORDS.label, maxLength: 24 }}
        />
        <ColourField
          colour={face.colour}
          offered={offered}
          disabled={disabled}
          onChange={(colour) => set({ colour })}
        />
        <IconField icon={face.icon} disabled={disabled} onChange={(icon) => set({ icon })} />
        <PictureField
          face={face}
          disabled={disabled}
          ratio={ratio}
          taking={taking}
          onChange={(picture) => set({ picture })}
        />
      </Fields>
    </Row>
  );
}
