import { feed } from '../../app/engine/feed.ts';
import type { AppThunk } from '../../app/store.ts';
import { plugSet } from './simulatedSlice.ts';

/** Plugs a simulated device in or out; what it held is let go. */
export const setPlugged =
  (device: string, plugged: boolean): AppThunk =>
  (dispatch) => {
    // First out, then let go: nothing it held may be sent again.
    dispatch(plugSet({ device, plugged }));
    dispatch(feed({ kind: plugged ? 'attach' : 'detach', device }));
  };
