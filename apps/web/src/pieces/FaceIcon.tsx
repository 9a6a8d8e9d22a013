import type { Face } from '@nimble-lever/core/setup';
import type { LucideIcon } from 'lucide-react';
import { FaceImage, useShownPicture } from './FaceImage.tsx';
import { useIcon } from './icons/useIcon.ts';

interface Props {
  /** Null where there is none. */
  readonly face: (Pick<Face, 'icon'> & { readonly picture?: Face['picture'] | undefined }) | null;
  /** Pixels. */
  readonly size: number;
  /** What is shown where the face has neither. */
  readonly fallback?: LucideIcon;
}

/** What a face shows beside its name in small: its picture, else its icon. */
export function FaceIcon({ face, size, fallback }: Props) {
  const Icon = useIcon(face?.icon ?? null) ?? fallback;
  const { shown, onMissing } = useShownPicture(face?.picture ?? null);
  if (!shown) return Icon ? <Icon size={size} aria-hidden /> : null;
  return (
    <span style={{ flex: 'none', width: size, height: size, borderRadius: size / 5, overflow: 'hidden' }}>
      <FaceImage picture={shown} onMissing={onMissing} />
    </span>
  );
}
