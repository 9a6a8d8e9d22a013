import { type FaceNow, facesNow } from '@nimble-lever/core/desks';
import type { Device } from '@nimble-lever/core/devices';
import { pagesOn } from '@nimble-lever/core/engine';
import { useMemo } from 'react';
import { useEngine } from '../../app/engine/useEngine.ts';
import { selectCompiled } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';

/** What the controls of a device carry now, by control. Made anew only where the engine's state decides about it. */
export function useFaces(device: Device): ReadonlyMap<string, FaceNow> {
  const compiled = useAppSelector(selectCompiled);
  const engine = useEngine();
  const { profile, pinned, layers, latched, running } = engine;
  const pages = pagesOn(compiled, engine, device.id)
    .map((page) => page.id)
    .join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the engine's state only what decides about faces.
  return useMemo(
    () => facesNow(compiled, engine, device),
    [compiled, profile, pinned, layers, latched, running, pages, device],
  );
}
