// Writes what the docs show of the formats: the JSON Schemas, the demo set-up, the sample descriptors. A test checks
// that what is committed is what this writes.
import { writeFileSync } from 'node:fs';
import { SAMPLES } from '../packages/core/src/devices/hid/index.ts';
import { jsonSchemas, writeSetupDocument } from '../packages/core/src/formats/index.ts';
import { demoSetup } from '../packages/core/src/setup/index.ts';

function write(place: string, text: string): void {
  writeFileSync(new URL(`../docs/${place}`, import.meta.url), text);
  console.log(`docs/${place}`);
}

for (const [name, schema] of Object.entries(jsonSchemas())) {
  write(`schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
write('examples/demo.set-up.json', writeSetupDocument(demoSetup()));
for (const { id, name, about, descriptor } of SAMPLES) {
  const lines = descriptor.replace(/((?:\S\S ){15}\S\S) /g, '$1\n');
  write(`examples/${id}.hex`, `// ${name}: ${about}\n${lines}\n`);
}
