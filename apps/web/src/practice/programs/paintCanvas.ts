import type { Tokens } from '../../app/theme/tokens.ts';
import { type BrindleState, CANVAS, type Mark } from './brindle.ts';

/** How the canvas is looked at. */
type View = Pick<BrindleState, 'zoom' | 'angle' | 'scroll' | 'mirrored'>;

/** The scale at which the whole canvas fits a box, in CSS pixels per canvas unit. */
function fitOf({ width, height }: { readonly width: number; readonly height: number }): number {
  return Math.min(width / CANVAS.width, height / CANVAS.height);
}

/** The point of the canvas under a point of the screen, given the box it is drawn in. */
export function canvasPoint(
  box: DOMRect,
  { zoom, angle, scroll, mirrored }: View,
  clientX: number,
  clientY: number,
) {
  const scale = fitOf(box) * zoom;
  const x = ((clientX - box.left - box.width / 2) / scale) * (mirrored ? -1 : 1);
  const y = (clientY - box.top - box.height / 2) / scale - scroll;
  const turn = (-angle * Math.PI) / 180;
  const round = (value: number) => Math.round(value * 10) / 10;
  return [
    round(x * Math.cos(turn) - y * Math.sin(turn) + CANVAS.width / 2),
    round(x * Math.sin(turn) + y * Math.cos(turn) + CANVAS.height / 2),
  ] as const;
}

/** Draws paper, the pencilled wing and the marks. */
export function paintCanvas(canvas: HTMLCanvasElement, state: BrindleState, scene: Tokens['scene']): void {
  const context = canvas.getContext('2d');
  const box = canvas.getBoundingClientRect();
  if (!context || box.width === 0) return;
  const ratio = window.devicePixelRatio;
  canvas.width = Math.round(box.width * ratio);
  canvas.height = Math.round(box.height * ratio);
  const scale = fitOf(box) * state.zoom * ratio;
  context.fillStyle = scene.table;
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.translate(canvas.width / 2, canvas.height / 2);
  context.scale(scale, scale);
  if (state.mirrored) context.scale(-1, 1);
  context.translate(0, state.scroll);
  context.rotate((state.angle * Math.PI) / 180);
  context.translate(-CANVAS.width / 2, -CANVAS.height / 2);
  context.fillStyle = scene.paper;
  context.fillRect(0, 0, CANVAS.width, CANVAS.height);
  context.beginPath();
  context.rect(0, 0, CANVAS.width, CANVAS.height);
  context.clip();
  // Round, as a brush leaves it.
  context.lineCap = 'round';
  context.lineJoin = 'round';
  for (const mark of state.marks) paintMark(context, mark, scene);
  pencilWing(context, scene);
}

/** One stroke of the brush: a round line through its points, a dot where there is one point only. */
function paintMark(
  context: CanvasRenderingContext2D,
  { points, size, paint }: Mark,
  scene: Tokens['scene'],
): void {
  const [first] = points;
  if (!first) return;
  context.strokeStyle = paint === null ? scene.paper : (scene.paints[paint] ?? scene.heron);
  context.lineWidth = size;
  context.beginPath();
  context.moveTo(first[0], first[1]);
  for (const [x, y] of points) context.lineTo(x, y);
  // A line without length is not drawn, not even its round ends.
  if (points.length === 1) context.lineTo(first[0] + 0.01, first[1]);
  context.stroke();
}

/** The outline to paint inside: a wing with five long feathers. */
function pencilWing(context: CanvasRenderingContext2D, scene: Tokens['scene']): void {
  context.strokeStyle = scene.pencil;
  context.lineWidth = 1.5;
  context.stroke(
    new Path2D(
      'M120 150 C170 90 280 70 360 86 C330 110 350 120 372 122 C340 140 360 152 376 158 C340 172 352 184 366 192 C300 208 180 206 120 150Z',
    ),
  );
  context.stroke(
    new Path2D(
      'M180 132 C240 104 300 96 344 104 M176 152 C240 134 300 128 352 138 M184 172 C240 162 296 158 350 172',
    ),
  );
}
