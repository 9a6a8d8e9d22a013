import type { Device } from '@nimble-lever/core/devices';
import { pagesOn, resolutionNow } from '@nimble-lever/core/engine';
import type { Resolution } from '@nimble-lever/core/resolve';
import { describeActionIn } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { selectCompiled, selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { type ControlFace, controlFace } from '../../pieces/controlFace.ts';

/** A face, and what decides about it at this moment. */
interface FaceNow {
  readonly face: ControlFace;
  readonly resolution: Resolution;
}

/** What the controls of a device carry now: the faces of what a press, or a phrase, would do at this moment. */
export function useFaces(device: Device): ReadonlyMap<string, FaceNow> {
  const setup = useAppSelector(selectSetup);
  const compiled = useAppSelector(selectCompiled);
  const engine = useAppSelector((state) => state.engine.engine);
  const { profile: id, layers } = engine;
  const pages = pagesOn(compiled, engine, device.id)
    .map((page) => page.id)
    .join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the engine's state only what decides about faces.
  return useMemo(() => {
    const profile = setup.profiles[id];
    const faces = new Map<string, FaceNow>();
    if (!profile) return faces;
    for (const control of device.controls) {
      const trigger = control.phrase === null ? 'press' : 'phrase';
      if (trigger === 'press' && !control.canPress) continue;
      const resolution = resolutionNow(compiled, engine, device.id, control.id, trigger);
      const { decided } = resolution;
      const owner = decided && setup.profiles[decided.profile];
      const behaviour = decided?.binding.behaviour;
      if (!owner || behaviour?.kind !== 'action') {
        if (control.phrase !== null)
          faces.set(control.id, { face: controlFace(null, control.name), resolution });
        continue;
      }
      const { face } = decided.binding;
      const does = face?.label ?? describeActionIn(setup, profile, owner, behaviour.action).name;
      const label = control.phrase === null ? does : `“${control.phrase}”: ${does}`;
      faces.set(control.id, { face: { ...controlFace(face, does), label }, resolution });
    }
    return faces;
  }, [setup, compiled, id, layers, pages, device]);
}
