import type { ShownFace } from '@nimble-lever/core/desks';
import type { Shape } from '@nimble-lever/core/devices';
import { controlFace } from '../pieces/controlFace.ts';
import { FaceImage, useShownPicture } from '../pieces/FaceImage.tsx';
import { faceParts } from '../pieces/faceParts.ts';
import { useIcon } from '../pieces/icons/useIcon.ts';

/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;

interface Props {
  readonly shape: Shape;
  readonly face: ShownFace;
  /** From the eye: millimetres. */
  readonly distance: number;
}

/** A face on a control of the panel, as large as it fits. */
export function PanelFace({ shape, face, distance }: Props) {
  const { label, isLabelled, icon, colour, picture } = controlFace(face, face.does);
  const Icon = useIcon(icon);
  const { shown, onMissing } = useShownPicture(picture);
  const parts = faceParts(shape, { label, isLabelled, icon: Icon ? icon : null, picture: shown }, distance);
  if (!parts) return null;
  const { x, y, width, height } = parts.room;
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / SCALE})`} pointerEvents="none">
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <div className={`words ${colour ?? ''}`} data-pictured={shown !== null} aria-hidden>
          {shown && <FaceImage picture={shown} onMissing={onMissing} />}
          {face.on && <span className="lamp" />}
          {face.queued > 0 && <span className="count">{face.queued}</span>}
          {Icon && parts.icon !== null && <Icon size={parts.icon * SCALE} strokeWidth={2.2} />}
          {parts.label && (
            <span className="text" style={{ fontSize: parts.label.size * SCALE }}>
              {parts.label.lines.map((line) => (
                <span key={line}>{line}</span>
              ))}
            </span>
          )}
        </div>
      </foreignObject>
    </g>
  );
}
