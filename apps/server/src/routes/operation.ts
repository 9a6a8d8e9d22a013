import { revisionSchema } from '@nimble-lever/core/setup';
import { z } from 'zod';
import type { API_SCHEMAS } from './apiSchemas.ts';

/** The name of a schema in the document. */
export type ApiSchema = keyof typeof API_SCHEMAS;
/** Or a picture as a file, by its kind of content. */
export type Content = ApiSchema | 'image/*' | 'image/webp' | 'text/plain';

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
  readonly method: 'get' | 'post' | 'put' | 'delete';
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
export const id: Parameter = { name: 'id', in: 'path', what: 'The set-up.', schema: z.string() };
/** Whose edits are asked for. */
export const author = (what: string): Parameter => ({ name: 'author', in: 'query', what, schema: z.uuid() });
/** A revision in the query; which one, `what` says. */
export const revision = (name: string, what: string): Parameter => ({
  name,
  in: 'query',
  what,
  schema: revisionSchema,
});

/** Answers that every operation may give. */
export const OUTSIDE = { 403: 'Another page’s request, or from a browser that may not ask this.' };
/** Given by every operation that needs the database; nothing is half done then. */
export const DATABASE = { 503: 'The database is away. Nothing was changed; try again.' };
/** Further answers of the operations that read. */
export const READING = {
  ...OUTSIDE,
  400: 'The address is not as it should be.',
  404: 'There is no such set-up.',
};
