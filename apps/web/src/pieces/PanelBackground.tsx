import type { PanelPicture } from '@nimble-lever/core/devices';
import { FaceImage, useShownPicture } from './FaceImage.tsx';

/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;
/** As round as the edge of a panel: millimetres. */
const CORNER = 6;

interface Props {
  /** Of the panel: millimetres. */
  readonly width: number;
  readonly height: number;
  readonly picture: PanelPicture | null;
}

/** The picture of a page under its cells, from edge to edge of the panel. */
export function PanelBackground({ width, height, picture }: Props) {
  const { fit, ...lying } = picture ?? NONE;
  const { shown, onMissing } = useShownPicture(
    picture && { ...lying, fit: fit === 'whole' ? 'whole' : 'fill' },
  );
  if (!shown) return null;
  // Each so many times smaller than the page; from the corner, so that a template's picture lies to the point.
  const tiles = fit === 'tile' ? { background: `url(/api/pictures/${shown.id})` } : null;
  return (
    <g transform={`scale(${1 / SCALE})`} pointerEvents="none" aria-hidden>
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <div
          style={{
            width: '100%',
            height: '100%',
            overflow: 'hidden',
            borderRadius: CORNER * SCALE,
            ...tiles,
            backgroundSize: `${100 / shown.zoom}%`,
          }}
        >
          {!tiles && <FaceImage picture={shown} onMissing={onMissing} />}
        </div>
      </foreignObject>
    </g>
  );
}

const NONE: PanelPicture = { id: '', fit: 'fill', zoom: 1, x: 0.5, y: 0.5 };
