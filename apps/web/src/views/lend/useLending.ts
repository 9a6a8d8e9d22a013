import { useEffect, useMemo, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Lending, type LendingState } from './lending.ts';

/** This browser as one that lends its devices, while the page is open, and how that stands. */
export function useLending(): readonly [Lending, LendingState | null] {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => state.setup.me.name);
  const [state, setState] = useState<LendingState | null>(null);
  const lending = useMemo(
    () =>
      new Lending(
        dispatch((_dispatch, _getState, { line }) => line),
        name,
        setState,
      ),
    [dispatch, name],
  );
  useEffect(() => {
    lending.open();
    // Another window has the keyboard: what is let go is not heard here.
    const letGo = () => lending.letGo();
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('blur', letGo);
      lending.close();
    };
  }, [lending]);
  return [lending, state];
}
