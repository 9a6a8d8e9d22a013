import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { type IntentDifference, putIntent } from '@nimble-lever/core/programs';
import { controlUseWords, intentName } from '@nimble-lever/core/words';
import { useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { useAppDispatch } from '../../../app/store.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { CompareGrid } from './CompareGrid.tsx';
import type { useCompared } from './useCompared.ts';

interface Props {
  readonly beside: ReturnType<typeof useCompared>;
  readonly differences: readonly IntentDifference[];
}

/** Where ideas are in one profile and where in another, a line each. */
export function IntentLines({ beside, differences }: Props) {
  const [menu, setMenu] = useState<{ anchor: HTMLElement; line: IntentDifference; column: number } | null>(
    null,
  );
  const { setup, chosen, compared, names } = beside;
  const wordsOf = (line: IntentDifference, column: number) =>
    (line.slots[column] ?? [])
      .map((slot) => controlUseWords(compared[column]?.setup ?? setup, slot))
      .join(' · ');
  return (
    <>
      <CompareGrid
        label={WORDS.differences(differences.length)}
        heads={[WORDS.columns.intent, ...names]}
        count={differences.length}
        keyAt={(index) => differences[index]?.intent ?? `${index}`}
        cellsAt={(index) => {
          const line = differences[index];
          if (!line) return [];
          const name = intentName(line.intent);
          return [
            <span key="intent" className="words">
              {name}
            </span>,
            ...chosen.map(({ file }, column) => {
              const at = wordsOf(line, column);
              const words = (
                <span key={names[column]} className={at ? 'words' : 'words soft'} title={at}>
                  {at || WORDS.noControl}
                </span>
              );
              return file === null ? (
                <button
                  key={names[column]}
                  type="button"
                  className="what"
                  aria-haspopup="menu"
                  aria-label={WORDS.cellOf(name, names[column] ?? '', at || WORDS.noControl)}
                  onClick={({ currentTarget }) => setMenu({ anchor: currentTarget, line, column })}
                >
                  {words}
                </button>
              ) : (
                words
              );
            }),
          ];
        }}
      />
      {menu && <PutMenu {...menu} beside={beside} wordsOf={wordsOf} onClose={() => setMenu(null)} />}
    </>
  );
}

interface PutProps {
  readonly anchor: HTMLElement;
  readonly line: IntentDifference;
  readonly column: number;
  readonly beside: Props['beside'];
  readonly wordsOf: (line: IntentDifference, column: number) => string;
  readonly onClose: () => void;
}

/** Puts a profile's command of an intent where another profile has it. */
function PutMenu({ anchor, line, column, beside, wordsOf, onClose }: PutProps) {
  const dispatch = useAppDispatch();
  const { say } = useSay();
  const { setup, chosen, names } = beside;
  const profile = chosen[column]?.profile ?? '';
  const choices = line.slots.flatMap((slots, i) => {
    const edit = i === column ? null : putIntent(setup, profile, line.intent, slots);
    return edit ? [{ edit, words: WORDS.putAs(names[i] ?? '', wordsOf(line, i)) }] : [];
  });
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      {choices.map(({ edit, words }) => (
        <MenuItem
          key={words}
          onClick={() => {
            dispatch(makeEdit(edit));
            say(WORDS.taken(intentName(line.intent), names[column] ?? ''));
            onClose();
          }}
        >
          {words}
        </MenuItem>
      ))}
      {choices.length === 0 && <MenuItem disabled>{WORDS.nothingToPut}</MenuItem>}
    </Menu>
  );
}
