import { styled } from '@mui/material/styles';
import type { Shape } from '@nimble-lever/core/devices';
import { fitLabel } from '@nimble-lever/core/drawing';
import type { FaceState } from '@nimble-lever/core/engine';
import type { Face } from '@nimble-lever/core/setup';
import type { ControlFace } from './controlFace.ts';
import { FaceImage, useShownPicture } from './FaceImage.tsx';
import { useIcon } from './icons/useIcon.ts';

/** Millimetres: a control must be so large to carry an icon, or words alone. */
const LEAST = 9;
const LEAST_WORDS = 12;
/** In small pictures of devices, words stand under an icon only on controls so high: millimetres. */
const WORDS_FROM = 26;
/** Of the room: an icon alone, and one with words under it. */
const ICON = { alone: 0.62, above: 0.46 };
/** Of a picture, words leave so much. */
const PICTURE_LEFT = 0.55;
/** Words under an icon are no larger than this: millimetres. */
const LARGEST = 6;
/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;
/** From the edge of the control to what is on it: millimetres. */
const INSET = 1;
const PADDING = 1.2;
/** Above and below words over a picture: millimetres. */
const BAND = 0.5;

const Words = styled('div')<{ ownerState: { colour: Face['colour']; soft: boolean } }>(
  ({ theme: { vars }, ownerState: { colour, soft } }) => ({
    height: '100%',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: SCALE,
    padding: PADDING * SCALE,
    overflow: 'hidden',
    boxSizing: 'border-box',
    textAlign: 'center',
    lineHeight: 1.12,
    fontWeight: 650,
    whiteSpace: 'nowrap',
    borderRadius: 2.5 * SCALE,
    color: soft
      ? vars?.palette.text.secondary
      : colour
        ? vars?.palette.tokens.onFace
        : vars?.palette.text.primary,
    backgroundColor: colour && !soft ? vars?.palette.tokens.face[colour] : 'transparent',
    position: 'relative',
    // A lamp that is lit: a shape, so that it says so without its colour.
    '& .lamp': {
      position: 'absolute',
      top: 0.9 * SCALE,
      left: '30%',
      right: '30%',
      height: 1.3 * SCALE,
      borderRadius: SCALE,
      backgroundColor: colour && !soft ? vars?.palette.tokens.onFace : vars?.palette.tokens.accent,
      boxShadow: `0 0 0 ${0.3 * SCALE}px ${vars?.palette.tokens.face.ink}`,
    },
    '& .count': {
      position: 'absolute',
      top: 0.4 * SCALE,
      right: 0.4 * SCALE,
      minWidth: 4.2 * SCALE,
      height: 4.2 * SCALE,
      lineHeight: 4.2,
      borderRadius: 2.1 * SCALE,
      fontSize: 3 * SCALE,
      color: vars?.palette.tokens.onFace,
      backgroundColor: vars?.palette.tokens.face.ink,
      boxShadow: `0 0 0 ${0.3 * SCALE}px ${vars?.palette.tokens.onFace}`,
    },
    '&[data-pictured]': { padding: 0, gap: 0, justifyContent: 'flex-end' },
    '& img': { position: 'absolute', inset: 0, opacity: soft ? 0.55 : 1 },
    // Over a picture words stand on the face's colour, so that they can be read on any.
    '& .band': {
      position: 'relative',
      width: '100%',
      padding: `${BAND * SCALE}px ${PADDING * SCALE}px`,
      boxSizing: 'border-box',
      color: vars?.palette.tokens.onFace,
      backgroundColor: vars?.palette.tokens.face[colour ?? 'ink'],
    },
    // The drawing has lines of its own, which are as thick however large it is.
    '& svg': { flex: 'none' },
    '& svg *': { vectorEffect: 'none', strokeWidth: 2.2 },
  }),
);

interface Props {
  readonly shape: Shape;
  readonly face: ControlFace;
  /** From the eye: millimetres. */
  readonly distance: number;
  /** Controls from this height up have words under their icons: millimetres. */
  readonly wordsFrom?: number;
  /** It comes from elsewhere: in grey. */
  readonly soft?: boolean;
  /** What it shows of what goes on; nothing where a device is not in use. */
  readonly state?: FaceState;
}

/** The room on a control for what is on it: millimetres. What turns shows its own mark, and has none. */
function faceRoom(shape: Shape) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height } = shape;
  return { x: x + INSET, y: y + INSET, width: width - 2 * INSET, height: height - 2 * INSET };
}

/**
 * How a face is set on a control: its icon's size and its label, where there is room for them. Over a picture only a label
 * of the person's own stands. Null where there is room for neither.
 */
export function faceParts(
  shape: Shape,
  { label, icon, picture, isLabelled }: Pick<ControlFace, 'label' | 'icon' | 'picture' | 'isLabelled'>,
  distance: number,
  wordsFrom = 0,
) {
  const room = faceRoom(shape);
  const least = room ? Math.min(room.width, room.height) : 0;
  if (!room || least < LEAST - 2 * INSET) return null;
  const width = room.width - 2 * PADDING;
  const height = room.height - 2 * PADDING;
  if (picture) {
    const only = { room, icon: null, label: null };
    if (!isLabelled || room.height < wordsFrom) return only;
    const over = fitLabel(label, width, room.height * (1 - PICTURE_LEFT), distance, LARGEST);
    return over.isReadable ? { ...only, label: over } : only;
  }
  if (icon === null) {
    return least < LEAST_WORDS ? null : { room, icon: null, label: fitLabel(label, width, height, distance) };
  }
  const alone = { room, icon: least * ICON.alone, label: null };
  if (room.height < wordsFrom) return alone;
  const size = Math.min(width, height) * ICON.above;
  const under = fitLabel(label, width, height - size - 1, distance, LARGEST);
  // A picture that can be read beats a word that cannot.
  return under.isReadable ? { room, icon: size, label: under } : alone;
}

/**
 * A face on a drawn control, in the drawing's millimetres, which are the control's own: as large as it fits. Small keys
 * show the icon alone where there is one. The name of the control says all of it to those who do not see it.
 */
export function FaceMark({
  shape,
  face: { label, isLabelled, icon, colour, picture },
  distance,
  wordsFrom = WORDS_FROM,
  soft = false,
  state,
}: Props) {
  const Icon = useIcon(icon);
  const { shown, onMissing } = useShownPicture(picture);
  const face = { label, isLabelled, icon: Icon ? icon : null, picture: shown };
  const parts = faceParts(shape, face, distance, wordsFrom);
  if (!parts) return null;
  const { x, y, width, height } = parts.room;
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / SCALE})`} pointerEvents="none">
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <Words ownerState={{ colour, soft }} data-pictured={shown ? true : undefined} aria-hidden>
          {shown && <FaceImage picture={shown} onMissing={onMissing} />}
          {state?.on && <span className="lamp" />}
          {state !== undefined && state.queued > 0 && <span className="count">{state.queued}</span>}
          {Icon && parts.icon !== null && <Icon size={parts.icon * SCALE} strokeWidth={2.2} />}
          {parts.label && (
            <span className={shown ? 'band' : undefined} style={{ fontSize: parts.label.size * SCALE }}>
              {parts.label.lines.map((line) => (
                <span key={line} style={{ display: 'block' }}>
                  {line}
                </span>
              ))}
            </span>
          )}
        </Words>
      </foreignObject>
    </g>
  );
}
