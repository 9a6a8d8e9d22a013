import type { Binding, Profile, Setup } from '@nimble-lever/core/setup';
import { describeAction } from '@nimble-lever/core/words';
import { Keycap } from '../../pieces/Keycap.tsx';
import { WORDS } from './words.ts';

interface Props {
  readonly setup: Setup;
  readonly profile: Profile;
  readonly binding: Binding;
}

/** What a binding of a profile does: the command's name and its keys, or the keys alone. */
export function BindingWords({ setup, profile, binding: { behaviour } }: Props) {
  switch (behaviour.kind) {
    case 'action': {
      const { name, shortcut, command } = describeAction(setup, profile, behaviour.action);
      if (shortcut === null) return name;
      if (command === null) return <Keycap shortcut={shortcut} />;
      return (
        <>
          {name} <Keycap shortcut={shortcut} />
        </>
      );
    }
    case 'off':
      return WORDS.off;
    case 'native':
      return WORDS.native;
  }
}
