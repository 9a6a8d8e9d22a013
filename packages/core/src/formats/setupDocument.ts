import { z } from 'zod';
import { because, idSchema, pictureIdSchema } from '../devices/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import { setupWithIds } from '../setup/edits/version1/index.ts';
import { setupWithPages } from '../setup/edits/version2/index.ts';
import { findFaults, type Setup, settled, setupSchema } from '../setup/index.ts';
import { canonicalJson } from './canonicalJson.ts';
import type { FormatProblem } from './problem.ts';
import { MOST_TOLD, readVersioned } from './versioned.ts';

/**
 * The version that is written. Version 1 had no ids on rules, steps and items of radial menus; up to version 2 shortcuts
 * were places of a United States keyboard, which are read as the characters it has there; up to version 3 a layer could be
 * shown as a page; up to version 4 a file held all of a set-up, its names in the order in which they were made.
 */
export const SETUP_VERSION = 5;

/** The kinds of things that a file can be about, where it is not about all of a set-up. */
export const PART_FILE_KINDS = ['device', 'program', 'profile', 'macro'] as const;
/** What a file is about: the rest of what it holds is only there because that needs it. */
const partSchema = z.strictObject({ kind: z.enum(PART_FILE_KINDS), id: idSchema });
/** What a file is about. */
export type FilePart = z.infer<typeof partSchema>;

/** Pictures by their ids, each as a `data:` URL (RFC 2397), so that any program can show them. */
const picturesSchema = z.record(
  pictureIdSchema,
  z.string().regex(/^data:image\/webp;base64,[A-Za-z0-9+/]+={0,2}$/, because('picture-data')),
);

/** A set-up, or a part of one, as a file: `{ "format": "nimble-lever/set-up", "version": 5, "setup": …, "part": …, "pictures": … }`. */
export const setupDocumentSchema = z.strictObject({
  format: z.literal('nimble-lever/set-up'),
  version: z.literal(SETUP_VERSION),
  setup: setupSchema,
  /** Left out where the file is about all of the set-up. */
  part: partSchema.optional(),
  pictures: picturesSchema.optional(),
});

/** A set-up with the pictures of its faces, as a file carries them. */
export interface SetupFile {
  readonly setup: Setup;
  /** What the file is about; null where it is about all of it. */
  readonly part: FilePart | null;
  /** As `data:` URLs by their ids; whether one is what its id says, whoever keeps it finds out. */
  readonly pictures: Readonly<Record<string, string>>;
}

/** A set-up of an older version as this one has it; whether it is as it should be is still to be found out. */
function setupUpToDate(version: number, setup: unknown): unknown {
  if (version >= 4) return setup;
  return setupWithPages(version === 1 ? setupWithIds(setup) : setup);
}

/** A set-up that was kept as JSON by this version or an older one; null where it cannot be read. */
export function readKeptSetup(version: number, setup: unknown): Setup | null {
  const upToDate = version < SETUP_VERSION ? setupUpToDate(version, setup) : setup;
  return version <= SETUP_VERSION ? (setupSchema.safeParse(upToDate).data ?? null) : null;
}

/** Reads a set-up document; what is wrong with it comes with its place and path, at most 50 things. */
export function readSetupDocument(text: string): Result<SetupFile, readonly FormatProblem[]> {
  const read = readVersioned(text, {
    format: 'nimble-lever/set-up',
    version: SETUP_VERSION,
    schema: setupDocumentSchema,
    upToDate: (document) => ({
      ...document,
      version: SETUP_VERSION,
      setup: setupUpToDate(document.version, document.setup),
    }),
  });
  if (!read.ok) return read;
  const { at, document } = read.value;
  const faults = findFaults(document.setup).slice(0, MOST_TOLD);
  if (faults.length === 0) {
    const { setup, part = null, pictures = {} } = document;
    return ok({ setup: settled(setup), part, pictures });
  }
  return refuse(
    faults.map(({ at: path, refusal }) => ({
      ...at(['setup', ...path]),
      what: { kind: 'refusal', refusal },
    })),
  );
}

/** Writes a set-up as a document, with the pictures there are: the same text for the same content. */
export function writeSetupDocument(
  setup: Setup,
  pictures: SetupFile['pictures'] = {},
  part: FilePart | null = null,
): string {
  const document: z.infer<typeof setupDocumentSchema> = {
    format: 'nimble-lever/set-up',
    version: SETUP_VERSION,
    setup,
    ...(part && { part }),
    ...(Object.keys(pictures).length > 0 && { pictures }),
  };
  return canonicalJson(document);
}
