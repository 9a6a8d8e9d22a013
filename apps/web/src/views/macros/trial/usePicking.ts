import { placeOf } from '@nimble-lever/core/macros';
import { useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import type { RootState } from '../../../app/store.ts';
import { hearDesk } from '../../../practice/hearDesk.ts';
import type { Picking } from '../fields/StepFields.tsx';

/** Takes a place or a menu item from the desk, by pointing at it there. Escape leaves. */
export function usePicking(taken: (fields: Readonly<Record<string, unknown>>) => void) {
  const store = useStore<RootState>();
  const [what, setWhat] = useState<Picking | null>(null);
  const latest = useRef(taken);
  latest.current = taken;
  useEffect(() => {
    if (what === null) return;
    const leave = hearDesk(store, (deed) => {
      if (what === 'place' && deed.kind === 'button-up' && deed.at) {
        latest.current({ at: placeOf(deed.at), ...(deed.at.name && { note: deed.at.name }) });
        setWhat(null);
      }
      if (what === 'menu' && deed.kind === 'menu-item') {
        latest.current({ path: [...deed.path] });
        setWhat(null);
      }
    });
    const onKeyDown = ({ key }: KeyboardEvent) => key === 'Escape' && setWhat(null);
    window.addEventListener('keydown', onKeyDown);
    return () => {
      leave();
      window.removeEventListener('keydown', onKeyDown);
    };
  }, [store, what]);
  return { what, start: (next: Picking) => setWhat((before) => (before === next ? null : next)) };
}
