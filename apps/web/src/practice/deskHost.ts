import {
  DESK_ABILITIES,
  type Desk,
  type ForDesk,
  heardSchema,
  isForDesk,
  type Remote,
  type Said,
} from '@nimble-lever/core/desks';
import { Remotes } from '@nimble-lever/session';
import { newUuid } from '../app/newUuid.ts';
import type { AppStore, AppThunk } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';
import { accountTeller, panelTeller } from './deskTellers.ts';
import { remotesChanged } from './remotesSlice.ts';
import { wearUses } from './wearing.ts';

/** What is shown is told at most so often: 60 times a second, in milliseconds. */
const TELL_MS = 1000 / 60;
/** Under which this tab keeps its desk's id: one that is loaded anew is the same desk. */
const KEPT = 'nimble-lever.desk';

/**
 * This page's practice desk is there for remotes from now on: what they press goes to the engine, what shows goes to
 * them. The answer ends that, and lets go of what they held.
 */
export const hostDesk =
  (store: Pick<AppStore, 'subscribe'>): AppThunk<() => void> =>
  (dispatch, getState, { session, clock, line, quietly }) => {
    // Where a slider is comes more often than it is drawn.
    const remotes = new Remotes(
      {
        take: (event, t) =>
          event.kind === 'position' ? quietly.do(() => session.take(event, t)) : session.take(event, t),
      },
      clock,
    );
    /** What tells each remote what it was not told yet. */
    const tellers = new Map<string, () => void>();
    const say = (message: Said) => line.say(message);
    const wearing = dispatch(wearUses(store));
    const changed = () => {
      dispatch(remotesChanged(remotes.all));
      wearing.changed(remotes.all);
    };

    const tellerOf = (remote: Remote) =>
      remote.watches === 'panel' ? panelTeller(remote, getState, say) : accountTeller(remote, getState, say);
    let due: (() => void) | null = null;
    const later = () => {
      if (due || remotes.all.length === 0) return;
      due = clock.wakeAt(clock.now() + TELL_MS, () => {
        due = null;
        for (const tell of tellers.values()) tell();
      });
    };

    const take = (message: ForDesk): boolean => {
      switch (message.kind) {
        case 'remote-joined':
          remotes.join(message.remote);
          tellers.set(message.remote.id, tellerOf(message.remote));
          tellers.get(message.remote.id)?.();
          changed();
          return true;
        case 'remote-left':
          remotes.leave(message.remote);
          tellers.delete(message.remote);
          changed();
          return true;
        case 'remote-input': {
          const { remote, seq, t, input } = message;
          // Only of what goes down the remote shows that it was carried out.
          if (remotes.take(remote, t, input) && input.kind === 'down') say({ kind: 'done', remote, seq });
          return true;
        }
      }
    };
    const letGo = () => {
      remotes.leaveAll();
      tellers.clear();
      changed();
    };
    const end = line.use({
      onOpen: () => say({ kind: 'here', desk: practiceDeskOf(getState().setup.me.name) }),
      // Whoever held something cannot be heard any more.
      onLost: letGo,
      onMessage: (json) => {
        const message = heardSchema.safeParse(json).data;
        return message !== undefined && isForDesk(message) && take(message);
      },
    });
    const shown = () => {
      const { engine, setup } = getState();
      return [engine.engine, setup.setup, selectDesk(getState()).order, selectDesk(getState()).active];
    };
    let seen = shown();
    const unsubscribe = store.subscribe(() => {
      const now = shown();
      if (now.every((each, i) => each === seen[i])) return;
      seen = now;
      later();
    });
    return () => {
      unsubscribe();
      due?.();
      say({ kind: 'away' });
      end();
      letGo();
      wearing.end();
    };
  };

/** This tab's desk. Its programs obey all that can be sent. */
function practiceDeskOf(name: string): Desk {
  return { id: ownId(), name, kind: 'practice', can: [...DESK_ABILITIES] };
}

/** The id of this tab's desk. */
function ownId(): string {
  const kept = sessionStorage.getItem(KEPT);
  if (kept !== null) return kept;
  const made = newUuid();
  sessionStorage.setItem(KEPT, made);
  return made;
}
