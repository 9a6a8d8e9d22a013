import {
  pairAnswerSchema,
  pairedListSchema,
  pairingCodeSchema,
  pairSchema,
  reachedSchema,
  rightsSchema,
  visitorSchema,
} from '@nimble-lever/core/desks';
import { MOST_PICTURE_BYTES, PICTURE_USES, pictureIdSchema, pictureSchema } from '@nimble-lever/core/devices';
import { setupDocumentSchema } from '@nimble-lever/core/formats';
import {
  appendAnswerSchema,
  appendSchema,
  entrySchema,
  historySchema,
  MOST_REQUEST_BYTES,
  newsEntrySchema,
  problemSchema,
  revisionSchema,
  setUpListSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
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
  Problem: problemSchema,
} as const;
/** The name of a schema in the document. */
export type ApiSchema = keyof typeof API_SCHEMAS;
/** Or a picture as a file, by its kind of content. */
export type Content = ApiSchema | 'image/*' | 'image/webp';

/** A number or text that an operation takes in its address. */
export interface Parameter {
  readonly name: string;
  readonly in: 'path' | 'query';
  /** What it is, for the page at `/api`. */
  readonly what: string;
  readonly schema: z.ZodType;
}

/** Something that can be asked of the server. */
export interface Operation {
  readonly method: 'get' | 'post' | 'delete';
  /** As OpenAPI writes it, with `{id}` for a parameter. */
  readonly path: string;
  /** `operationId` of OpenAPI: stays the same when the path does not. */
  readonly id: string;
  /** In a sentence. */
  readonly does: string;
  readonly parameters: readonly Parameter[];
  readonly body: Content | null;
  /** What is answered with 200. */
  readonly answer: Content;
  /** Status codes besides 200, and when they come; each with a problem. */
  readonly problems: Readonly<Record<number, string>>;
}

/** The set-up in the address of an operation. */
const id: Parameter = { name: 'id', in: 'path', what: 'The set-up.', schema: z.string() };
/** A code or a paired browser in the address. */
const pairing = (what: string): Parameter => ({ name: 'id', in: 'path', what, schema: z.uuid() });
/** Whose edits are asked for. */
const author = (what: string): Parameter => ({ name: 'author', in: 'query', what, schema: z.uuid() });
/** A revision in the query; which one, `what` says. */
const revision = (name: string, what: string): Parameter => ({
  name,
  in: 'query',
  what,
  schema: revisionSchema,
});

/** Answers that every operation may give. */
const OUTSIDE = { 403: 'Another page’s request, or from a browser that may not ask this.' };
/** Given by every operation that needs the database; nothing is half done then. */
const DATABASE = { 503: 'The database is away. Nothing was changed; try again.' };
/** Further answers of the operations that read. */
const READING = { ...OUTSIDE, 400: 'The address is not as it should be.', 404: 'There is no such set-up.' };

/** Everything the server answers; what there is in `routes/` and not here does not pass the tests. */
export const OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/health',
    id: 'health',
    does: 'Whether the server and its database work.',
    parameters: [],
    body: null,
    answer: 'Health',
    problems: DATABASE,
  },
  {
    method: 'get',
    path: '/api/reached',
    id: 'reached',
    does: 'How the server is reached from other devices: where it listens, and under which addresses.',
    parameters: [],
    body: null,
    answer: 'Reached',
    problems: OUTSIDE,
  },
  {
    method: 'get',
    path: '/api/visitor',
    id: 'visitor',
    does: 'Who asks, as the server takes it, and what it may do.',
    parameters: [],
    body: null,
    answer: 'Visitor',
    problems: { ...OUTSIDE, ...DATABASE },
  },
  {
    method: 'post',
    path: '/api/pair',
    id: 'pair',
    does: 'Pairs this browser by a code: it gets a cookie that lets it in. The one thing a stranger may ask.',
    parameters: [],
    body: 'Pair',
    answer: 'PairAnswer',
    problems: {
      ...DATABASE,
      400: 'A code is six digits.',
      403: 'No code that is good now is this one; it counts as a try.',
    },
  },
  {
    method: 'get',
    path: '/api/pairings',
    id: 'listPairings',
    does: 'The browsers that were paired, who was seen last first.',
    parameters: [],
    body: null,
    answer: 'PairedList',
    problems: { ...OUTSIDE, ...DATABASE },
  },
  {
    method: 'post',
    path: '/api/pairings/codes',
    id: 'makeCode',
    does: 'Makes a code of six digits that gives a browser some rights, good once, for two minutes and five tries.',
    parameters: [],
    body: 'Rights',
    answer: 'PairingCode',
    problems: { ...OUTSIDE, ...DATABASE, 400: 'There are no such rights.' },
  },
  {
    method: 'get',
    path: '/api/pairings/codes/{id}',
    id: 'readCode',
    does: 'How a code stands: how long it is good, and which browser used it.',
    parameters: [pairing('The code.')],
    body: null,
    answer: 'PairingCode',
    problems: { ...OUTSIDE, ...DATABASE, 404: 'There is no such code any more.' },
  },
  {
    method: 'delete',
    path: '/api/pairings/codes/{id}',
    id: 'withdrawCode',
    does: 'Withdraws a code: it lets nobody in any more.',
    parameters: [pairing('The code.')],
    body: null,
    answer: 'Nothing',
    problems: { ...OUTSIDE, ...DATABASE },
  },
  {
    method: 'delete',
    path: '/api/pairings/{id}',
    id: 'forget',
    does: 'Forgets a paired browser: it is let in no more, and what it has open ends.',
    parameters: [pairing('The browser.')],
    body: null,
    answer: 'Nothing',
    problems: { ...OUTSIDE, ...DATABASE, 404: 'It was forgotten already.' },
  },
  {
    method: 'get',
    path: '/api/set-ups',
    id: 'listSetUps',
    does: 'The set-ups there are, with their revisions.',
    parameters: [],
    body: null,
    answer: 'SetUpList',
    problems: { ...OUTSIDE, ...DATABASE },
  },
  {
    method: 'get',
    path: '/api/set-up',
    id: 'readFirstSetUp',
    does: 'The set-up that is shown first, as it is now, with the newest edits of an author where one is named.',
    parameters: [author('Whose newest edits to give with it.')],
    body: null,
    answer: 'SetUp',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}',
    id: 'readSetUp',
    does: 'A whole set-up as it is now, with the newest edits of an author where one is named.',
    parameters: [id, author('Whose newest edits to give with it.')],
    body: null,
    answer: 'SetUp',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}/edits',
    id: 'readEdits',
    does: 'Entries of the log: those after a revision, or the newest before one, of everyone or of an author.',
    parameters: [
      id,
      revision('after', 'Entries after this revision.'),
      revision('before', 'The newest entries before this revision.'),
      author('Whose entries, with `before`; without it, everyone’s.'),
    ],
    body: null,
    answer: 'History',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'post',
    path: '/api/set-ups/{id}/edits',
    id: 'appendEdits',
    does:
      'Saves entries, each by itself, onto what is there now; tells what became of each and what the sender had ' +
      'missed. An entry whose id is in the log already is not saved twice.',
    parameters: [id],
    body: 'Append',
    answer: 'AppendAnswer',
    problems: {
      ...READING,
      ...DATABASE,
      413: `More than ${MOST_REQUEST_BYTES.toLocaleString('en')} bytes.`,
    },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}/file',
    id: 'saveSetUp',
    does: 'A whole set-up as a file to keep, with the pictures of its faces inside.',
    parameters: [id],
    body: null,
    answer: 'SetUpFile',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'post',
    path: '/api/pictures',
    id: 'addPicture',
    does: 'Keeps a picture for faces and pages: PNG, JPEG, WebP or SVG. The same one is kept once.',
    parameters: [
      { name: 'use', in: 'query', what: 'Where it is seen.', schema: z.enum(PICTURE_USES).default('face') },
    ],
    body: 'image/*',
    answer: 'Picture',
    problems: {
      ...OUTSIDE,
      ...DATABASE,
      413: `More than ${MOST_PICTURE_BYTES.toLocaleString('en')} bytes.`,
      422: 'It is no picture, whatever it claims to be, or one that cannot be read.',
    },
  },
  {
    method: 'get',
    path: '/api/pictures/{id}',
    id: 'readPicture',
    does: 'A picture as it is kept. It never changes.',
    parameters: [{ name: 'id', in: 'path', what: 'Its SHA-256.', schema: pictureIdSchema }],
    body: null,
    answer: 'image/webp',
    problems: {
      ...OUTSIDE,
      ...DATABASE,
      400: 'The address is not as it should be.',
      404: 'It is not kept here.',
    },
  },
];
