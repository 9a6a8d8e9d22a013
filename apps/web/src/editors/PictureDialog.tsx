import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Slider from '@mui/material/Slider';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { type FacePicture, MOST_ZOOM, PICTURE_FITS } from '@nimble-lever/core/devices';
import type { Face } from '@nimble-lever/core/setup';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { FaceImage, useShownPicture } from '../pieces/FaceImage.tsx';
import { WORDS } from './words.ts';

/** The longer side of the face as it is shown here: pixels. */
const SIDE = 260;
/** What an arrow key moves the picture by, in parts of the way it can go. */
const STEP = 0.02;

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 340,
  maxWidth: '100%',
  padding: '18px 20px',
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  fontSize: 13,
  '& h2, & p': { margin: 0 },
  '& h2': { fontSize: 15 },
  '& p': { color: vars?.palette.text.secondary, fontSize: 12 },
  '& .face': {
    position: 'relative',
    alignSelf: 'center',
    overflow: 'hidden',
    borderRadius: 18,
    cursor: 'move',
    touchAction: 'none',
    border: `1px solid ${vars?.palette.divider}`,
  },
  '& .label': {
    position: 'absolute',
    inset: 'auto 0 0',
    padding: '8px 10px',
    overflow: 'hidden',
    textAlign: 'center',
    fontSize: 26,
    lineHeight: 1.12,
    fontWeight: 650,
    pointerEvents: 'none',
    color: vars?.palette.tokens.onFace,
  },
  '& .line': { display: 'flex', alignItems: 'center', gap: 14 },
  '& .end': { display: 'flex', gap: 8, '& > :first-of-type': { marginRight: 'auto' } },
}));

interface Props {
  readonly picture: FacePicture;
  /** What stands over it; null for nothing. */
  readonly label: string | null;
  readonly colour: Face['colour'];
  /** Width by height of the face. */
  readonly ratio: number;
  readonly onChange: (picture: FacePicture) => void;
  readonly onOther: () => void;
  readonly onClose: () => void;
}

/** Which part of a picture a face shows: moved by dragging or arrow keys, looked at closer, filling the face or whole. */
export default function PictureDialog({ picture, label, colour, ratio, onChange, onOther, onClose }: Props) {
  const [draft, setDraft] = useState(picture);
  const { shown, onMissing } = useShownPicture(picture);
  /** The picture's own size; null until it is there. */
  const [size, setSize] = useState<readonly [width: number, height: number] | null>(null);
  const dragged = useRef<{ x: number; y: number } | null>(null);
  const width = ratio >= 1 ? SIDE : SIDE * ratio;
  const height = ratio >= 1 ? SIDE / ratio : SIDE;
  const { fit, zoom } = draft;
  // Another file was chosen: this dialog is about that one now.
  if (draft.id !== picture.id) setDraft(picture);

  /** How far the picture can go, across and down: pixels; where it is smaller than the face, less than none. */
  const way = () => {
    if (!size) return [0, 0] as const;
    const scales = [width / size[0], height / size[1]] as const;
    const scale = (fit === 'fill' ? Math.max(...scales) : Math.min(...scales)) * zoom;
    return [size[0] * scale - width, size[1] * scale - height] as const;
  };
  const moveBy = (dx: number, dy: number) => {
    const [across, down] = way();
    const go = (at: number, by: number, far: number) =>
      Math.abs(far) < 1 ? at : Math.min(1, Math.max(0, at - by / far));
    setDraft((before) => ({ ...before, x: go(before.x, dx, across), y: go(before.y, dy, down) }));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const [x = 0, y = 0] = by;
    const [across, down] = way();
    moveBy(x * STEP * Math.abs(across), y * STEP * Math.abs(down));
  };
  const onPointerMove = ({ clientX: x, clientY: y }: PointerEvent) => {
    const from = dragged.current;
    if (!from) return;
    moveBy(x - from.x, y - from.y);
    dragged.current = { x, y };
  };
  const letGo = () => {
    dragged.current = null;
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="picture-title">
      <Body>
        <h2 id="picture-title">{WORDS.pictureTitle}</h2>
        {shown ? (
          <Box
            role="group"
            className="face"
            sx={{ bgcolor: `tokens.face.${colour ?? 'ink'}` }}
            tabIndex={0}
            aria-label={WORDS.pictureMoves}
            style={{ width, height }}
            onKeyDown={onKeyDown}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              dragged.current = { x: event.clientX, y: event.clientY };
            }}
            onPointerMove={onPointerMove}
            onPointerUp={letGo}
            onPointerCancel={letGo}
          >
            <FaceImage
              picture={draft}
              onMissing={onMissing}
              onLoad={({ naturalWidth, naturalHeight }) => setSize([naturalWidth, naturalHeight])}
            />
            {label !== null && (
              <Box className="label" aria-hidden sx={{ bgcolor: `tokens.face.${colour ?? 'ink'}` }}>
                {label}
              </Box>
            )}
          </Box>
        ) : (
          <p role="alert">{WORDS.pictureMissing}</p>
        )}
        <p>{WORDS.pictureMoves}</p>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={fit}
          aria-label={WORDS.pictureFit}
          onChange={(_event, next) => next && setDraft({ ...draft, fit: next })}
        >
          {PICTURE_FITS.map((each) => (
            <ToggleButton key={each} value={each}>
              {WORDS.pictureFits[each]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <div className="line">
          <span>{WORDS.pictureCloser}</span>
          <Slider
            size="small"
            aria-label={WORDS.pictureCloser}
            min={1}
            max={MOST_ZOOM}
            step={0.1}
            value={zoom}
            valueLabelDisplay="auto"
            valueLabelFormat={(value) => `${value} ×`}
            onChange={(_event, next) => setDraft({ ...draft, zoom: Number(next) })}
          />
        </div>
        <div className="end">
          <Button onClick={onOther}>{WORDS.pictureOther}</Button>
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button
            variant="contained"
            onClick={() => {
              onChange(draft);
              onClose();
            }}
          >
            {WORDS.done}
          </Button>
        </div>
      </Body>
    </Dialog>
  );
}
