import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { ShapeMark } from './ShapeMark.tsx';

const Svg = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  flex: 'none',
  '& .body': { fill: vars?.palette.tokens.background, stroke: vars?.palette.text.primary },
  '& .face': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.text.primary },
  '& .face.lit': { fill: vars?.palette.tokens.accent, stroke: vars?.palette.tokens.accent },
  '& *': { vectorEffect: 'non-scaling-stroke', strokeWidth: 1 },
}));

interface Props {
  readonly device: Device;
  readonly lit: ReadonlySet<string>;
  /** Pixels, or CSS lengths. */
  readonly width: number | string;
  readonly height: number | string;
}

/** A device so small that it can only be recognised: a picture beside its name. What is used lights up in it, too. */
export function DeviceSketch({ device, lit, width, height }: Props) {
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${device.width} ${device.height}`} aria-hidden>
      {device.body.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the outline never changes order.
        <ShapeMark key={i} shape={shape} className="body" />
      ))}
      {device.controls.map(({ id, shape }) => (
        <ShapeMark key={id} shape={shape} className={lit.has(id) ? 'face lit' : 'face'} />
      ))}
    </Svg>
  );
}
