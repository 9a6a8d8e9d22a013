import type { Device } from './device.ts';
import type { Shape } from './shape.ts';

/** A device for the other hand: its drawing from right to left. Paths may use M, L, H, V, A and Z only. */
export function mirrored(device: Device): Device {
  const flip = (shape: Shape) => mirroredShape(shape, device.width);
  return {
    ...device,
    body: device.body.map(flip),
    controls: device.controls.map((control) => ({
      ...control,
      shape: flip(control.shape),
      cap: control.cap && flip(control.cap),
    })),
  };
}

/** Left for right, as on a tablet that is turned round for the other hand. */
function mirroredShape(shape: Shape, width: number): Shape {
  if (shape.kind === 'rect') return { ...shape, x: width - shape.x - shape.width };
  if (shape.kind === 'circle') return { ...shape, cx: width - shape.cx };
  const d = shape.d.replace(/([MLHVA])([^MLHVAZ]*)/g, (_all, letter: string, numbers: string) => {
    const values = numbers
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    if (letter === 'V') return `V${values.join(' ')} `;
    // An arc's sweep turns the other way round (SVG 2, elliptical arc commands).
    const flipped = letter === 'A' ? values.map((value, i) => flippedArc(value, i % 7, width)) : null;
    return `${letter}${(flipped ?? values.map((value, i) => (i % 2 === 0 ? width - value : value))).join(' ')} `;
  });
  return { kind: 'path', d: d.trim() };
}

/** A mirrored arc runs the other way round (SVG 2, 9.3.8). */
function flippedArc(value: number, at: number, width: number): number {
  if (at === 4) return 1 - value;
  return at === 5 ? width - value : value;
}
