import { FAMILY_NAMES, intentName } from '@nimble-lever/core/words';
import { Copy, TriangleAlert } from 'lucide-react';
import { memo } from 'react';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { WORDS } from '../words.ts';
import type { Column } from './sheetState.ts';
import type { Row } from './useRows.ts';

interface Props {
  readonly row: Row;
  readonly column: Column;
  readonly onTick: () => void;
  readonly onPlace: (anchor: HTMLElement) => void;
}

/** What stands in a cell of the sheet. */
export const SheetCell = memo(function SheetCell({ row, column, onTick, onPlace }: Props) {
  const { command, doubled, untyped, reach, where } = row;
  switch (column) {
    case 'name':
      return (
        <>
          <i className="bar" data-family={command.family} aria-hidden />
          <span className="words">{command.name}</span>
          {command.risky && <span className="tag">{WORDS.isRisky}</span>}
        </>
      );
    case 'shortcut':
      return (
        <>
          <Keycap shortcut={command.shortcut} />
          {doubled.length > 0 && (
            <span className="flag" title={WORDS.doubledWith(doubled.join(', '))}>
              <Copy size={13} role="img" aria-label={WORDS.doubledWith(doubled.join(', '))} />
            </span>
          )}
          {untyped && (
            <span className="flag" title={WORDS.untyped}>
              <TriangleAlert size={13} role="img" aria-label={WORDS.untyped} />
            </span>
          )}
        </>
      );
    case 'family':
      return <span className="words soft">{FAMILY_NAMES[command.family].toLowerCase()}</span>;
    case 'intent':
      return (
        <span className={command.intent === null ? 'words soft' : 'words'}>
          {command.intent === null ? '–' : intentName(command.intent).toLowerCase()}
        </span>
      );
    case 'risky':
      return (
        <input
          className="tick"
          type="checkbox"
          tabIndex={-1}
          checked={command.risky}
          aria-label={`${WORDS.columns.risky}: ${command.name}`}
          onChange={onTick}
        />
      );
    case 'note':
      return (
        <span className="words soft" title={command.note ?? undefined}>
          {command.note}
        </span>
      );
    case 'where':
      return reach.length > 0 ? (
        <>
          <span className="words" title={where}>
            {where}
          </span>
          {reach.length > 1 && <span className="soft">{WORDS.moreControls(reach.length - 1)}</span>}
        </>
      ) : (
        <>
          <span className="words soft">{WORDS.noControl}</span>
          <button
            type="button"
            className="place"
            tabIndex={-1}
            aria-label={WORDS.placeIt(command.name)}
            onClick={({ currentTarget }) => onPlace(currentTarget)}
          >
            {WORDS.place}
          </button>
        </>
      );
  }
});
