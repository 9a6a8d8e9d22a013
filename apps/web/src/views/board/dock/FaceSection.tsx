import MenuItem from '@mui/material/MenuItem';
import OutlinedInput from '@mui/material/OutlinedInput';
import Select from '@mui/material/Select';
import { styled } from '@mui/material/styles';
import { FACE_COLOURS, type Face } from '@nimble-lever/core/setup';
import { Keyboard } from 'lucide-react';
import { FaceKey } from '../../../pieces/FaceKey.tsx';
import { FACE_ICONS } from '../../../pieces/faceIcons.ts';
import { useDraft } from '../useDraft.ts';
import { WORDS } from '../words.ts';
import { Section } from './Section.tsx';
import type { CellEdits } from './useCellEdits.ts';

const Row = styled('div')({ display: 'flex', gap: 12, alignItems: 'flex-start' });
const Fields = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', gap: 8 });
const Swatch = styled('button')<{ ownerState: { colour: (typeof FACE_COLOURS)[number] } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    width: 24,
    height: 24,
    padding: 0,
    border: `1px solid ${vars?.palette.divider}`,
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
          <Select
            displayEmpty
            size="small"
            value={face.icon ?? ''}
            disabled={!binding}
            onChange={({ target }) => setFace({ ...face, icon: target.value || null })}
            inputProps={{ 'aria-label': WORDS.icon }}
            renderValue={(id) => FACE_ICONS[id]?.name ?? WORDS.noIcon}
            MenuProps={{ slotProps: { paper: { sx: { maxHeight: 320 } } } }}
          >
            <MenuItem value="">
              <Keyboard size={16} aria-hidden style={{ marginRight: 10, opacity: 0 }} />
              {WORDS.noIcon}
            </MenuItem>
            {Object.entries(FACE_ICONS).map(([id, { icon: Icon, name }]) => (
              <MenuItem key={id} value={id}>
                <Icon size={16} aria-hidden style={{ marginRight: 10 }} />
                {name}
              </MenuItem>
            ))}
          </Select>
        </Fields>
      </Row>
    </Section>
  );
}
