import { nextUnder, type Resolution } from '../resolve/index.ts';
import type { Setup } from '../setup/index.ts';
import { describeAction } from './actions.ts';
import { profileName } from './names.ts';
import { coveredWords, layerWords } from './why.ts';

/** Why a cell does what it does: where it is set, and what would apply without it. */
export function whyThisOne(setup: Setup, resolution: Resolution, asked: string): string {
  const { decided, covered } = resolution;
  if (covered !== null) return coveredWords(setup, covered);
  if (!decided) return 'Nothing is set here or below, so the control does what it does by itself.';
  const place = profileName(setup, decided.profile);
  const layer = layerWords(setup, decided.layer);
  const under = nextUnder(resolution);
  const here =
    decided.profile === asked
      ? `Set in ${place}, ${layer}.`
      : `Nothing set here; comes from ${place}, ${layer}.`;
  if (!under?.binding) return `${here} Without it, the control would do what it does by itself.`;
  const profile = setup.profiles[under.profile];
  const { behaviour } = under.binding;
  const what =
    behaviour.kind === 'action' && profile
      ? `“${describeAction(setup, profile, behaviour.action).name}”`
      : behaviour.kind === 'off'
        ? 'off'
        : 'what it does by itself';
  return `${here} Without it, ${what} from ${profileName(setup, under.profile)} would apply.`;
}
