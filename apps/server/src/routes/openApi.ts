import { z } from 'zod';
import { API_SCHEMAS } from './apiSchemas.ts';
import type { ApiSchema, Content, Operation } from './operation.ts';
import { OPERATIONS } from './operations.ts';

/** The part of an OpenAPI 3.1 document that we write (OpenAPI Specification 3.1.1, section 4.8). */
interface OpenApi {
  readonly openapi: '3.1.1';
  readonly info: { readonly title: string; readonly version: string; readonly description: string };
  readonly paths: Readonly<Record<string, Readonly<Record<string, object>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}

/** What the server answers as an OpenAPI 3.1 document, made from the schemas that check it. */
export function openApi(version: string): OpenApi {
  const paths: Record<string, Record<string, object>> = {};
  for (const operation of OPERATIONS) {
    paths[operation.path] = { ...paths[operation.path], [operation.method]: operationObject(operation) };
  }
  return {
    openapi: '3.1.1',
    info: {
      title: 'Nimble Lever',
      version,
      description:
        'Set-ups are read whole and changed by edits. News come over a WebSocket at `/api/live`. Requests must come from ' +
        'the server’s own pages or from no page at all.',
    },
    paths,
    components: { schemas: componentSchemas() },
  };
}

/** An operation as OpenAPI 3.1 has it (4.8.10). */
function operationObject({ id, does, parameters, body, answer, problems }: Operation): object {
  // A file is described by its kind alone (OpenAPI 3.1, 4.8.14.3).
  const json = (name: Content) =>
    isSchema(name)
      ? { content: { 'application/json': { schema: { $ref: `#/components/schemas/${name}` } } } }
      : { content: { [name]: {} } };
  const problem = {
    content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
  };
  return {
    operationId: id,
    summary: does,
    parameters: parameters.map(({ name, in: where, what, schema }) => ({
      name,
      in: where,
      description: what,
      required: where === 'path',
      schema: bare(z.toJSONSchema(schema, { io: 'input' })),
    })),
    ...(body ? { requestBody: { required: true, ...json(body) } } : {}),
    responses: {
      200: { description: 'Done.', ...json(answer) },
      ...Object.fromEntries(
        Object.entries(problems).map(([status, when]) => [status, { description: when, ...problem }]),
      ),
    },
  };
}

/** Whether content is JSON with a schema of its own. */
function isSchema(content: Content): content is ApiSchema {
  return Object.hasOwn(API_SCHEMAS, content);
}

/** Every schema by name; what one defines inside itself stands beside it, where references in OpenAPI look for it. */
function componentSchemas(): Readonly<Record<string, object>> {
  const schemas: Record<string, object> = {};
  for (const [name, schema] of Object.entries(API_SCHEMAS)) {
    const text = JSON.stringify(
      z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'ref' }),
    ).replaceAll('"#/$defs/', `"#/components/schemas/${name}.`);
    const { $defs = {}, ...whole } = bare(JSON.parse(text)) as { $defs?: Record<string, object> };
    schemas[name] = whole;
    for (const [inside, defined] of Object.entries($defs)) schemas[`${name}.${inside}`] = defined;
  }
  return schemas;
}

/** A schema without the address of its language, which the document says for all. */
function bare({ $schema: _language, ...schema }: Record<string, unknown>): object {
  return schema;
}
