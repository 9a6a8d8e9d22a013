import { pairAnswerSchema, type Rights, visitorSchema } from '@nimble-lever/core/desks';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { browserName } from '../app/browserName.ts';
import { WORDS } from './words.ts';

/** What a page without rights goes on to once it has some. */
const goalOf = (rights: Rights, to: string) => (rights.may === 'panel' ? `/panel/${rights.device}` : to);

/** What the server says where it refuses. */
const problemSchema = z.looseObject({ detail: z.string() });

interface Props {
  /** What a link brought; empty where it is to be typed. */
  readonly code: string;
  /** Where to go once the browser is paired. */
  readonly to: string;
}

/** Asks for a code and pairs this browser by it. */
export function PairApp({ code: brought, to }: Props) {
  const [visitor, setVisitor] = useState<z.infer<typeof visitorSchema> | null>(null);
  const [code, setCode] = useState(brought);
  const [name, setName] = useState(() => browserName(navigator.userAgent));
  const [isBusy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    fetch('/api/visitor')
      .then(async (response) => setVisitor(visitorSchema.parse(await response.json())))
      // A stranger, who is what this page is for.
      .catch(() => undefined);
  }, []);
  const pair = async (event: FormEvent) => {
    event.preventDefault();
    if (isBusy) return;
    setBusy(true);
    setWrong(null);
    const outcome = await sent(code, name);
    if ('rights' in outcome) {
      location.replace(goalOf(outcome.rights, to));
      return;
    }
    setBusy(false);
    setWrong(outcome.wrong);
    field.current?.select();
  };
  if (visitor?.rights.may === 'everything') {
    return (
      <main>
        <h1>{WORDS.title}</h1>
        <p>{visitor.isPaired ? WORDS.paired : WORDS.own}</p>
        <a href={to}>{WORDS.goOn}</a>
      </main>
    );
  }
  return (
    <main>
      <h1>{WORDS.title}</h1>
      {visitor?.rights.may === 'panel' ? (
        <p>
          {WORDS.panelOnly(visitor.rights.device)} <a href={goalOf(visitor.rights, to)}>{WORDS.toPanel}</a>
        </p>
      ) : (
        <p>{WORDS.means}</p>
      )}
      <form onSubmit={pair}>
        <label>
          {WORDS.code}
          <input
            ref={field}
            className="code"
            inputMode="numeric"
            autoComplete="one-time-code"
            maxLength={11}
            required
            // biome-ignore lint/a11y/noAutofocus: this field is all that the page is for.
            autoFocus={brought === ''}
            aria-invalid={wrong !== null}
            aria-describedby={wrong === null ? undefined : 'wrong'}
            value={code}
            onInput={({ currentTarget }) => setCode(currentTarget.value)}
          />
        </label>
        <label>
          {WORDS.name}
          <input
            maxLength={60}
            required
            value={name}
            onInput={({ currentTarget }) => setName(currentTarget.value)}
          />
        </label>
        {wrong !== null && (
          <p role="alert" id="wrong" className="wrong">
            {wrong}
          </p>
        )}
        <button type="submit" aria-disabled={isBusy}>
          {isBusy ? WORDS.pairing : WORDS.pair}
        </button>
      </form>
    </main>
  );
}

/** Sends the code; what this browser may do from now on, or what was wrong. */
async function sent(code: string, name: string): Promise<{ rights: Rights } | { wrong: string }> {
  try {
    const response = await fetch('/api/pair', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ code, name: name.trim() }),
    });
    const json: unknown = await response.json();
    if (response.ok) return pairAnswerSchema.parse(json);
    return { wrong: problemSchema.parse(json).detail };
  } catch {
    return { wrong: WORDS.unreached };
  }
}
