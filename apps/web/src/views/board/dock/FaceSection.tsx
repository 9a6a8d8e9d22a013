import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { FACE_COLOURS, type Face } from '@nimble-lever/core/setup';
import { useDraft } from '../../../app/useDraft.ts';
import { FaceKey } from '../../../pieces/FaceKey.tsx';
import { WORDS } from '../words.ts';
import { IconField } from './IconField.tsx';
import { Section } from './Section.tsx';
import type { CellEdits } from './useCellEdits.ts';

const Row = styled('div')({ display: 'flex', gap: 12, alignItems: 'flex-start' });
const Fields = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', gap: 8 });
const Swatch = styled('button')<{ ownerState: { colour: (typeof FACE_COLOURS)[number] } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    width: 24,
    height: 24,
    padding: 0,
    border: `1px solid ${vars?.palette.text.secondary}`,
    borderRadius: 6,
    cursor: 'pointer',
    backgroundColor: vars?.palette.tokens.face[colour],
    '&[aria-pressed=true]': {
      boxShadow: `0 0 0 2px ${vars?.palette.tokens.sheet}, 0 0 0 4px ${vars?.palette.text.primary}`,
    },
    '&:disabled': { opacity: 0.4, cursor: 'default' },
  }),
);

const NO_FACE: Face = { label: null, icon: null, colour: null };

/** What the control shows: label, icon, colour. */
export function FaceSection({ edits }: { readonly edits: CellEdits }) {
  const { binding, cell, setFace } = edits;
  const face = binding?.face ?? NO_FACE;
  const label = useDraft(face.label ?? '', (text) => setFace({ ...face, label: text.trim() || null }));
  const shownLabel = label.value || (binding?.behaviour.kind === 'action' ? cell.face.name : '');
  return (
    <Section title={WORDS.face}>
      <Row>
        <FaceKey label={shownLabel} icon={face.icon} colour={face.colour ?? 'ink'} blank={!binding} />
        <Fields>
          <OutlinedInput
            {...label}
            placeholder={WORDS.label}
            disabled={!binding}
            inputProps={{ 'aria-label': WORDS.label, maxLength: 24 }}
          />
          <Row role="group" aria-label={WORDS.colour} style={{ gap: 5, flexWrap: 'wrap' }}>
            {FACE_COLOURS.map((colour) => (
              <Swatch
                key={colour}
                type="button"
                ownerState={{ colour }}
                aria-label={`${WORDS.colour}: ${colour}`}
                title={colour}
                aria-pressed={face.colour === colour}
                disabled={!binding}
                onClick={() => setFace({ ...face, colour: face.colour === colour ? null : colour })}
              />
            ))}
          </Row>
          <IconField icon={face.icon} disabled={!binding} onChange={(icon) => setFace({ ...face, icon })} />
        </Fields>
      </Row>
    </Section>
  );
}
