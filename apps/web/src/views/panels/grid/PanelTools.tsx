import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import { CELL_KINDS, type CellKind } from '@nimble-lever/core/devices';
import type { Alignment, PanelPage } from '@nimble-lever/core/panels';
import { Grid3x3, Image, LayoutTemplate } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from './words.ts';

const SizeDialog = lazy(() => import('./SizeDialog.tsx'));
const PagePictureDialog = lazy(() => import('./PagePictureDialog.tsx'));
const TemplateDialog = lazy(() => import('./TemplateDialog.tsx'));

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  gap: 8,
  padding: '7px 16px',
  backgroundColor: vars?.palette.tokens.sheet,
  borderBottom: `1px solid ${vars?.palette.divider}`,
  '& .fill': { flex: 1 },
}));

interface Props {
  readonly panel: PanelPage;
  /** What is drawn next. */
  readonly kind: CellKind;
  readonly onKind: (kind: CellKind) => void;
  readonly selected: readonly string[];
  readonly onAlign: (how: Alignment) => void;
}

/** What can be done with a page of a panel as a whole, and with several of its cells. */
export function PanelTools({ panel, kind, onKind, selected, onAlign }: Props) {
  const [open, setOpen] = useState<'size' | 'picture' | 'template' | null>(null);
  const [aligning, setAligning] = useState<HTMLElement | null>(null);
  const { columns, rows } = panel.grid;
  return (
    <Bar role="toolbar" aria-label={WORDS.tools}>
      <ChoiceField
        label={WORDS.draws}
        value={kind}
        options={CELL_KINDS.map((each) => [each, WORDS.drawsA(WORDS.kinds[each])] as const)}
        onChange={onKind}
      />
      {selected.length > 1 && (
        <Button aria-haspopup="menu" onClick={({ currentTarget }) => setAligning(currentTarget)}>
          {WORDS.align}
        </Button>
      )}
      <span className="fill" />
      <Button startIcon={<Grid3x3 size={15} aria-hidden />} onClick={() => setOpen('size')}>
        {WORDS.grid(columns, rows)}
      </Button>
      <Button startIcon={<Image size={15} aria-hidden />} onClick={() => setOpen('picture')}>
        {WORDS.picture}
      </Button>
      <Button startIcon={<LayoutTemplate size={15} aria-hidden />} onClick={() => setOpen('template')}>
        {WORDS.template}
      </Button>
      {aligning && (
        <Menu open anchorEl={aligning} onClose={() => setAligning(null)}>
          {Object.entries(WORDS.alignments).map(([how, name]) => (
            <MenuItem
              key={how}
              onClick={() => {
                setAligning(null);
                onAlign(how as Alignment);
              }}
            >
              {name}
            </MenuItem>
          ))}
        </Menu>
      )}
      <Suspense fallback={null}>
        {open === 'size' && <SizeDialog panel={panel} onClose={() => setOpen(null)} />}
        {open === 'picture' && <PagePictureDialog panel={panel} onClose={() => setOpen(null)} />}
        {open === 'template' && <TemplateDialog panel={panel} onClose={() => setOpen(null)} />}
      </Suspense>
    </Bar>
  );
}
