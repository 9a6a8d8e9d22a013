import { styled } from '@mui/material/styles';
import type { Shape } from '@nimble-lever/core/devices';
import { fitLabel } from '@nimble-lever/core/drawing';
import type { Face } from '@nimble-lever/core/setup';
import { useIcon } from './icons/useIcon.ts';

/** What a drawn control carries: its face, and what is written where the face has no label. */
export interface ControlFace {
  /** What is written on it, or read out where only the icon is seen. */
  readonly label: string;
  /** By its name in the list of icons. */
  readonly icon: string | null;
  /** Null for the control's own. */
  readonly colour: Face['colour'];
}

/** Millimetres: a control must be so large to carry an icon, or words alone. */
const LEAST = 9;
const LEAST_WORDS = 12;
/** In small pictures of devices, words stand under an icon only on controls so high: millimetres. */
const WORDS_FROM = 26;
/** Of the room: an icon alone, and one with words under it. */
const ICON = { alone: 0.62, above: 0.46 };
/** Words under an icon are no larger than this: millimetres. */
const LARGEST = 6;
/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;
/** From the edge of the control to what is on it: millimetres. */
const INSET = 1;
const PADDING = 1.2;

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
}

/** The room on a control for what is on it: millimetres. What turns shows its own mark, and has none. */
function faceRoom(shape: Shape) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height } = shape;
  return { x: x + INSET, y: y + INSET, width: width - 2 * INSET, height: height - 2 * INSET };
}

/** How a face is set on a control: its icon's size and its label, where there is room for them. Null where for neither. */
export function faceParts(
  shape: Shape,
  { label, icon }: Pick<ControlFace, 'label' | 'icon'>,
  distance: number,
  wordsFrom = 0,
) {
  const room = faceRoom(shape);
  const least = room ? Math.min(room.width, room.height) : 0;
  if (!room || least < LEAST - 2 * INSET) return null;
  const width = room.width - 2 * PADDING;
  const height = room.height - 2 * PADDING;
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
  face: { label, icon, colour },
  distance,
  wordsFrom = WORDS_FROM,
  soft = false,
}: Props) {
  const Icon = useIcon(icon);
  const parts = faceParts(shape, { label, icon: Icon ? icon : null }, distance, wordsFrom);
  if (!parts) return null;
  const { x, y, width, height } = parts.room;
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / SCALE})`} pointerEvents="none">
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <Words ownerState={{ colour, soft }} aria-hidden>
          {Icon && parts.icon !== null && <Icon size={parts.icon * SCALE} strokeWidth={2.2} />}
          {parts.label && (
            <span style={{ fontSize: parts.label.size * SCALE }}>
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
