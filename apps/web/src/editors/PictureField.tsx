import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import type { FacePicture } from '@nimble-lever/core/devices';
import type { Face } from '@nimble-lever/core/setup';
import { Image, X } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import type { PictureTaking } from './usePictureTaking.ts';
import { WORDS } from './words.ts';

const PictureDialog = lazy(() => import('./PictureDialog.tsx'));

const Box = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 4,
  fontSize: 12,
  '& .line': { display: 'flex', alignItems: 'center', gap: 6 },
  '& p': { margin: 0, overflowWrap: 'anywhere' },
  '& .wrong': { color: vars?.palette.tokens.brick },
  // What is done at once is not told.
  '& .going': { animation: 'appear 0s 0.4s both' },
  '@keyframes appear': { from: { visibility: 'hidden' }, to: { visibility: 'visible' } },
}));

interface Props {
  readonly face: Face;
  readonly disabled: boolean;
  /** Width by height of the control it is for. */
  readonly ratio: number;
  readonly taking: PictureTaking;
  readonly onChange: (picture: FacePicture | null) => void;
}

/** A picture of the person's own for a face: chosen as a file, laid as it should be, taken off. */
export function PictureField({ face: { picture, label, colour }, disabled, ratio, taking, onChange }: Props) {
  const chooser = useRef<HTMLInputElement>(null);
  const [adjusting, setAdjusting] = useState(false);
  const choose = () => chooser.current?.click();
  return (
    <Box>
      <div className="line">
        <Button
          disabled={disabled}
          startIcon={<Image size={15} />}
          title={WORDS.pictureTakes}
          onClick={picture ? () => setAdjusting(true) : choose}
        >
          {picture ? WORDS.pictureAdjust : WORDS.picture}
        </Button>
        {picture && (
          <IconButton
            size="small"
            title={WORDS.pictureOff}
            aria-label={WORDS.pictureOff}
            onClick={() => onChange(null)}
          >
            <X size={15} />
          </IconButton>
        )}
      </div>
      {taking.going !== null && (
        <div className="line going" role="status">
          {WORDS.pictureGoing(taking.going)}
          <Button size="small" onClick={taking.stop}>
            {WORDS.stop}
          </Button>
        </div>
      )}
      {taking.wrong !== null && (
        <p className="wrong" role="alert">
          {taking.wrong}
        </p>
      )}
      <input
        ref={chooser}
        type="file"
        hidden
        accept={ACCEPTED}
        aria-label={WORDS.picture}
        onChange={({ currentTarget }) => {
          taking.take(currentTarget.files);
          // The same file can be chosen again after it was mended.
          currentTarget.value = '';
        }}
      />
      {adjusting && picture && (
        <Suspense>
          <PictureDialog
            picture={picture}
            label={label}
            colour={colour}
            ratio={ratio}
            onChange={onChange}
            onOther={choose}
            onClose={() => setAdjusting(false)}
          />
        </Suspense>
      )}
    </Box>
  );
}

/** Offered first by the browser; what is chosen all the same is looked at by the server. */
const ACCEPTED = '.png,.jpg,.jpeg,.webp,.svg,image/png,image/jpeg,image/webp,image/svg+xml';
