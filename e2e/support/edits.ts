import { randomUUID } from 'node:crypto';
import { expect } from '@playwright/test';

/** Who edits besides the page, as a script would. */
export const WREN = { id: '40000000-0000-4000-8000-000000000004', name: 'Wren' };
export const OSKAR = { id: '40000000-0000-4000-8000-000000000005', name: 'Oskar' };

/** Saves an edit of the demo past the page. */
export async function edit(address: string, edit: object, author = WREN): Promise<void> {
  const entry = { id: randomUUID(), role: 'do', author, base: 0, edit };
  const response = await fetch(`${address}/api/set-ups/saltmarsh/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ after: 0, entries: [entry] }),
  });
  expect(await response.json()).toMatchObject({ outcomes: [{ kind: 'saved' }] });
}

/** An edit that has a control of Larkframe send keys. */
export function sends(device: string, control: string, shortcut: string): object {
  return {
    kind: 'set',
    at: `profiles/larkframe/bindings/base/${device}/${control}/press`,
    fields: { behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'tap' } },
  };
}
