import type { Theme } from '@mui/material/styles';
import type { Family } from '@nimble-lever/core/setup';
import { FAMILY_NAMES } from '@nimble-lever/core/words';
import { Keys } from './Keys.tsx';

/** What a cell of the Board shows. */
export interface CellFace {
  /** `set` here, or `inherited` from below; and whether that is an action, what the control does by itself, or off. */
  readonly source: 'set' | 'inherited';
  readonly does: 'action' | 'native' | 'nothing' | 'off';
  readonly name: string;
  /** In our notation, or wheel ticks as an arrow; null for what sends neither. */
  readonly shortcut: string | null;
  readonly family: Family | null;
  /** By which the same is known across programs. */
  readonly intent: string | null;
  /** The name of the profile it is inherited from, or null. */
  readonly from: string | null;
  /** A person wrote down why. */
  readonly hasNote: boolean;
  /** The layer that decided; null where nothing is set. */
  readonly layer: string | null;
  /** What the base layer does, where that differs and is to be told. */
  readonly base: string | null;
}

/** How cells look, for the grid they are in: one sheet for all of them, as there are hundreds. */
export function cellStyles({ theme: { vars, typography } }: { readonly theme: Theme }) {
  const tokens = vars?.palette.tokens;
  // A colour alone says nothing: the family is in the cell's words too (WCAG 2.2, 1.4.1).
  const bars = Object.entries(tokens?.family ?? {}).map(([family, colour]) => [
    `& .face[data-source=set][data-family=${family}]`,
    { borderLeftColor: colour },
  ]);
  return {
    '& .face': {
      height: '100%',
      display: 'flex',
      alignItems: 'center',
      gap: 8,
      padding: '0 8px 0 9px',
      borderLeft: '4px solid transparent',
      color: tokens?.ink,
    },
    '& .face[data-source=inherited]': { color: tokens?.soft },
    '& .face[data-does=native]': { fontStyle: 'italic' },
    '& .face[data-does=off]': {
      backgroundImage: `repeating-linear-gradient(135deg, ${tokens?.sunk} 0 6px, transparent 6px 12px)`,
    },
    '& .face[data-differs=true]': { backgroundColor: tokens?.layerTint },
    '& [data-same=true] > .face': { backgroundColor: tokens?.accentTint },
    ...Object.fromEntries(bars),
    '& .face .name': {
      flex: 1,
      minWidth: 0,
      overflow: 'hidden',
      textOverflow: 'ellipsis',
      whiteSpace: 'nowrap',
    },
    '& .face kbd': {
      fontFamily: typography.mono,
      fontSize: 12,
      lineHeight: '16px',
      whiteSpace: 'nowrap',
      padding: '0 6px',
      borderRadius: 4,
      border: `1px solid ${vars?.palette.divider}`,
      borderBottomWidth: 2,
      backgroundColor: tokens?.background,
    },
    '& .face .base': {
      fontSize: 11,
      maxWidth: '45%',
      overflow: 'hidden',
      textOverflow: 'ellipsis',
      whiteSpace: 'nowrap',
      color: tokens?.layer,
    },
    '& .face .note': { width: 6, height: 6, borderRadius: 3, flex: 'none', backgroundColor: tokens?.soft },
  } as const;
}

/** One cell of the Board: what a control does in a program, set here or coming from below. */
export function Cell({ face }: { readonly face: CellFace }) {
  const { name, source, does, family, base, hasNote, shortcut } = face;
  return (
    <div
      className="face"
      data-source={source}
      data-does={does}
      data-family={family}
      data-differs={base !== null}
    >
      <span className="name">{name}</span>
      {base && <span className="base">was {base}</span>}
      {hasNote && <span className="note" />}
      {shortcut && !base && (
        <kbd>
          <Keys shortcut={shortcut} />
        </kbd>
      )}
    </div>
  );
}

/** Said of a cell that shows a dash. */
const NOTHING = 'nothing';

/** A cell in words, for its accessible name and its tooltip. */
export function cellWords(face: CellFace): string {
  // From the most to the least important, as it is read out in this order.
  const parts = [face.does === 'nothing' ? NOTHING : face.name];
  if (face.shortcut) parts.push(face.shortcut);
  if (face.family) parts.push(`${FAMILY_NAMES[face.family]} family`);
  if (face.from) parts.push(`from ${face.from}`);
  if (face.base) parts.push(`${face.base} in the base layer`);
  if (face.hasNote) parts.push('has a note');
  return parts.join(', ');
}
