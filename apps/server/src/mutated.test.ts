import { Agent, request } from 'node:http';
import { connect } from 'node:net';
import {
  applyEdit,
  checkSetup,
  demoSetup,
  logEntrySchema,
  setupSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
import { fuzzAsync, fuzzRuns } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { pino } from 'pino';
import { z } from 'zod';
import { DEMO_ID, type RunningServer } from './server.ts';
import { newDatabase } from './testing/database.ts';
import { type AnyRequest, anyBytes, anyRequest } from './testing/mutations.ts';
import { startTestServer } from './testing/testServer.ts';

const REQUESTS_A_RUN = 20;
/** How many there are in full: requests and connections, twenty a run. */
const RUNS = 9_000 / REQUESTS_A_RUN;
const CONNECTIONS = 2_000 / 20;

let server: RunningServer;
let drop: () => Promise<void>;
let port: number;
const logged: string[] = [];
const agent = new Agent({ keepAlive: true, maxSockets: 20 });
beforeAll(async () => {
  const database = await newDatabase();
  drop = database.drop;
  const log = pino({ level: 'error' }, { write: (line: string) => logged.push(line) });
  server = await startTestServer(database.url, { WEB_DIST: __dirname }, log);
  port = Number(new URL(server.address).port);
});
afterAll(async () => {
  agent.destroy();
  await server?.close();
  await drop?.();
});

/** Sends a request as it is, with nothing made right on the way; gives status, type and text. */
function send({
  method,
  path: where,
  type,
  body,
}: AnyRequest): Promise<{ status: number; type: string; text: string }> {
  return new Promise((resolve, reject) => {
    const options = {
      host: '127.0.0.1',
      port,
      method,
      path: where,
      agent,
      headers: { 'content-type': type },
    };
    const sent = request(options, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (part) => {
        text += part;
      });
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, type: response.headers['content-type'] ?? '', text }),
      );
    });
    sent.on('error', reject);
    sent.end(body ?? undefined);
  });
}

const outcomesSchema = z.object({ outcomes: z.array(z.object({ kind: z.string() })) });

test('no request, however wrong, is answered by an error of the server or ends it', async () => {
  const kinds = new Map<string, number>();
  const count = (kind: string) => kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
  await fuzzAsync(
    fc.asyncProperty(
      fc.array(anyRequest(), { minLength: REQUESTS_A_RUN, maxLength: REQUESTS_A_RUN, size: 'max' }),
      async (requests) => {
        const answers = await Promise.all(requests.map(send));
        for (const [i, { status, type, text }] of answers.entries()) {
          const said = `${JSON.stringify(requests[i])} → ${status} ${text.slice(0, 500)}`;
          count(String(status));
          if (status >= 500) throw new Error(said);
          if (status >= 400 && requests[i]?.method !== 'HEAD' && !type.startsWith('application/problem+json'))
            throw new Error(said);
          if (/node_modules|\bat \w+ \(/.test(text)) throw new Error(said);
          const { data } = outcomesSchema.safeParse(
            text !== '' && type.startsWith('application/json') ? JSON.parse(text) : null,
          );
          for (const { kind } of data?.outcomes ?? []) {
            count(kind);
            if (kind === 'failed') throw new Error(said);
          }
        }
      },
    ),
    RUNS,
  );
  // The test would say nothing if all were refused at the door.
  const runs = fuzzRuns(RUNS).reduce((sum, each) => sum + each.runs, 0);
  expect(kinds.get('saved')).toBeGreaterThan(runs);
  expect(kinds.get('refused')).toBeGreaterThan(runs);
  expect(logged).toEqual([]);
  // So many requests take a slow machine longer than a test is given by itself.
}, 600_000);

test('no bytes on a connection, torn off or not, end the server', async () => {
  await fuzzAsync(
    fc.asyncProperty(
      fc.array(fc.tuple(anyBytes(), fc.boolean()), { minLength: 20, maxLength: 20 }),
      async (all) => {
        await Promise.all(all.map(([bytes, reset]) => speak(bytes, reset)));
        expect((await send({ method: 'GET', path: '/api/health', type: '', body: null })).status).toBe(200);
      },
    ),
    CONNECTIONS,
  );
  expect(logged).toEqual([]);
});

function speak(bytes: Uint8Array, reset: boolean): Promise<void> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1', () => {
      socket.write(bytes);
      setTimeout(() => (reset ? socket.resetAndDestroy() : socket.destroy()), 10);
    });
    socket.on('error', () => undefined);
    socket.on('close', () => resolve());
  });
}

test('after all that nothing is half applied: the log leads to the set-up, which is sound and read anew the same', async () => {
  const stored = storedSchema.parse(
    JSON.parse((await send({ method: 'GET', path: `/api/set-ups/${DEMO_ID}`, type: '', body: null })).text),
  );
  expect(checkSetup(stored.setup)).toEqual([]);
  let setup = demoSetup();
  for (let after = 0; after < stored.revision; ) {
    const page = await send({
      method: 'GET',
      path: `/api/set-ups/${DEMO_ID}/edits?after=${after}`,
      type: '',
      body: null,
    });
    const { entries } = z.object({ entries: z.array(logEntrySchema) }).parse(JSON.parse(page.text));
    for (const { edit, revision } of entries) {
      const applied = edit && applyEdit(setup, edit);
      if (!applied?.ok) throw new Error(`Revision ${revision} does not apply.`);
      setup = applied.value.setup;
      after = revision;
    }
  }
  expect(setup).toEqual(stored.setup);
  expect(setupSchema.parse(setup)).toEqual(setup);
});
