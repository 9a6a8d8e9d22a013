import type { Cell, LabelPlace, Shape } from '@nimble-lever/core/devices';
import { CAPITALS, fitLabel } from '@nimble-lever/core/drawing';
import type { ControlFace } from './controlFace.ts';

/** Millimetres: a control must be so large to carry an icon, or words alone. */
const LEAST = 9;
const LEAST_WORDS = 12;
/** In small pictures of devices, words stand under an icon only on controls so high: millimetres. */
export const WORDS_FROM = 26;
/** Of the room: an icon alone, and one with words under it. */
const ICON = { alone: 0.62, above: 0.46 };
/** Of a picture, words leave so much. */
const PICTURE_LEFT = 0.55;
/** Words are no larger than this, so that short ones do not shout beside long ones: millimetres. */
const LARGEST = 6;
/** From the edge of the control to what is on it: millimetres. */
const INSET = 1;
export const PADDING = 1.2;

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
  cell: Pick<Cell, 'labelSize'> | null = null,
) {
  const largest = cell?.labelSize ? cell.labelSize / CAPITALS : LARGEST;
  const room = faceRoom(shape);
  const least = room ? Math.min(room.width, room.height) : 0;
  if (!room || least < LEAST - 2 * INSET) return null;
  const width = room.width - 2 * PADDING;
  const height = room.height - 2 * PADDING;
  if (picture) {
    const only = { room, icon: null, label: null };
    if (!isLabelled || room.height < wordsFrom) return only;
    const over = fitLabel(label, width, room.height * (1 - PICTURE_LEFT), distance, largest);
    return over.isReadable ? { ...only, label: over } : only;
  }
  if (icon === null) {
    return least < LEAST_WORDS
      ? null
      : { room, icon: null, label: fitLabel(label, width, height, distance, largest) };
  }
  const alone = { room, icon: least * ICON.alone, label: null };
  if (room.height < wordsFrom) return alone;
  const size = Math.min(width, height) * ICON.above;
  const under = fitLabel(label, width, height - size - 1, distance, largest);
  // A picture that can be read beats a word that cannot.
  return under.isReadable ? { room, icon: size, label: under } : alone;
}

/** How what is on a face is aligned for its words to stand at a place: a flex column. */
export function placeStyles(place: LabelPlace) {
  const end = (start: string, other: string) =>
    place.includes(start) ? 'flex-start' : place.includes(other) ? 'flex-end' : 'center';
  const alignItems = end('left', 'right');
  const textAlign = alignItems === 'center' ? 'center' : alignItems === 'flex-start' ? 'left' : 'right';
  return { justifyContent: end('top', 'bottom'), alignItems, textAlign } as const;
}
