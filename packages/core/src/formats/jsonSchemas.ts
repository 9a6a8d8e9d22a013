import { z } from 'zod';
import { engineEventSchema, strokeSchema } from '../engine/index.ts';
import { commandListDocumentSchema } from './commandListDocument.ts';
import { controlSetSchema, startingProfileSchema } from './readyMadeDocuments.ts';
import { setupDocumentSchema } from './setupDocument.ts';

/** The JSON Schema (draft 2020-12) of each format, by the name of its file. */
export function jsonSchemas(): Readonly<Record<string, object>> {
  const schemaOf = (title: string, schema: z.ZodType) => ({
    title,
    ...z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'ref' }),
  });
  return {
    'set-up': schemaOf('Nimble Lever set-up document', setupDocumentSchema),
    'command-list': schemaOf('Nimble Lever list of commands', commandListDocumentSchema),
    'starting-profile': schemaOf('Nimble Lever starting profile', startingProfileSchema),
    'control-set': schemaOf('Nimble Lever set for one control', controlSetSchema),
    event: schemaOf('One event of a recording', engineEventSchema),
    stroke: schemaOf('One stroke sent out', strokeSchema),
  };
}
