import { styled } from '@mui/material/styles';
import type { Family } from '@nimble-lever/core/setup';
import { FAMILY_NAMES } from '@nimble-lever/core/words';
import { Keycap } from './Keycap.tsx';

/** What a cell of the Board shows. */
export interface CellFace {
  /** `set` here, or `inherited` from below; and whether that is an action, what the control does by itself, or off. */
  readonly source: 'set' | 'inherited';
  readonly does: 'action' | 'native' | 'nothing' | 'off';
  readonly name: string;
  readonly shortcut: string | null;
  readonly family: Family | null;
  readonly intent: string | null;
  /** The name of the profile it is inherited from, or null. */
  readonly from: string | null;
  readonly hasNote: boolean;
  /** The layer that decided; null where nothing is set. */
  readonly layer: string | null;
  /** What the base layer does, where that differs and is to be told. */
  readonly base: string | null;
}

const Box = styled('div')<{ ownerState: { face: CellFace; same: boolean } }>(
  ({ theme: { vars }, ownerState: { face, same } }) => {
    const tokens = vars?.palette.tokens;
    // A colour alone says nothing: the family is in the cell's words too (WCAG 2.2, 1.4.1).
    const bar = face.source === 'set' && face.family ? tokens?.family[face.family] : 'transparent';
    const hatch = `repeating-linear-gradient(135deg, ${tokens?.sunk} 0 6px, transparent 6px 12px)`;
    return {
      height: '100%',
      display: 'flex',
      alignItems: 'center',
      gap: 8,
      padding: '0 8px 0 9px',
      borderLeft: `4px solid ${bar}`,
      color: face.source === 'set' ? tokens?.ink : tokens?.soft,
      fontStyle: face.does === 'native' ? 'italic' : 'normal',
      backgroundImage: face.does === 'off' ? hatch : 'none',
      backgroundColor: same ? tokens?.accentTint : face.base ? tokens?.layerTint : 'transparent',
      '& .name': { flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
      '& kbd': { opacity: 1, borderColor: face.source === 'set' ? undefined : tokens?.line },
      '& .base': {
        fontSize: 11,
        maxWidth: '45%',
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        whiteSpace: 'nowrap',
        color: tokens?.layer,
      },
      '& .note': { width: 6, height: 6, borderRadius: 3, flex: 'none', backgroundColor: tokens?.soft },
    };
  },
);

/** One cell of the Board: what a control does in a program, set here or coming from below. */
export function Cell({ face, same }: { readonly face: CellFace; readonly same: boolean }) {
  return (
    <Box ownerState={{ face, same }}>
      <span className="name">{face.name}</span>
      {face.base && <span className="base">was {face.base}</span>}
      {face.hasNote && <span className="note" />}
      {face.shortcut && !face.base && <Keycap shortcut={face.shortcut} />}
    </Box>
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
