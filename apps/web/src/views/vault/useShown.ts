import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** The parts of the Vault. */
export const TABS = ['history', 'snapshots', 'compare', 'set-ups', 'files'] as const;
export type Tab = (typeof TABS)[number];

/** A set-up as it was right after an edit; null: as it is now. */
export type Moment = number | null;

/** Which part is shown, and what is compared: kept in the address, so that it can be gone back to. */
export function useShown() {
  const [params, setParams] = useSearchParams();
  const tab = TABS.find((each) => each === params.get('tab')) ?? 'history';
  const showTab = useCallback((next: Tab) => setParams({ tab: next }, { replace: true }), [setParams]);
  const compare = useCallback(
    (from: Moment, to: Moment) =>
      setParams({
        tab: 'compare',
        ...(from !== null && { from: String(from) }),
        ...(to !== null && { to: String(to) }),
      }),
    [setParams],
  );
  return { tab, showTab, compare, from: momentIn(params, 'from'), to: momentIn(params, 'to') };
}

/** The number of an edit in the address; anything else is now. */
function momentIn(params: URLSearchParams, name: string): Moment {
  const text = params.get(name) ?? '';
  return /^\d{1,9}$/.test(text) ? Number(text) : null;
}
