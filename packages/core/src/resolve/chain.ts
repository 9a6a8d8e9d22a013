import { EVERYWHERE, type Profile, type Setup } from '../setup/index.ts';

/**
 * The profiles looked at for one profile, in order: itself, what it is based on, Everywhere.
 * An unknown profile gives Everywhere alone. A circle is cut where it closes.
 */
export function profileChain(setup: Setup, profileId: string): readonly Profile[] {
  const chain: Profile[] = [];
  for (let next: string | null = profileId; next !== null; ) {
    const profile: Profile | undefined = setup.profiles[next];
    if (!profile || profile.id === EVERYWHERE || chain.includes(profile)) break;
    chain.push(profile);
    next = profile.basedOn;
  }
  const everywhere = setup.profiles[EVERYWHERE];
  return everywhere ? [...chain, everywhere] : chain;
}
