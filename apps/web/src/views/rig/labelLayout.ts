import { type Device, shapeBox } from '@nimble-lever/core/devices';
import { type LabelPlace, placeLabels } from '@nimble-lever/core/drawing';
import type { ControlUse } from './controlUses.ts';
import { WORDS } from './words.ts';

/** Pixels: room for labels at each side, the gap to the drawing, and what a control needs to carry its own words. */
const SIDE = { least: 84, most: 142 };
/** Pixels between a device and its labels, and the least a control must measure to hold a label itself. */
const GAP = 18;
const INSIDE = { width: 50, height: 36 };
export const LINE = 14;
/** Pixels between two labels, where there is room. */
const BETWEEN = 8;
/** Pixels above and below the labels. */
export const PAD = 10;

/** The room there is: pixels. */
interface Size {
  readonly width: number;
  readonly height: number;
}
/** How wide a text is in a label: pixels. */
type Measure = (text: string) => number;
/** What each control does, by its id. */
type Uses = ReadonlyMap<string, readonly ControlUse[]>;

/** Only what does something gets a line; a label of nothings would hide those that count. */
function setOf(uses: readonly ControlUse[]): readonly ControlUse[] {
  return uses.filter(({ does }) => does !== null);
}

/** What is written beside a control: one thing by itself, several with how each is done. */
function textsOf(uses: readonly ControlUse[]): readonly string[] {
  const set = setOf(uses);
  const [only] = set;
  if (!only) return [WORDS.nothing];
  return uses.length === 1 ? [only.does ?? ''] : set.map(({ way, does }) => `${way}: ${does}`);
}

/** As many of them as there are lines for, the last saying how many more there are. */
function cut(texts: readonly string[], lines: number): readonly string[] {
  if (texts.length <= lines) return texts;
  if (lines === 1) return [WORDS.manyUses(texts.length)];
  return [...texts.slice(0, lines - 1), WORDS.moreUses(texts.length - lines + 1)];
}

/**
 * Where everything goes: the drawing to scale, words in large controls, labels beside the others. Where few need a
 * label, all stand at the right, and where none does, nowhere: so that the drawing can be larger. Null for no room.
 *
 * @param size of the room, in pixels
 * @param uses what each control does, by its id
 */
export function layOut(device: Device, size: Size, uses: Uses, measure: Measure) {
  if (size.width === 0 || size.height === 0) return null;
  // Tried from the roomiest: words in the controls, labels at one side, labels at both.
  const alone = scaled(device, size, uses, 'none');
  if (alone.outside.length === 0) return placed(size, alone, uses, measure);
  const large = scaled(device, size, uses, 'right');
  const few = large.outside.length < large.inside.length;
  const fits = few && large.outside.length <= capacity(size, 1);
  return placed(size, fits ? large : scaled(device, size, uses, 'both'), uses, measure);
}

/** How wide labels are: pixels. */
function sideOf(width: number): number {
  return Math.round(Math.max(SIDE.least, Math.min(SIDE.most, width * 0.24)));
}

/** How many labels of a name and a line there is height for. */
function capacity({ height }: Size, columns: number): number {
  return columns * Math.max(1, Math.floor((height - 2 * PAD) / (2 * LINE)));
}

/** On which sides of the drawing labels stand: both where there is room, none where there is none. */
type Sides = 'both' | 'right' | 'none';

/** The drawing as large as the labels leave room for, and which controls carry their own words. */
function scaled(device: Device, { width, height }: Size, uses: Uses, sides: Sides) {
  const side = sideOf(width) + 2 * PAD + GAP;
  const room = width - { both: 2 * side, right: side + GAP, none: 2 * GAP }[sides];
  // Never more than four pixels a millimetre: a pedal as large as the screen tells nothing more.
  const scale = Math.min(room / device.width, (height - 84) / device.height, 4);
  const [w, h] = [device.width * scale, device.height * scale];
  const left = sides === 'right' ? GAP + (room - w) / 2 : (width - w) / 2;
  const top = (height - h) / 2;
  const boxes = device.controls.map((control) => {
    const box = shapeBox(control.shape);
    return {
      id: control.id,
      left: left + box.left * scale,
      top: top + box.top * scale,
      width: (box.right - box.left) * scale,
      height: (box.bottom - box.top) * scale,
      plain: control.rotor === null && control.spring === null && control.slider === null,
    };
  });
  // One thing only, in a control that does not turn: several uses need a line each.
  const isInside = (box: Box) =>
    box.plain &&
    box.width >= INSIDE.width &&
    box.height >= INSIDE.height &&
    setOf(uses.get(box.id) ?? []).length <= 1;
  return {
    sides,
    scale,
    left,
    top,
    w,
    h,
    inside: boxes.filter(isInside),
    outside: boxes.filter((box) => !isInside(box)),
  };
}

/** A control as it is drawn: pixels. */
interface Box {
  /** The control's id. */
  readonly id: string;
  /** Pixels from the upper left corner of the room. */
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** Whether it neither turns nor slides, so that words can be in it. */
  readonly plain: boolean;
}

/** Those labels there is room for: of controls that do something, where it is not enough for all. */
function labelled(boxes: readonly Box[], size: Size, uses: Uses, columns: number): readonly Box[] {
  const most = capacity(size, columns);
  if (boxes.length <= most) return boxes;
  return boxes.filter(({ id }) => setOf(uses.get(id) ?? []).length > 0).slice(0, most);
}

/** How the labels at one side are written: how high each is, and what stands in it. */
function written(ids: readonly string[], { width, height }: Size, uses: Uses, measure: Measure) {
  const room = (height - 2 * PAD) / Math.max(1, ids.length);
  const lineCount = (text: string, most: number) => Math.min(most, Math.ceil(measure(text) / sideOf(width)));
  const texts = new Map(ids.map((id) => [id, textsOf(uses.get(id) ?? [])]));
  // The tallest label decides for its side: labels of even distance are found by the eye.
  const heightAt = (most: 1 | 2) => {
    const lines = [...texts.values()].map((own) => own.reduce((sum, text) => sum + lineCount(text, most), 0));
    return LINE * (Math.max(1, ...lines) + 1) + BETWEEN;
  };
  // Long lines are broken where there is height for it, else cut short.
  const wraps = heightAt(2) <= room;
  const own = Math.min(heightAt(wraps ? 2 : 1), room);
  const lines = wraps ? Number.POSITIVE_INFINITY : Math.max(1, Math.floor(own / LINE) - 1);
  return { height: own, wraps, textsOf: (id: string) => cut(texts.get(id) ?? [], lines) };
}

/** Drawing and labels in their places for one way of sharing out the room. */
function placed(size: Size, plan: ReturnType<typeof scaled>, uses: Uses, measure: Measure) {
  const { sides, scale, left, top, w, h, inside } = plan;
  const { width, height } = size;
  const shown = labelled(plan.outside, size, uses, sides === 'both' ? 2 : 1);
  // Tall neighbours are pointed at one below the other, so that no line runs through another's end.
  const beside = (i: number) => shown.slice(0, i).filter((other) => other.top === shown[i]?.top).length;
  const points = shown.map((box, i) => ({
    id: box.id,
    x: box.left + box.width / 2,
    y: box.top + (box.plain ? box.height / 2 : Math.min(box.height / 2, 10 + 16 * beside(i))),
  }));
  // Lines run straight from the drawing's edges, so it is there that they must not cross.
  const [from, to] = [left - GAP, left + w + GAP];
  const shifted = points.map(({ id, x, y }) => ({ id, x: x - from, y: y - PAD }));
  const both = sides === 'both' ? 'both' : 'right';
  const among = (ids: readonly string[]) => written(ids, size, uses, measure).height;
  const places = placeLabels(shifted, to - from, height - 2 * PAD, { least: 2 * LINE, among }, both);
  const at = (wanted: LabelPlace['side']) => places.flatMap(({ id, side }) => (side === wanted ? [id] : []));
  const writing = {
    left: written(at('left'), size, uses, measure),
    right: written(at('right'), size, uses, measure),
  };
  const room = sideOf(width);
  const labels = places.map(({ id, side, y: middle }) => {
    const point = points.find((each) => each.id === id) ?? { x: 0, y: 0 };
    const y = middle + PAD;
    // A label's line begins level and bends once, at the drawing's edge.
    const edge = side === 'left' ? from : to;
    const start = side === 'left' ? Math.min(edge, 2 * PAD + room) : Math.max(edge, width - 2 * PAD - room);
    const line = `M${start} ${y}H${edge}L${point.x} ${point.y}`;
    const { wraps, textsOf } = writing[side];
    return { id, side, y, point, width: room, line, texts: textsOf(id), wraps };
  });
  const mm = [100, 50, 20, 10].find((length) => length * scale < 140) ?? 10;
  return {
    drawing: { left, top, width: w, height: h },
    inside: inside.map(({ plain: _plain, ...box }) => box),
    labels,
    bar: { mm, px: mm * scale },
  };
}
