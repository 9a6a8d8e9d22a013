import { styled } from '@mui/material/styles';
import type { Shape } from '@nimble-lever/core/devices';
import type { Face } from '@nimble-lever/core/setup';
import { FACE_ICONS } from './faceIcons.ts';

/** What a drawn control carries: its face, and what is written where the face has no label. */
export interface ControlFace {
  /** What is written on it, or read out where only the icon is seen. */
  readonly label: string;
  /** By its name in the list of icons. */
  readonly icon: string | null;
  /** Null for the control's own. */
  readonly colour: Face['colour'];
}

/** Millimetres: a control must be so large to carry an icon, or words, and so high to carry both. */
const LEAST = { icon: 9, words: 16 };
const BOTH = 26;

const Words = styled('div')<{ ownerState: { colour: Face['colour'] } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    height: '100%',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 1.5,
    padding: 1.5,
    overflow: 'hidden',
    boxSizing: 'border-box',
    textAlign: 'center',
    lineHeight: 1.1,
    fontWeight: 650,
    overflowWrap: 'anywhere',
    borderRadius: 2.5,
    color: colour ? vars?.palette.tokens.onFace : vars?.palette.text.primary,
    backgroundColor: colour ? vars?.palette.tokens.face[colour] : 'transparent',
    '& svg': { flex: 'none' },
  }),
);

interface Props {
  readonly shape: Shape;
  readonly face: ControlFace;
}

/**
 * A face on a drawn control, in the drawing's millimetres. Small keys show the icon alone where there is one: words of
 * four letters' height tell nothing. The name of the control says all of it to those who do not see it.
 */
export function FaceMark({ shape, face: { label, icon, colour } }: Props) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height } = shape;
  const Icon = icon ? FACE_ICONS[icon]?.icon : undefined;
  const least = Math.min(width, height);
  if (least < (Icon ? LEAST.icon : LEAST.words)) return null;
  const large = height >= BOTH;
  const size = large ? height * 0.34 : least * 0.55;
  return (
    <foreignObject x={x + 1} y={y + 1} width={width - 2} height={height - 2} pointerEvents="none">
      <Words ownerState={{ colour }} style={{ fontSize: height * (large ? 0.2 : 0.25) }} aria-hidden>
        {Icon && <Icon size={size} strokeWidth={2.2} />}
        {(large || !Icon) && <span>{label}</span>}
      </Words>
    </foreignObject>
  );
}
