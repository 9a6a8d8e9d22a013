import type { FacePicture } from '@nimble-lever/core/devices';
import { type CSSProperties, useState } from 'react';

/** A picture that is still kept; null where there is none, or it could not be read. */
export function useShownPicture(picture: FacePicture | null) {
  const [missing, setMissing] = useState<string | null>(null);
  const shown = picture && picture.id !== missing ? picture : null;
  return { shown, onMissing: () => setMissing(picture?.id ?? null) };
}

interface Props {
  readonly picture: FacePicture;
  /** It is not kept any more, or the server is away and it was never shown here. */
  readonly onMissing: () => void;
  readonly onLoad?: (image: HTMLImageElement) => void;
  readonly style?: CSSProperties;
}

/** A picture as it lies on a face, filling the box it is in. What it shows is told by the control's name. */
export function FaceImage({ picture: { id, fit, zoom, x, y }, onMissing, onLoad, style }: Props) {
  const at = `${x * 100}% ${y * 100}%`;
  return (
    <img
      src={`/api/pictures/${id}`}
      alt=""
      draggable={false}
      decoding="async"
      onError={onMissing}
      onLoad={({ currentTarget }) => onLoad?.(currentTarget)}
      style={{
        display: 'block',
        width: '100%',
        height: '100%',
        objectFit: fit === 'fill' ? 'cover' : 'contain',
        objectPosition: at,
        // What lies at the place stays there, however close one looks.
        transform: zoom === 1 ? undefined : `scale(${zoom})`,
        transformOrigin: at,
        ...style,
      }}
    />
  );
}
