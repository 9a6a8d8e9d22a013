import { PICTURE_USES, pictureIdSchema } from '@nimble-lever/core/devices';
import { z } from 'zod';
import { Problem } from '../problem/problem.ts';
import type { KeptPicture } from '../store/pictureStore.ts';
import { checkedPicture, preparePicture } from './preparePicture.ts';

const bytesSchema = z.custom<Uint8Array>((value) => value instanceof Uint8Array);

/** What a picture process is asked: to make a picture ready, or to check one that was. */
export const pictureAskSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('prepare'), use: z.enum(PICTURE_USES), given: bytesSchema }),
  z.strictObject({ kind: z.literal('check'), id: pictureIdSchema, given: bytesSchema }),
]);
export type PictureAsk = z.infer<typeof pictureAskSchema>;

/** What it answers. */
export const pictureAnswerSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('picture'),
    id: pictureIdSchema,
    width: z.number(),
    height: z.number(),
    bytes: bytesSchema,
  }),
  z.strictObject({ kind: z.literal('refused'), status: z.number(), title: z.string(), detail: z.string() }),
  z.strictObject({ kind: z.literal('failed'), message: z.string() }),
]);
export type PictureAnswer = z.infer<typeof pictureAnswerSchema>;

/** Does what is asked; what is wrong with a picture is an answer, too. */
export async function answerPicture(asked: unknown): Promise<PictureAnswer> {
  try {
    const ask = pictureAskSchema.parse(asked);
    const made: KeptPicture =
      ask.kind === 'prepare'
        ? await preparePicture(ask.given, ask.use)
        : await checkedPicture(ask.id, ask.given);
    return { kind: 'picture', ...made };
  } catch (error) {
    if (error instanceof Problem) {
      const { status, title, detail } = error;
      return { kind: 'refused', status, title, detail };
    }
    return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}
