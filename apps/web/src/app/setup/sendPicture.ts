import { MOST_PICTURE_BYTES, type PictureUse, pictureSchema } from '@nimble-lever/core/devices';
import { problemSchema } from '@nimble-lever/core/setup';

/** What became of a picture that was sent. */
export type PictureOutcome =
  | { readonly kind: 'kept'; readonly id: string }
  | { readonly kind: 'stopped' }
  /** In words, where the server says them. */
  | { readonly kind: 'refused'; readonly why: string }
  | { readonly kind: 'too-large' | 'away' };

/** Sends a picture to be kept. Nothing is sent that would be refused for its size. */
export async function sendPicture(file: Blob, signal: AbortSignal, use: PictureUse): Promise<PictureOutcome> {
  if (file.size > MOST_PICTURE_BYTES) return { kind: 'too-large' };
  try {
    const response = await fetch(`/api/pictures?use=${use}`, { method: 'POST', body: file, signal });
    const body: unknown = await response.json().catch(() => null);
    const kept = response.ok && pictureSchema.safeParse(body).data;
    if (kept) return { kind: 'kept', id: kept.id };
    if (response.status === 413) return { kind: 'too-large' };
    const problem = problemSchema.safeParse(body).data;
    return problem && response.status < 500 ? { kind: 'refused', why: problem.detail } : { kind: 'away' };
  } catch {
    return { kind: signal.aborted ? 'stopped' : 'away' };
  }
}
