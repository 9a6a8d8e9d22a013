import { FaceFields } from '../../../editors/FaceFields.tsx';
import { offeredColours } from '../../../editors/offeredColours.ts';
import { WORDS } from '../words.ts';
import { Section } from './Section.tsx';
import type { CellEdits } from './useCellEdits.ts';

/** What the control shows: label, icon, colour, picture. */
export function FaceSection({ edits: { binding, cell, setup, faceTarget } }: { readonly edits: CellEdits }) {
  return (
    <Section title={WORDS.face}>
      <FaceFields
        face={binding?.face ?? null}
        name={binding?.behaviour.kind === 'action' ? cell.face.name : ''}
        disabled={!binding}
        offered={offeredColours(setup, cell.column.profile, binding?.behaviour)}
        target={faceTarget}
      />
    </Section>
  );
}
