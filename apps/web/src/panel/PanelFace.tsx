import type { ShownFace } from '@nimble-lever/core/desks';
import type { Control } from '@nimble-lever/core/devices';
import { cellFace, controlFace } from '../pieces/controlFace.ts';
import { FaceImage, useShownPicture } from '../pieces/FaceImage.tsx';
import { faceParts, placeStyles } from '../pieces/faceParts.ts';
import { useIcon } from '../pieces/icons/useIcon.ts';

/** Browsers place what is drawn in a drawing at whole units: a tenth of a millimetre here. */
const SCALE = 10;

interface Props {
  readonly control: Control;
  /** What the desk says it shows; nothing for a cell that is only looked at. */
  readonly face: ShownFace | undefined;
  /** It stands on a picture: its words get paper of their own, or letters that suit it. */
  readonly onPicture: boolean;
  /** From the eye: millimetres. */
  readonly distance: number;
}

/** A face on a control of the panel, as large as it fits. */
export function PanelFace({ control, face, onPicture, distance }: Props) {
  const { shape, cell } = control;
  const drawn = cellFace(control) ?? controlFace(face ?? null, face?.does ?? '');
  const { label, isLabelled, icon, colour, picture } = drawn;
  const Icon = useIcon(icon);
  const { shown, onMissing } = useShownPicture(picture);
  const parts = faceParts(
    shape,
    { label, isLabelled, icon: Icon ? icon : null, picture: shown },
    distance,
    0,
    cell,
  );
  if (!parts) return null;
  const { x, y, width, height } = parts.room;
  return (
    <g transform={`translate(${x} ${y}) scale(${1 / SCALE})`} pointerEvents="none">
      <foreignObject width={width * SCALE} height={height * SCALE}>
        <div
          className={`words ${colour ?? ''}`}
          data-pictured={shown !== null}
          style={cell ? placeStyles(cell.labelPlace) : undefined}
          aria-hidden
        >
          {shown && <FaceImage picture={shown} onMissing={onMissing} />}
          {face?.on && <span className="lamp" />}
          {face !== undefined && face.queued > 0 && <span className="count">{face.queued}</span>}
          {Icon && parts.icon !== null && <Icon size={parts.icon * SCALE} strokeWidth={2.2} />}
          {parts.label && (
            <span
              className={onPicture ? `text ${cell?.letters ?? 'paper'}` : 'text'}
              style={{ fontSize: parts.label.size * SCALE }}
            >
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
