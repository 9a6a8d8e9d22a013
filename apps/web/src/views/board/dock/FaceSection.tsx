import { FaceFields } from '../../../editors/FaceFields.tsx';
import { WORDS } from '../words.ts';
import { Section } from './Section.tsx';
import type { CellEdits } from './useCellEdits.ts';

/** What the control shows: label, icon, colour. */
export function FaceSection({ edits: { binding, cell, setFace } }: { readonly edits: CellEdits }) {
  return (
    <Section title={WORDS.face}>
      <FaceFields
        face={binding?.face ?? null}
        name={binding?.behaviour.kind === 'action' ? cell.face.name : ''}
        disabled={!binding}
        onChange={setFace}
      />
    </Section>
  );
}
