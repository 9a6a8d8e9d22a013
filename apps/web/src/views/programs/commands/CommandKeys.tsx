import { styled } from '@mui/material/styles';
import type { Command, Program } from '@nimble-lever/core/setup';
import { selectLayout } from '../../../app/keyboard/keyboardSlice.ts';
import { shortcutWarnings } from '../../../app/keyboard/typedShortcut.ts';
import { UseInstead } from '../../../app/keyboard/UseInstead.tsx';
import { useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from '../words.ts';
import { ShortcutField } from './ShortcutField.tsx';
import type { SheetEdits } from './useSheetEdits.ts';

const Fields = styled('div')(({ theme: { vars } }) => ({
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr)',
  alignItems: 'center',
  gap: '4px 8px',
  fontSize: 12,
  color: vars?.palette.text.secondary,
  '& .MuiInputBase-root': { maxWidth: 'none', width: '100%' },
}));

interface Props {
  readonly command: Command;
  readonly programBy: Program['keysBy'];
  readonly edits: SheetEdits;
}

/** What a command goes by where that is not what its program goes by, and its keys on this keyboard where they are others. */
export function CommandKeys({ command, programBy, edits }: Props) {
  const layout = useAppSelector(selectLayout);
  const platform = useAppSelector((state) => state.keyboard.platform);
  const keysBy = command.keysBy ?? programBy;
  const own = command.onLayout[layout.id] ?? null;
  const setOwn = (shortcut: string | null) => {
    const { [layout.id]: _before, ...others } = command.onLayout;
    edits.change(command, { onLayout: shortcut === null ? others : { ...others, [layout.id]: shortcut } });
  };
  const [warning] = shortcutWarnings(own ?? command.shortcut, platform, layout, keysBy);
  return (
    <Fields>
      {warning !== undefined && (
        <p>
          {warning} <UseInstead notation={command.shortcut} keysBy={keysBy} onUse={setOwn} />
        </p>
      )}
      {WORDS.goesBy}
      <ChoiceField
        label={WORDS.goesBy}
        value={command.keysBy ?? 'program'}
        options={[
          ['program', WORDS.asProgram],
          ['character', WORDS.keysByNames.character],
          ['place', WORDS.keysByNames.place],
        ]}
        onChange={(next) => edits.change(command, { keysBy: next === 'program' ? null : next })}
      />
      {WORDS.onLayout(layout.name)}
      <ShortcutField
        key={`${command.id} ${layout.id} ${own}`}
        label={WORDS.onLayout(layout.name)}
        placeholder={WORDS.sameAsAlways}
        shortcut={own}
        onChange={setOwn}
      />
    </Fields>
  );
}
