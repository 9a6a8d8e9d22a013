import Button from '@mui/material/Button';
import { displaySteps } from '@nimble-lever/core/keys';
import { useContext } from 'react';
import { KeyboardContext } from '../../pieces/keyboard.ts';
import { WORDS } from '../shell/words.ts';
import { useAppSelector } from '../store.ts';
import { shortcutsInstead } from './typedShortcut.ts';

/** A shortcut in our notation, and where the one instead of it goes. */
interface Props {
  readonly notation: string;
  readonly onUse: (notation: string) => void;
}

/** Shortcuts to use instead of one that the person's keyboard has no good keys for; nothing where it has. */
export function UseInstead({ notation, onUse }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const layout = useAppSelector((state) => state.keyboard.layout);
  return shortcutsInstead(notation, layout).map((each) => (
    <Button
      key={each.notation}
      size="small"
      title={WORDS.insteadMeans[each.goesBy]}
      onClick={() => onUse(each.notation)}
      sx={{ flex: 'none', minHeight: 24, height: 24, px: 1 }}
    >
      {WORDS.takeInstead(displaySteps(each.notation, platform, legends))}
    </Button>
  ));
}
