import { useEffect } from 'react';
import { feed } from '../../app/engine/feed.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';

/** Keys of the keyboard that stand for the first pedals' pedals, from the left: feet have no pointer. */
export const PEDAL_KEYS = ['F7', 'F8', 'F9'] as const;

/** Works the rig's first pedals by keys, so that a hand stays free for the other devices. */
export function usePedalKeys(): void {
  const dispatch = useAppDispatch();
  const pedals = useAppSelector((state) => selectSetup(state).devices.find(({ kind }) => kind === 'pedals'));
  useEffect(() => {
    if (!pedals) return;
    const onKey = (event: KeyboardEvent) => {
      const control = pedals.controls[(PEDAL_KEYS as readonly string[]).indexOf(event.code)];
      if (!control || !event.isTrusted) return;
      event.preventDefault();
      event.stopPropagation();
      if (event.repeat) return;
      dispatch(
        feed({ kind: event.type === 'keydown' ? 'down' : 'up', device: pedals.id, control: control.id }),
      );
    };
    window.addEventListener('keydown', onKey, { capture: true });
    window.addEventListener('keyup', onKey, { capture: true });
    return () => {
      window.removeEventListener('keydown', onKey, { capture: true });
      window.removeEventListener('keyup', onKey, { capture: true });
    };
  }, [dispatch, pedals]);
}
