import {
  pairAnswerSchema,
  pairedListSchema,
  pairingCodeSchema,
  pairSchema,
  reachedSchema,
  rightsSchema,
  visitorSchema,
} from '@nimble-lever/core/desks';
import { pictureSchema } from '@nimble-lever/core/devices';
import { setupDocumentSchema } from '@nimble-lever/core/formats';
import {
  appendAnswerSchema,
  appendSchema,
  entrySchema,
  historySchema,
  newsEntrySchema,
  problemSchema,
  revisionSchema,
  setUpListSchema,
  stateSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
import {
  goBackSchema,
  keepSchema,
  momentsSchema,
  newSetUpSchema,
  newSnapshotSchema,
  snapshotHeadSchema,
  snapshotWordsSchema,
  storageSchema,
  wentBackSchema,
} from '@nimble-lever/core/vault';
import { z } from 'zod';

/** What `GET /api/health` answers; revisions only to those who may read. */
export const healthSchema = z.object({
  name: z.literal('Nimble Lever'),
  version: z.string(),
  instance: z.string(),
  database: z.enum(['up', 'down']),
  revision: revisionSchema.nullable().optional(),
  setUps: setUpListSchema.optional(),
});

/** The schemas that requests and answers are made of, by the names they have in the document. */
export const API_SCHEMAS = {
  Health: healthSchema,
  Reached: reachedSchema,
  Visitor: visitorSchema,
  Rights: rightsSchema,
  PairingCode: pairingCodeSchema,
  Pair: pairSchema,
  PairAnswer: pairAnswerSchema,
  PairedList: pairedListSchema,
  Nothing: z.object({}),
  SetUpList: setUpListSchema,
  SetUp: storedSchema,
  History: historySchema,
  News: z.object({ entries: z.array(newsEntrySchema) }),
  Entry: entrySchema,
  Append: appendSchema,
  AppendAnswer: appendAnswerSchema,
  Picture: pictureSchema,
  SetUpFile: setupDocumentSchema,
  Storage: storageSchema,
  Keep: keepSchema,
  NewSetUp: newSetUpSchema,
  /** What was made, by its id. */
  Made: z.object({ id: z.string() }),
  Moments: momentsSchema,
  State: stateSchema,
  GoBack: goBackSchema,
  WentBack: wentBackSchema,
  SnapshotList: z.array(snapshotHeadSchema),
  NewSnapshot: newSnapshotSchema,
  SnapshotWords: snapshotWordsSchema,
  Problem: problemSchema,
} as const;
