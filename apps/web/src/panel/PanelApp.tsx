import {
  type AllShown,
  type Heard,
  isForRemote,
  type Panel,
  panelWith,
  SHOWS_NOTHING,
  showsAfter,
} from '@nimble-lever/core/desks';
import { useEffect, useRef, useState } from 'react';
import { keepLast, readLast } from './lastShown.ts';
import { PanelDrawing } from './PanelDrawing.tsx';
import { PanelLine } from './panelLine.ts';
import { useAwake } from './useAwake.ts';
import { WORDS } from './words.ts';

/** How long the sign that a press was carried out stays: milliseconds. */
const DONE_MS = 260;

/** How the panel stands to its desk. */
type Link =
  | { readonly kind: 'connecting' | 'no-desk' | 'stranger' }
  | { readonly kind: 'joined'; readonly desk: string }
  | { readonly kind: 'lost'; readonly since: number };

/** A panel in use: nothing but the panel, and a line about the desk while there is none. */
export function PanelApp({ device }: { readonly device: string }) {
  const [link, setLink] = useState<Link>({ kind: 'connecting' });
  const [last] = useState(() => readLast(device));
  const [panel, setPanel] = useState<Panel | null>(last?.panel ?? null);
  const [shows, setShows] = useState<AllShown>(last?.shows ?? SHOWS_NOTHING);
  useKept(device, panel, shows);
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const line = useRef<PanelLine | null>(null);
  /** Which control each press that was sent is of. */
  const sent = useRef(new Map<number, string>());
  useAwake();
  useEffect(() => {
    const flash = (control: string) => {
      setDone((before) => new Set(before).add(control));
      setTimeout(() => setDone((before) => new Set([...before].filter((each) => each !== control))), DONE_MS);
    };
    let parts: Panel | null = null;
    const take = (message: Heard) => {
      if (!isForRemote(message)) return;
      switch (message.kind) {
        case 'joined':
          parts = null;
          setShows(SHOWS_NOTHING);
          return setLink({ kind: 'joined', desk: message.desk.name });
        case 'gone':
          sent.current.clear();
          return setLink({ kind: 'no-desk' });
        case 'panel':
          parts = panelWith(parts, message.panel);
          if (message.more) return;
          setPanel(parts);
          parts = null;
          return;
        case 'shows':
          return setShows((before) => showsAfter(before, message.shows));
        case 'done': {
          const control = sent.current.get(message.seq);
          sent.current.delete(message.seq);
          return control === undefined ? undefined : flash(control);
        }
        case 'account':
        case 'windows':
          // Told only to remotes that watch them.
          return;
      }
    };
    const own = new PanelLine(device, WORDS.remote, {
      onHeard: take,
      onLost: () => {
        sent.current.clear();
        setLink((before) =>
          before.kind === 'lost' || before.kind === 'stranger' ? before : { kind: 'lost', since: Date.now() },
        );
      },
      onStranger: () => setLink({ kind: 'stranger' }),
    });
    line.current = own;
    own.open();
    return () => own.close();
  }, [device]);
  return (
    <>
      {panel && (
        <PanelDrawing
          // Another desk, or the same one come back: nothing that was down is down any more.
          key={link.kind === 'joined' ? link.desk : 'away'}
          isAway={link.kind !== 'joined'}
          panel={panel}
          shows={shows}
          done={done}
          onInput={(input) => {
            if (link.kind !== 'joined') return;
            const seq = line.current?.send(input) ?? null;
            if (seq !== null && input.kind === 'down') sent.current.set(seq, input.control);
          }}
        />
      )}
      <Status link={link} shows={shows} />
    </>
  );
}

/** How long the panel must look the same before that is kept: milliseconds. */
const KEEP_AFTER_MS = 1000;

/** Keeps how the panel looks, once it has looked so for a moment. */
function useKept(device: string, panel: Panel | null, shows: AllShown): void {
  useEffect(() => {
    if (!panel) return;
    const timer = setTimeout(() => keepLast(device, { panel, shows }), KEEP_AFTER_MS);
    return () => clearTimeout(timer);
  }, [device, panel, shows]);
}

/** In a corner: the desk, what is in front and which page shows; in full while there is no desk. */
function Status({ link, shows: { front, pages } }: { readonly link: Link; readonly shows: AllShown }) {
  const [now, setNow] = useState(Date.now());
  const isLost = link.kind === 'lost';
  useEffect(() => {
    if (!isLost) return;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [isLost]);
  switch (link.kind) {
    case 'connecting':
      return (
        <p role="status" className="away">
          {WORDS.connecting}
        </p>
      );
    case 'no-desk':
      return (
        <p role="status" className="away">
          {WORDS.noDesk}
        </p>
      );
    case 'stranger':
      return (
        <p role="status" className="away">
          {WORDS.stranger} <a href={`/pair?to=${encodeURIComponent(location.pathname)}`}>{WORDS.pair}</a>
        </p>
      );
    case 'lost':
      return (
        <p role="status" className="away">
          {WORDS.lost(Math.max(0, Math.round((now - link.since) / 1000)))}
        </p>
      );
    case 'joined':
      return (
        <p role="status" className="there">
          {[front && WORDS.inFront(front), WORDS.pages(pages), WORDS.onDesk(link.desk)]
            .filter(Boolean)
            .join(' · ')}
        </p>
      );
  }
}
