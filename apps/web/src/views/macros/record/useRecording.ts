import { type Deed, type Recording, recordSteps } from '@nimble-lever/core/macros';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { selectLayout } from '../../../app/keyboard/keyboardSlice.ts';
import type { RootState } from '../../../app/store.ts';
import { frontWindow } from '../../../practice/frontWindow.ts';
import { hearDesk } from '../../../practice/hearDesk.ts';

/** What is being recorded, or was. */
export interface ShownRecording {
  readonly on: boolean;
  readonly deeds: readonly Deed[];
  /** What was in front when it began. */
  readonly front: FrontWindow | null;
}

/** Escape pressed twice this close together stops: milliseconds. */
const TWICE_MS = 700;

/** Records what is done at the desk, until it is stopped: here, by Escape twice, or by a control of the rig. */
export function useRecording() {
  const store = useStore<RootState>();
  const [shown, setShown] = useState<ShownRecording | null>(null);
  const end = useRef<(() => void) | null>(null);

  const stop = useCallback(() => {
    if (!end.current) return;
    end.current();
    end.current = null;
    setShown((before) => before && { ...before, on: false });
  }, []);
  useEffect(
    () => () => {
      end.current?.();
      end.current = null;
    },
    [],
  );

  const start = () => {
    end.current?.();
    let deeds: readonly Deed[] = [];
    const front = frontWindow(store.getState());
    const take = (deed: Deed) => {
      deeds = [...deeds, deed];
      const escapes = deeds.filter((each) => each.kind === 'key-down' && each.code === 'Escape');
      const [before, now] = escapes.slice(-2);
      if (before && now && now === deed && now.t - before.t < TWICE_MS) {
        // They were for us, and no part of the work.
        deeds = deeds.filter((each) => !('code' in each && each.code === 'Escape' && each.t >= before.t));
        setShown({ on: true, deeds, front });
        stop();
        return;
      }
      setShown({ on: true, deeds, front });
    };
    setShown({ on: true, deeds, front });
    const leave = hearDesk(store, take);
    const last = store.getState().engine.happenings[0];
    const unsubscribe = store.subscribe(() => {
      const [newest] = store.getState().engine.happenings;
      if (newest !== last && newest?.explanation.event.kind === 'down') stop();
    });
    end.current = () => {
      leave();
      unsubscribe();
    };
  };
  const stepsBy = (waits: Recording['waits']) =>
    recordSteps(shown?.deeds ?? [], {
      waits,
      layout: selectLayout(store.getState()),
      keysBy: 'character',
      front: shown?.front ?? null,
    });
  return { shown, start, stop, stepsBy, putAside: () => setShown(null) };
}
