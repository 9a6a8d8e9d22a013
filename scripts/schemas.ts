// Writes docs/schema from the Zod schemas. A test checks that what is committed is what this writes.
import { writeFileSync } from 'node:fs';
import { jsonSchemas } from '../packages/core/src/formats/index.ts';

for (const [name, schema] of Object.entries(jsonSchemas())) {
  const file = new URL(`../docs/schema/${name}.schema.json`, import.meta.url);
  writeFileSync(file, `${JSON.stringify(schema, null, 2)}\n`);
  console.log(`docs/schema/${name}.schema.json`);
}
