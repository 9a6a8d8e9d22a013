import type { Shape } from '@nimble-lever/core/devices';
import { STRIP_DEGREES } from './rotorGestures.ts';

/** Of a slider's bar: millimetres. */
const BAR = 2.2;
/** From mark to mark of a strip: millimetres. */
const TICK = 6;

/** Where a slider stands, across its outline, and how much of it that is. */
export function SliderMark({ shape, value }: { readonly shape: Shape; readonly value: number }) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height, radius } = shape;
  // The longer side is the way it slides.
  const upright = height >= width;
  const far = value * ((upright ? height : width) - BAR);
  const level = upright
    ? { x, y: y + height - far - BAR, width, height: far + BAR }
    : { x, y, width: far + BAR, height };
  const bar = upright
    ? { x, y: level.y, width, height: BAR }
    : { x: x + level.width - BAR, y, width: BAR, height };
  return (
    <>
      <rect className="level" rx={Math.min(radius, 1.5)} {...level} />
      <rect className="mark bar" rx={1} {...bar} />
    </>
  );
}

/** Of the knob of what slides two ways: millimetres, at most so much of the shorter side. */
const KNOB = 3.5;
const KNOB_PART = 0.12;

/** Where something stands that slides two ways: a knob, with lines to where it is of each. */
export function XyMark({
  shape,
  value,
  across,
}: {
  readonly shape: Shape;
  readonly value: number;
  readonly across: number;
}) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height } = shape;
  const r = Math.min(KNOB, KNOB_PART * Math.min(width, height));
  const cx = x + r + across * (width - 2 * r);
  const cy = y + height - r - value * (height - 2 * r);
  return (
    <>
      <path className="ticks" d={`M${x} ${cy}h${width}M${cx} ${y}v${height}`} />
      <circle className="mark bar" cx={cx} cy={cy} r={r} />
    </>
  );
}

/** Marks across a strip that is turned by moving along it: they go with the finger. */
export function StripMark({ shape, angle }: { readonly shape: Shape; readonly angle: number }) {
  if (shape.kind !== 'rect') return null;
  const { x, y, width, height } = shape;
  const across = width >= height;
  const length = across ? width : height;
  const moved = angle / STRIP_DEGREES;
  const shift = ((moved % TICK) + TICK) % TICK;
  const places = Array.from({ length: Math.floor(length / TICK) + 1 }, (_, i) => shift + i * TICK).filter(
    (place) => place > 1 && place < length - 1,
  );
  return (
    <path
      className="ticks"
      d={places
        .map((place) =>
          across ? `M${x + place} ${y + height - 2.6}v2` : `M${x + width - 2.6} ${y + height - place}h2`,
        )
        .join('')}
    />
  );
}

/**
 * The outline of a control. `reach` makes it larger all round, so that small ones are targets of 24 pixels (WCAG 2.2,
 * 2.5.8).
 */
export function ShapeMark({
  shape,
  className,
  reach = 0,
}: {
  readonly shape: Shape;
  readonly className: string;
  readonly reach?: number;
}) {
  switch (shape.kind) {
    case 'rect': {
      const { x, y, width, height, radius } = shape;
      return (
        <rect
          className={className}
          x={x - reach}
          y={y - reach}
          width={width + 2 * reach}
          height={height + 2 * reach}
          rx={radius}
        />
      );
    }
    case 'circle':
      return <circle className={className} cx={shape.cx} cy={shape.cy} r={shape.r + reach / 2} />;
    case 'path':
      return <path className={className} d={shape.d} />;
  }
}
