import { styled, useTheme } from '@mui/material/styles';
import { type PointerEvent, useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { paintBegun, paintDrawn } from '../rehearseSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { CANVAS, PAINT_NAMES } from './brindle.ts';
import { canvasPoint, paintCanvas } from './paintCanvas.ts';

const Canvas = styled('canvas')({
  flex: 1,
  minHeight: 0,
  width: '100%',
  display: 'block',
  touchAction: 'none',
  cursor: 'crosshair',
});

/** Brindle: a canvas that paints. */
export function BrindleView() {
  const dispatch = useAppDispatch();
  const painting = useAppSelector((state) => state.rehearse.brindle);
  const { scene } = useTheme().palette.tokens;
  const element = useRef<HTMLCanvasElement>(null);
  const drawing = useRef(false);
  useEffect(() => {
    const canvas = element.current;
    if (!canvas) return;
    const paint = () => paintCanvas(canvas, painting, scene);
    paint();
    const sized = new ResizeObserver(paint);
    sized.observe(canvas);
    return () => sized.disconnect();
  }, [painting, scene]);

  const pointOf = (event: PointerEvent<HTMLCanvasElement>) =>
    canvasPoint(event.currentTarget.getBoundingClientRect(), painting, event.clientX, event.clientY);
  const begin = (event: PointerEvent<HTMLCanvasElement>) => {
    if (event.button !== 0) return;
    if (event.nativeEvent.isTrusted) event.currentTarget.setPointerCapture(event.pointerId);
    drawing.current = true;
    dispatch(paintBegun(pointOf(event)));
  };
  const draw = (event: PointerEvent<HTMLCanvasElement>) => {
    if (drawing.current) dispatch(paintDrawn(pointOf(event)));
  };
  const end = () => {
    drawing.current = false;
  };
  const { size, zoom, paint, tool, lastCommand } = painting;
  return (
    <>
      <Canvas
        ref={element}
        data-pointer=""
        role="img"
        aria-label={WORDS.canvas}
        width={CANVAS.width}
        height={CANVAS.height}
        onPointerDown={begin}
        onPointerMove={draw}
        onPointerUp={end}
        onPointerCancel={end}
      />
      <StatusLine
        facts={[
          [tool === 'brush' ? WORDS.brush : 'Eraser', `${size}`],
          [WORDS.zoom, `${Math.round(zoom * 100)} %`],
          [WORDS.colour, PAINT_NAMES[paint] ?? ''],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}
