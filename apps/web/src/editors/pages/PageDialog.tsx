import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormHelperText from '@mui/material/FormHelperText';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { flatTree, pageTree } from '@nimble-lever/core/pages';
import { itemAt, type Page, pagesBelow } from '@nimble-lever/core/setup';
import { programName } from '@nimble-lever/core/words';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { FaceFields } from '../FaceFields.tsx';
import { faceEdit } from '../faceEdit.ts';
import { programColour } from '../offeredColours.ts';
import { WORDS } from './words.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  width: 460,
  maxWidth: '100%',
  padding: '18px 20px',
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  '& h2, & h3, & p': { margin: 0 },
  '& h2': { fontSize: 15 },
  '& h3': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .line': {
    display: 'grid',
    gridTemplateColumns: '90px 1fr',
    alignItems: 'center',
    gap: 10,
    fontSize: 13,
  },
  '& .MuiFormHelperText-root': { margin: '0 0 0 32px' },
  '& .line .MuiFormHelperText-root': { gridColumn: 2, margin: 0 },
}));

interface Props {
  readonly page: Page;
  readonly device: Device;
  readonly onClose: () => void;
}

/** A page's program, where it is kept, what it lets through, and its face; each is saved as it is changed. */
export function PageDialog({ page, device, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { id, name, kind, program, within, showsThrough, follows, face } = page;
  const at = itemAt.page(id);
  const set = (fields: Partial<Page>) => dispatch(makeEdit({ kind: 'set', at, fields }));
  const inside = new Set([id, ...pagesBelow(setup, id).map((below) => below.id)]);
  const places = flatTree(pageTree(setup, device.id)).filter(({ page: other }) => !inside.has(other.id));
  return (
    <Dialog open onClose={onClose} aria-labelledby="page-title">
      <Body>
        <h2 id="page-title">{WORDS.pageTitle(name, device.name)}</h2>
        <div className="line">
          {WORDS.pageProgram}
          <ChoiceField
            label={WORDS.pageProgram}
            value={program ?? ''}
            options={[
              ['', WORDS.everyProgram],
              ...setup.programs.map((each) => [each.id, each.name] as const),
            ]}
            onChange={(next) => set({ program: next === '' ? null : next })}
          />
          {program !== null && <FormHelperText>{WORDS.pageProgramMeans[kind]}</FormHelperText>}
        </div>
        {kind === 'folder' && (
          <div className="line">
            {WORDS.pageWithin}
            <ChoiceField
              label={WORDS.pageWithin}
              value={within ?? ''}
              options={[
                ['', WORDS.homePage],
                ...places.map(
                  ({ page: other, depth }) => [other.id, `${'· '.repeat(depth)}${other.name}`] as const,
                ),
              ]}
              onChange={(next) => set({ within: next === '' ? null : next })}
            />
          </div>
        )}
        {kind === 'folder' && (
          <div>
            <FormControlLabel
              label={WORDS.showsThrough}
              control={
                <Checkbox
                  size="small"
                  checked={showsThrough}
                  onChange={({ target }) => set({ showsThrough: target.checked })}
                />
              }
            />
            <FormHelperText>{WORDS.showsThroughMeans}</FormHelperText>
          </div>
        )}
        {kind === 'set' && program !== null && (
          <div>
            <FormControlLabel
              label={WORDS.follows(programName(setup, program))}
              control={
                <Checkbox
                  size="small"
                  checked={follows}
                  onChange={({ target }) => set({ follows: target.checked })}
                />
              }
            />
            <FormHelperText>{WORDS.followsMeans}</FormHelperText>
          </div>
        )}
        <h3>{WORDS.pageFace}</h3>
        <FaceFields
          face={face}
          name={name}
          disabled={false}
          offered={programColour(setup, program)}
          target={() => (parts) => void dispatch(makeEdit(faceEdit(at, parts)))}
        />
        <Button variant="contained" onClick={onClose} sx={{ alignSelf: 'flex-end' }}>
          {WORDS.done}
        </Button>
      </Body>
    </Dialog>
  );
}
