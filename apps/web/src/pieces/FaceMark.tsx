import { styled } from '@mui/material/styles';
import type { Cell, Shape } from '@nimble-lever/core/devices';
import type { FaceState } from '@nimble-lever/core/engine';
import type { Face } from '@nimble-lever/core/setup';
import type { ControlFace } from './controlFace.ts';
import { FaceImage, useShownPicture } from './FaceImage.tsx';
import { faceParts, PADDING, placeStyles, WORDS_FROM } from './faceParts.ts';
import { useIcon } from './icons/useIcon.ts';

/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;
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
    '& .paper': {
      padding: `${BAND * SCALE}px ${PADDING * SCALE}px`,
      borderRadius: SCALE,
      backgroundColor: vars?.palette.tokens.sheet,
    },
    '& .dark': { color: vars?.palette.tokens.face.ink },
    '& .light': { color: vars?.palette.tokens.onFace },
    // The drawing has lines of its own, which are as thick however large it is.
    '& svg': { flex: 'none' },
    '& svg *': { vectorEffect: 'none', strokeWidth: 2.2 },
  }),
);

interface Props {
  readonly shape: Shape;
  /** Of a panel: where its words stand, and how high they are. */
  readonly cell?: Cell | null;
  readonly face: ControlFace;
  /** From the eye: millimetres. */
  readonly distance: number;
  /** Controls from this height up have words under their icons: millimetres. */
  readonly wordsFrom?: number;
  /** It stands on a picture: its words get paper of their own, so that they can be read on any, or letters that suit it. */
  readonly onPicture?: boolean;
  /** It comes from elsewhere: in grey. */
  readonly soft?: boolean;
  /** What it shows of what goes on; nothing where a device is not in use. */
  readonly state?: FaceState | undefined;
}

/**
 * A face on a drawn control, in the drawing's millimetres, which are the control's own: as large as it fits. Small keys
 * show the icon alone where there is one. The name of the control says all of it to those who do not see it.
 */
export function FaceMark({
  shape,
  cell = null,
  face: { label, isLabelled, icon, colour, picture },
  distance,
  wordsFrom = WORDS_FROM,
  onPicture = false,
  soft = false,
  state,
}: Props) {
  const Icon = useIcon(icon);
  const { shown, onMissing } = useShownPicture(picture);
  const face = { label, isLabelled, icon: Icon ? icon : null, picture: shown };
  const parts = faceParts(shape, face, distance, wordsFrom, cell);
  if (!parts) return null;
  const { x, y, width, height } = parts.room;
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / SCALE})`} pointerEvents="none">
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <Words
          ownerState={{ colour, soft }}
          data-pictured={shown ? true : undefined}
          style={cell ? placeStyles(cell.labelPlace) : undefined}
          aria-hidden
        >
          {shown && <FaceImage picture={shown} onMissing={onMissing} />}
          {state?.on && <span className="lamp" />}
          {state !== undefined && state.queued > 0 && <span className="count">{state.queued}</span>}
          {Icon && parts.icon !== null && <Icon size={parts.icon * SCALE} strokeWidth={2.2} />}
          {parts.label && (
            <span
              className={shown ? 'band' : onPicture ? (cell?.letters ?? 'paper') : undefined}
              style={{ fontSize: parts.label.size * SCALE }}
            >
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
