import { z } from 'zod';
import { API_SCHEMAS } from './apiSchemas.ts';
import { openApi } from './openApi.ts';
import { OPERATIONS } from './operations.ts';

const document = openApi('1.2.3');

test('every operation is in the document once, with its parameters, its answer and its problems', () => {
  expect(document).toMatchObject({ openapi: '3.1.1', info: { version: '1.2.3' } });
  const ids = Object.values(document.paths).flatMap((methods) =>
    Object.values(methods).map((operation) => (operation as { operationId: string }).operationId),
  );
  expect(ids.toSorted()).toEqual(OPERATIONS.map(({ id }) => id).toSorted());
  for (const { path, parameters } of OPERATIONS) {
    const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name);
    expect(parameters.filter((each) => each.in === 'path').map(({ name }) => name)).toEqual(inPath);
  }
});

test('every reference leads to a schema, and no schema says another language than the document', () => {
  const text = JSON.stringify(document);
  const references = [...text.matchAll(/"\$ref":"([^"]+)"/g)].map(([, to = '']) => to);
  expect(references.length).toBeGreaterThan(20);
  for (const to of new Set(references)) {
    const name = to.replace('#/components/schemas/', '');
    expect([to, Object.hasOwn(document.components.schemas, name)]).toEqual([to, true]);
  }
  expect(text).not.toMatch(/\$defs|\$schema/);
});

test('the document is made from the schemas that check', () => {
  const own = z.toJSONSchema(API_SCHEMAS.Append, { io: 'input', unrepresentable: 'any' });
  expect(document.components.schemas.Append).toMatchObject({ required: own.required ?? [] });
});
