import { type Control, controlsOn, readingDistance } from '@nimble-lever/core/devices';
import { CAPITALS } from '@nimble-lever/core/drawing';
import {
  type CellProblem,
  contrastOver,
  drawnPicture,
  neededContrast,
  type PanelPage,
  type Rgb,
} from '@nimble-lever/core/panels';
import { useEffect, useState } from 'react';
import { PAPER } from '../../../app/theme/tokens.ts';
import { cellFace } from '../../../pieces/controlFace.ts';
import { faceParts } from '../../../pieces/faceParts.ts';

/** So fine a picture is looked at: pixels a millimetre. */
const FINE = 3;
/** From line to line, of a font's size. */
const LINE = 1.12;

type LowContrast = Extract<CellProblem, { kind: 'low-contrast' }>;
const NONE: ReadonlyMap<string, LowContrast> = new Map();

/**
 * The words on a page that do not stand out from its picture, by cell: those that stand on the picture itself, looked at in
 * its pixels. None until the picture is there.
 */
export function usePictureContrast({ device, page, bases }: PanelPage): ReadonlyMap<string, LowContrast> {
  const [found, setFound] = useState(NONE);
  const picture = (page ?? device.panel)?.picture ?? null;
  // The same pages are the same, whenever they were found.
  const under = bases.join(' ');
  useEffect(() => {
    const words = controlsOn(device, page?.id ?? null, under === '' ? [] : under.split(' ')).filter(
      standsOnPicture,
    );
    let isOver = false;
    setFound(NONE);
    if (!picture || words.length === 0) return;
    const image = new Image();
    image.src = `/api/pictures/${picture.id}`;
    image.decode().then(
      () => {
        if (isOver) return;
        const canvas = document.createElement('canvas');
        canvas.width = Math.ceil(device.width * FINE);
        canvas.height = Math.ceil(device.height * FINE);
        const pen = canvas.getContext('2d', { willReadFrequently: true });
        if (!pen) return;
        for (const { x, y, width, height } of drawnPicture(device, image, picture)) {
          pen.drawImage(image, x * FINE, y * FINE, width * FINE, height * FINE);
        }
        const distance = readingDistance(device);
        setFound(new Map(words.flatMap((control) => lowContrast(control, pen, distance))));
      },
      // It is not kept any more, or the server is away: there is nothing to look at.
      () => undefined,
    );
    return () => {
      isOver = true;
    };
  }, [device, page, picture, under]);
  return found;
}

function standsOnPicture({ kind, cell }: Control): boolean {
  return kind === 'words' && cell !== null && cell.letters !== 'paper';
}

/** What is wrong with the words of a cell over a picture, as it is drawn; nothing where they can be read. */
function lowContrast(
  control: Control,
  pen: CanvasRenderingContext2D,
  distance: number,
): readonly (readonly [string, LowContrast])[] {
  const face = cellFace(control);
  const parts = face && faceParts(control.shape, { ...face, picture: null }, distance, 0, control.cell);
  if (!parts?.label || !control.cell) return [];
  const { room, label } = parts;
  const high = Math.min(room.height, label.lines.length * label.size * LINE);
  const { labelPlace, letters } = control.cell;
  const top = labelPlace.startsWith('top')
    ? room.y
    : labelPlace.startsWith('bottom')
      ? room.y + room.height - high
      : room.y + (room.height - high) / 2;
  const wide = Math.max(1, Math.round(room.width * FINE));
  const { data } = pen.getImageData(
    Math.round(room.x * FINE),
    Math.round(top * FINE),
    wide,
    Math.max(1, Math.round(high * FINE)),
  );
  const ratio = contrastOver(data, rgb(PAPER.sunk), rgb(letters === 'light' ? PAPER.onFace : PAPER.face.ink));
  const needed = neededContrast(label.size * CAPITALS, distance);
  return ratio < needed ? [[control.id, { kind: 'low-contrast', ratio, needed }]] : [];
}

/** A colour of the theme: `#1D2430`. */
function rgb(colour: string): Rgb {
  const part = (at: number) => Number.parseInt(colour.slice(at, at + 2), 16);
  return [part(1), part(3), part(5)];
}
