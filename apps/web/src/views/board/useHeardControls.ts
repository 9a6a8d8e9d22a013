import { type Control, controlHeard, type Device, usesHeard } from '@nimble-lever/core/devices';
import { useMemo } from 'react';
import { useStore } from 'react-redux';
import { selectSetup } from '../../app/setup/selectors.ts';
import { gamepadSource } from '../../app/sources/gamepadSource.ts';
import { isTyping } from '../../app/sources/isTyping.ts';
import { keySource } from '../../app/sources/keySource.ts';
import type { Heard } from '../../app/sources/source.ts';
import { useSources } from '../../app/sources/useSources.ts';
import type { AppStore } from '../../app/store.ts';
import { selectBoardState } from './boardSlice.ts';
import type { Use } from './use.ts';

/**
 * Hears the keys that pedals and pads of the rig send, and gamepads, and says which control was used; while a
 * shortcut is recorded or something is typed, keys are left alone.
 */
export function useHeardControls(heard: (device: Device, use: Use) => void): void {
  const store = useStore() as AppStore;
  const sources = useMemo(() => {
    const isMapped = (id: string) => {
      const state = store.getState();
      if (isTyping() || selectBoardState(state).recording) return false;
      return controlHeard(selectSetup(state).devices, { id, change: { kind: 'down' } }) !== null;
    };
    return [keySource(isMapped), gamepadSource];
  }, [store]);
  useSources(sources, true, (input: Heard) => {
    const { devices } = selectSetup(store.getState());
    const found = controlHeard(devices, input);
    if (!found) return;
    for (const use of usesHeard(devices, input)) {
      const down = use.kind !== 'up';
      heard(found.device, {
        control: found.control,
        trigger: triggerOf(found.control, use),
        down,
        select: true,
      });
      if (use.kind === 'turn' || use.kind === 'position') {
        heard(found.device, {
          control: found.control,
          trigger: triggerOf(found.control, use),
          down: false,
          select: false,
        });
      }
    }
  });
}

function triggerOf(control: Control, use: ReturnType<typeof usesHeard>[number]): Use['trigger'] {
  if (use.kind === 'turn') return use.amount > 0 ? 'clockwise' : 'anticlockwise';
  if (use.kind !== 'position') return 'press';
  if (control.slider) return 'slide';
  return use.value < 0 ? 'shuttle-anticlockwise' : 'shuttle-clockwise';
}
