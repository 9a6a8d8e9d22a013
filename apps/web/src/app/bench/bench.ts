import { feed } from '../engine/feed.ts';
import type { AppThunk } from '../store.ts';
import { plugSet } from './benchSlice.ts';

/** Plugs a simulated device in or out; what it held is let go. */
export const setPlugged =
  (device: string, plugged: boolean): AppThunk =>
  (dispatch) => {
    dispatch(plugSet({ device, plugged }));
    dispatch(feed({ kind: plugged ? 'attach' : 'detach', device }));
  };
