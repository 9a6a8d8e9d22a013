import {
  type AllShown,
  type Heard,
  heardSchema,
  panelOf,
  panelParts,
  type Remote,
  type Said,
  showsChanged,
  showsOf,
  showsParts,
} from '@nimble-lever/core/desks';
import type { Device } from '@nimble-lever/core/devices';
import { shownPage } from '@nimble-lever/core/engine';
import type { Page } from '@nimble-lever/core/setup';
import { Remotes } from '@nimble-lever/session';
import { newUuid } from '../app/newUuid.ts';
import { selectCompiled, selectSetup } from '../app/setup/selectors.ts';
import type { AppStore, AppThunk } from '../app/store.ts';
import { remotesChanged } from './remotesSlice.ts';

/** What is shown is told at most so often: 60 times a second, in milliseconds. */
const TELL_MS = 1000 / 60;
/** Under which this tab keeps its desk's id: one that is loaded anew is the same desk. */
const KEPT = 'nimble-lever.desk';

/** What a remote was told of a device. */
interface Told {
  readonly device: Device;
  /** The page that showed, and all pages as they were. */
  readonly page: string | null;
  readonly pages: readonly Page[];
  readonly shows: AllShown;
}

/**
 * This page's practice desk is there for remotes from now on: what they press goes to the engine, what shows goes to
 * them. The answer ends that, and lets go of what they held.
 */
export const hostDesk =
  (store: Pick<AppStore, 'subscribe'>): AppThunk<() => void> =>
  (dispatch, getState, { session, clock, line }) => {
    const remotes = new Remotes(session, clock);
    /** By remote, then device. */
    const told = new Map<string, Map<string, Told>>();
    const say = (message: Said) => line.say(message);
    const changed = () => void dispatch(remotesChanged(remotes.all));

    /** Tells a remote what it was not told yet: its devices, and what changed of what they show. */
    const tell = ({ id, devices }: Remote) => {
      const setup = selectSetup(getState());
      const compiled = selectCompiled(getState());
      const { engine } = getState().engine;
      const before = told.get(id) ?? new Map<string, Told>();
      told.set(id, before);
      for (const name of devices) {
        const device = setup.devices.find((each) => each.id === name);
        if (!device) continue;
        const last = before.get(name);
        const page = shownPage(compiled, engine, name);
        const { pages } = setup;
        if (last?.device !== device || last.page !== page || last.pages !== pages) {
          const parts = panelParts(panelOf(setup, device, page));
          for (const [i, panel] of parts.entries()) {
            say({ kind: 'panel', remote: id, panel, more: i < parts.length - 1 });
          }
        }
        const shows = showsOf(compiled, engine, device);
        const news = showsChanged(last?.shows ?? null, shows);
        for (const part of news ? showsParts(news) : []) {
          say({ kind: 'shows', remote: id, device: name, shows: part });
        }
        before.set(name, { device, page, pages, shows });
      }
    };
    let due: (() => void) | null = null;
    const later = () => {
      if (due || remotes.all.length === 0) return;
      due = clock.wakeAt(clock.now() + TELL_MS, () => {
        due = null;
        for (const remote of remotes.all) tell(remote);
      });
    };

    const take = (message: Heard): boolean => {
      switch (message.kind) {
        case 'remote-joined':
          remotes.join(message.remote);
          told.delete(message.remote.id);
          tell(message.remote);
          changed();
          return true;
        case 'remote-left':
          remotes.leave(message.remote);
          told.delete(message.remote);
          changed();
          return true;
        case 'remote-input':
          // Only of what goes down the remote shows that it was carried out.
          if (remotes.take(message.remote, message.t, message.input) && message.input.kind === 'down') {
            say({ kind: 'done', remote: message.remote, seq: message.seq });
          }
          return true;
        case 'joined':
        case 'gone':
        case 'panel':
        case 'shows':
        case 'done':
        case 'hello':
        case 'refused':
          // Of the desk itself the server says nothing.
          return false;
      }
    };
    const letGo = () => {
      remotes.leaveAll();
      told.clear();
      changed();
    };
    const end = line.use({
      onOpen: () =>
        say({ kind: 'here', desk: { id: ownId(), name: getState().setup.me.name, kind: 'practice' } }),
      // Whoever held something cannot be heard any more.
      onLost: letGo,
      onMessage: (json) => {
        const message = heardSchema.safeParse(json).data;
        return message !== undefined && take(message);
      },
    });
    let seen = getState().engine.engine;
    let setup = getState().setup.setup;
    const unsubscribe = store.subscribe(() => {
      const { engine, setup: now } = getState();
      if (engine.engine === seen && now.setup === setup) return;
      seen = engine.engine;
      setup = now.setup;
      later();
    });
    return () => {
      unsubscribe();
      due?.();
      say({ kind: 'away' });
      end();
      letGo();
    };
  };

/** The id of this tab's desk. */
function ownId(): string {
  const kept = sessionStorage.getItem(KEPT);
  if (kept !== null) return kept;
  const made = newUuid();
  sessionStorage.setItem(KEPT, made);
  return made;
}
