import { BIN_DAYS, MOST_REVISION, revisionSchema } from '@nimble-lever/core/setup';
import { z } from 'zod';
import { DATABASE, id, type Operation, OUTSIDE, type Parameter, READING, revision } from './operation.ts';

/** A snapshot in the address. */
const snapshot: Parameter = { name: 'snapshot', in: 'path', what: 'The snapshot.', schema: z.uuid() };
/** Further answers of what is done to one snapshot. */
const SNAPSHOT = { ...READING, ...DATABASE, 404: 'There is no such snapshot.' };

/** Set-ups by name, and as they were. */
export const VAULT_OPERATIONS: readonly Operation[] = [
  {
    method: 'post',
    path: '/api/set-ups',
    id: 'makeSetUp',
    does: 'Makes a set-up: an empty one, one with ready-made devices, the demo, or one like another is or was.',
    parameters: [],
    body: 'NewSetUp',
    answer: 'Made',
    problems: {
      ...OUTSIDE,
      ...DATABASE,
      400: 'It is not said, or not as it should be, what it begins as.',
      404: 'There is no such set-up to be like.',
      409: 'There are as many as there may be.',
    },
  },
  {
    method: 'delete',
    path: '/api/set-ups/{id}',
    id: 'binSetUp',
    does: `Puts a set-up into the bin. It can still be read and edited; after ${BIN_DAYS} days it goes.`,
    parameters: [id],
    body: null,
    answer: 'Nothing',
    problems: { ...READING, ...DATABASE, 409: 'It is the only one that is not in the bin.' },
  },
  {
    method: 'post',
    path: '/api/set-ups/{id}/out-of-bin',
    id: 'takeOutOfBin',
    does: 'Takes a set-up out of the bin again.',
    parameters: [id],
    body: null,
    answer: 'Nothing',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}/moments',
    id: 'readMoments',
    does: 'When each edit was made and by whom, however long the log.',
    parameters: [id, revision('after', 'Of the edits after this revision; without it, of all.')],
    body: null,
    answer: 'Moments',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}/states/{revision}',
    id: 'readState',
    does: 'A set-up as it was right after an edit; 0: as it began.',
    parameters: [
      id,
      {
        name: 'revision',
        in: 'path',
        what: `The number of the edit, at most ${MOST_REVISION}.`,
        schema: revisionSchema,
      },
    ],
    body: null,
    answer: 'State',
    problems: {
      ...READING,
      ...DATABASE,
      404: 'There is no such set-up or edit, or an edit on the way cannot be read.',
    },
  },
  {
    method: 'post',
    path: '/api/set-ups/{id}/back',
    id: 'goBack',
    does: 'Makes a set-up what it was right after an edit, as one edit that can be undone.',
    parameters: [id],
    body: 'GoBack',
    answer: 'WentBack',
    problems: {
      ...READING,
      ...DATABASE,
      404: 'There is no such set-up or edit, or an edit on the way cannot be read.',
      409: 'It is too much for one edit, or it was changed meanwhile.',
    },
  },
  {
    method: 'get',
    path: '/api/set-ups/{id}/snapshots',
    id: 'listSnapshots',
    does: 'The snapshots of a set-up, newest first: those a person made, and those made by themselves.',
    parameters: [id],
    body: null,
    answer: 'SnapshotList',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'post',
    path: '/api/set-ups/{id}/snapshots',
    id: 'makeSnapshot',
    does: 'Keeps the set-up as it is now, under a name.',
    parameters: [id],
    body: 'NewSnapshot',
    answer: 'Made',
    problems: { ...READING, ...DATABASE },
  },
  {
    method: 'put',
    path: '/api/set-ups/{id}/snapshots/{snapshot}',
    id: 'renameSnapshot',
    does: 'Gives a snapshot that a person made another name and note.',
    parameters: [id, snapshot],
    body: 'SnapshotWords',
    answer: 'Nothing',
    problems: SNAPSHOT,
  },
  {
    method: 'delete',
    path: '/api/set-ups/{id}/snapshots/{snapshot}',
    id: 'removeSnapshot',
    does: 'Takes a snapshot away. The edits stay: its state can still be gone back to.',
    parameters: [id, snapshot],
    body: null,
    answer: 'Nothing',
    problems: SNAPSHOT,
  },
];
