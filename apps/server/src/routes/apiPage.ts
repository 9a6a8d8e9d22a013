import { Router as newRouter, type Router } from 'express';
import { openApi } from './openApi.ts';
import type { Operation } from './operation.ts';
import { OPERATIONS } from './operations.ts';

/** What the server answers: a page for people at the root, the OpenAPI document beside it. */
export function apiRoutes(version: string): Router {
  const router = newRouter();
  // Made when it is first asked for: the schema of a set-up is large.
  let text: string | null = null;
  router.get('/openapi.json', (_request, response) => {
    text ??= JSON.stringify(openApi(version));
    response.type('json').send(text);
  });
  router.get('/', (_request, response) => {
    response.type('html').send(page(version));
  });
  return router;
}

/** Without scripts, so that it needs no exception to the policy of the pages. */
function page(version: string): string {
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Nimble Lever: what the server answers</title>
<style>
  :root { color-scheme: light dark; }
  body { font: 15px/1.5 system-ui, sans-serif; max-width: 52rem; margin: 2rem auto; padding: 0 1rem; }
  h2 { font-size: 1rem; margin: 2rem 0 0.25rem; }
  code { font-size: 0.95em; }
  table { border-collapse: collapse; margin: 0.5rem 0; }
  th, td { text-align: left; vertical-align: top; padding: 0.15rem 1rem 0.15rem 0; font-weight: normal; }
</style>
<main>
<h1>What the server answers</h1>
<p>Version ${escaped(version)}. For programs: <a href="/api/openapi.json">the OpenAPI 3.1 document</a>, with every schema.
News of edits come over a WebSocket at <code>/api/live</code>.</p>
${OPERATIONS.map(section).join('\n')}
</main>
</html>
`;
}

/** One operation as a section of the page at `/api`. No script runs there: the page's policy allows none. */
function section({ method, path, does, parameters, body, answer, problems }: Operation): string {
  const rows = [
    ...parameters.map(({ name, what }) => [name, what]),
    ...(body ? [['sends', body]] : []),
    ['200', answer],
    ...Object.entries(problems),
  ];
  const cells = rows.map(
    ([head = '', text = '']) =>
      `<tr><th scope="row"><code>${escaped(head)}</code></th><td>${escaped(text)}</td></tr>`,
  );
  return `<h2><code>${method.toUpperCase()} ${escaped(path)}</code></h2>
<p>${escaped(does)}</p>
<table>${cells.join('')}</table>`;
}

/** What stands in the document is ours, but it is text all the same. */
function escaped(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
