import type { Shape } from '@nimble-lever/core/devices';

/** Where a slider stands, across its outline. */
export function SliderMark({ shape, value }: { readonly shape: Shape; readonly value: number }) {
  if (shape.kind !== 'rect') return null;
  // The longer side is the way it slides.
  const upright = shape.height >= shape.width;
  const [x, y] = upright
    ? [shape.x, shape.y + (1 - value) * (shape.height - 4)]
    : [shape.x + value * (shape.width - 4), shape.y];
  const size = upright ? { width: shape.width, height: 4 } : { width: 4, height: shape.height };
  return <rect className="mark" x={x} y={y} rx={1} {...size} />;
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
