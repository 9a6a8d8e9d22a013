import Button from '@mui/material/Button';
import { displaySteps } from '@nimble-lever/core/keys';
import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import { useContext } from 'react';
import { KeyboardContext } from '../../pieces/keyboard.ts';
import { useAppSelector } from '../store.ts';
import { selectLayout } from './keyboardSlice.ts';
import { placeInstead } from './typedShortcut.ts';
import { WORDS } from './words.ts';

/** A shortcut in our notation, what it is read by, and where the one instead of it goes. */
interface Props {
  readonly notation: string;
  readonly keysBy: KeysBy;
  readonly onUse: (notation: string) => void;
}

/** The key of the same place, to use where the person's keyboard types a shortcut badly or not at all. */
export function UseInstead({ notation, keysBy, onUse }: Props) {
  const { platform, legends } = useContext(KeyboardContext);
  const layout = useAppSelector(selectLayout);
  const instead = placeInstead(notation, layout, keysBy);
  if (instead === null) return null;
  return (
    <Button
      size="small"
      title={WORDS.insteadMeans}
      onClick={() => onUse(instead)}
      sx={{ flex: 'none', minHeight: 24, height: 24, px: 1 }}
    >
      {WORDS.takeInstead(displaySteps(instead, platform, legends))}
    </Button>
  );
}
