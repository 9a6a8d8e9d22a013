import type { FilePart } from '../formats/index.ts';
import { ok, type Result } from '../result.ts';
import type { Refusal, Setup } from '../setup/index.ts';
import { bareSetup } from './newSetup.ts';
import { takeOver } from './takeOver.ts';
import { unitKey, unitPlace, unitsOf } from './units.ts';

/**
 * A part of a set-up with what it cannot do without, as a set-up of its own; with no part, all of it. What cannot be read
 * stays where it is.
 */
export function outgoing(setup: Setup, part: FilePart | null): Result<Setup, Refusal> {
  if (!part) return ok({ ...setup, unreadable: [] });
  const taken = takeOver(bareSetup(setup.name), setup, partKeys(setup, part));
  return taken.ok ? ok(taken.value.setup) : taken;
}

/** The keys of all that a part of a set-up is: a device with its pages and what is bound to it, a program with its profiles. */
export function partKeys(setup: Setup, { kind, id }: FilePart): readonly string[] {
  const own = { kind, owner: '', id } as const;
  const profiles = new Set(
    Object.values(setup.profiles)
      .filter((profile) =>
        kind === 'program' ? profile.program === id : kind === 'profile' && profile.id === id,
      )
      .map((profile) => profile.id),
  );
  const pages = new Set(
    setup.pages.filter(({ device }) => kind === 'device' && device === id).map((page) => page.id),
  );
  const belongs = (key: string): boolean => {
    const place = unitPlace(key);
    switch (place.kind) {
      case 'control':
        return profiles.has(place.owner) || (kind === 'device' && place.id.startsWith(`${id}/`));
      case 'profile':
        return profiles.has(place.id);
      case 'page':
        return pages.has(place.id);
      case 'command':
        return kind === 'program' && place.owner === id;
      case 'order':
        return kind === 'program' && place.owner === id;
      case 'setup':
      case 'device':
      case 'program':
      case 'common-command':
      case 'layer':
      case 'macro':
      case 'radial-menu':
        return false;
    }
  };
  return [unitKey(own), ...[...unitsOf(setup).keys()].filter(belongs)];
}

/** Whether a set-up has the part. */
export function hasPart(setup: Setup, { kind, id }: FilePart): boolean {
  return unitsOf(setup).has(unitKey({ kind, owner: '', id }));
}
