import {
  type AccountLine,
  type AllShown,
  type OpenWindow,
  panelOf,
  panelParts,
  type Remote,
  type Said,
  showsChanged,
  showsOf,
  showsParts,
} from '@nimble-lever/core/desks';
import type { Device } from '@nimble-lever/core/devices';
import { type Explanation, shownPage } from '@nimble-lever/core/engine';
import type { Page, Setup } from '@nimble-lever/core/setup';
import { accountOf, sentOf } from '@nimble-lever/core/words';
import { isWorthTelling } from '../app/engine/worthTelling.ts';
import { selectLayout } from '../app/keyboard/keyboardSlice.ts';
import { selectCompiled, selectSetup } from '../app/setup/selectors.ts';
import type { RootState } from '../app/store.ts';
import { DESK_WINDOWS, selectDesk } from './deskSlice.ts';

/** So many lines are told at a time; of more, the newest. */
const MOST_LINES = 12;
/** The longest words that are told: characters. */
const MOST_WORDS = 400;

type GetState = () => RootState;
type Say = (message: Said) => void;

/** What a remote was told of a device. */
interface Told {
  readonly device: Device;
  /** The page that showed, and all pages as they were. */
  readonly page: string | null;
  readonly pages: readonly Page[];
  readonly shows: AllShown;
}

/** Tells a remote what it was not told yet of its devices: how they look, and what changed of what they show. */
export function panelTeller({ id: remote, devices }: Remote, getState: GetState, say: Say): () => void {
  const told = new Map<string, Told>();
  return () => {
    const setup = selectSetup(getState());
    const compiled = selectCompiled(getState());
    const { engine } = getState().engine;
    for (const name of devices) {
      const device = setup.devices.find((each) => each.id === name);
      if (!device) continue;
      const last = told.get(name);
      const page = shownPage(compiled, engine, name);
      const { pages } = setup;
      if (last?.device !== device || last.page !== page || last.pages !== pages) {
        const parts = panelParts(panelOf(setup, device, page));
        for (const [i, panel] of parts.entries()) {
          say({ kind: 'panel', remote, panel, more: i < parts.length - 1 });
        }
      }
      const shows = showsOf(compiled, engine, device);
      const news = showsChanged(last?.shows ?? null, shows);
      for (const part of news ? showsParts(news) : []) {
        say({ kind: 'shows', remote, device: name, shows: part });
      }
      told.set(name, { device, page, pages, shows });
    }
  };
}

/** Tells a remote what happened since it came, and which windows are open. */
export function accountTeller({ id: remote }: Remote, getState: GetState, say: Say): () => void {
  let seq = getState().engine.happenings[0]?.explanation.seq ?? -1;
  let known: readonly unknown[] = [];
  return () => {
    const desk = selectDesk(getState());
    if (desk.order !== known[0] || desk.active !== known[1]) {
      known = [desk.order, desk.active];
      say({ kind: 'windows', remote, windows: openWindows(desk) });
    }
    const { happenings } = getState().engine;
    const news = happenings.map(({ explanation }) => explanation).filter((each) => each.seq > seq);
    seq = news.reduce((last, each) => Math.max(last, each.seq), seq);
    const told = news.filter(isWorthTelling).slice(0, MOST_LINES).toReversed();
    if (told.length === 0) return;
    const setup = selectSetup(getState());
    const layout = selectLayout(getState());
    const lines = told.map((each) => lineOf(setup, each, (strokes) => sentOf(strokes, layout)));
    say({ kind: 'account', remote, lines });
  };
}

/** The windows that are open, the one in front first. */
function openWindows({ order, active }: ReturnType<typeof selectDesk>): OpenWindow[] {
  return order.toReversed().flatMap((id) => {
    const window = DESK_WINDOWS.find((each) => each.id === id);
    return window ? [{ title: cut(window.title), isInFront: id === active }] : [];
  });
}

function lineOf(setup: Setup, explanation: Explanation, inWords: typeof sentOf): AccountLine {
  const { subject, did, why } = accountOf(setup, explanation);
  const sent = inWords(explanation.strokes).map(({ text, count }) =>
    count > 1 ? `${text} ×${count}` : text,
  );
  return {
    subject: cut(subject),
    did: cut(did),
    sent: sent.slice(0, MOST_LINES).map(cut),
    why: cut(why),
  };
}

function cut(words: string): string {
  return words.length > MOST_WORDS ? `${words.slice(0, MOST_WORDS - 1)}…` : words;
}
