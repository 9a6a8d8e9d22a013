import { styled, useTheme } from '@mui/material/styles';
import { type PointerEvent, useEffect, useRef } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { useSize } from '../../pieces/useSize.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { BrindleLayers } from './BrindleLayers.tsx';
import { CANVAS, markBegun, markDrawn, PAINT_NAMES, scrolled } from './brindle.ts';
import { canvasPoint, paintCanvas } from './paintCanvas.ts';

const Paper = styled('div')({ flex: 1, minHeight: 0, display: 'flex' });
const Canvas = styled('canvas')({
  flex: 1,
  minWidth: 0,
  height: '100%',
  display: 'block',
  touchAction: 'none',
  cursor: 'crosshair',
});

/** A pen's eraser (Pointer Events, `button`). */
const ERASER = 5;

/** Brindle: a canvas that paints. */
export function BrindleView() {
  const dispatch = useAppDispatch();
  const painting = usePrograms(({ brindle }) => brindle);
  const { scene } = useTheme().palette.tokens;
  const element = useRef<HTMLCanvasElement>(null);
  const canvasSize = useSize(element);
  const drawing = useRef(false);
  useEffect(() => {
    const canvas = element.current;
    if (!canvas) return;
    // Its size too: a canvas that is sized anew is empty.
    if (canvasSize.width > 0) paintCanvas(canvas, painting, scene);
  }, [painting, scene, canvasSize]);

  const pointOf = (event: PointerEvent<HTMLCanvasElement>) =>
    canvasPoint(event.currentTarget.getBoundingClientRect(), painting, event.clientX, event.clientY);
  const begin = (event: PointerEvent<HTMLCanvasElement>) => {
    const erasing = event.button === ERASER;
    if (event.button !== 0 && !erasing) return;
    if (event.nativeEvent.isTrusted) event.currentTarget.setPointerCapture(event.pointerId);
    drawing.current = true;
    if (painting.tool === 'hand') return;
    const point = pointOf(event);
    dispatch(changeProgram('brindle', (state) => markBegun(state, point, erasing || undefined)));
  };
  const draw = (event: PointerEvent<HTMLCanvasElement>) => {
    if (!drawing.current) return;
    if (painting.tool === 'hand') {
      const ticks = event.movementY / 20;
      dispatch(changeProgram('brindle', (state) => scrolled(state, ticks)));
      return;
    }
    const point = pointOf(event);
    dispatch(changeProgram('brindle', (state) => markDrawn(state, point)));
  };
  const end = () => {
    drawing.current = false;
  };
  const { size, zoom, paint, tool, layers, lastCommand } = painting;
  const selected = layers.filter((layer) => layer.selected).length;
  return (
    <>
      <Paper>
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
        <BrindleLayers />
      </Paper>
      <StatusLine
        facts={[
          [WORDS.tools[tool], `${size}`],
          [WORDS.zoom, `${Math.round(zoom * 100)} %`],
          [WORDS.colour, PAINT_NAMES[paint] ?? ''],
          [WORDS.layers, WORDS.selectedLayers(selected, layers.length)],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}
