import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import {
  CELL_KINDS,
  type CellKind,
  type Control,
  cellKindOf,
  LABEL_PLACES,
  LETTERS,
  type Letters,
  readingDistance,
} from '@nimble-lever/core/devices';
import { leastCapitals } from '@nimble-lever/core/drawing';
import { isUsed, type PanelPage, readableFrom } from '@nimble-lever/core/panels';
import { itemAt } from '@nimble-lever/core/setup';
import { pageName, tidy } from '@nimble-lever/core/words';
import { useRef } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useDraft } from '../../../app/useDraft.ts';
import { usePictureTaking } from '../../../editors/usePictureTaking.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { become, copy, showOnEveryPage } from './cellActs.ts';
import { WORDS } from './words.ts';

const Places = styled('div')(({ theme: { vars } }) => ({
  display: 'grid',
  gridTemplateColumns: 'repeat(3, 26px)',
  gap: 2,
  width: 'max-content',
  '& button': {
    width: 26,
    height: 24,
    padding: 0,
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 5,
    background: 'none',
    color: vars?.palette.text.secondary,
    cursor: 'pointer',
    '&::after': {
      content: '""',
      display: 'block',
      width: 8,
      height: 3,
      margin: '0 auto',
      borderRadius: 2,
      backgroundColor: 'currentColor',
    },
    '&[aria-pressed=true]': {
      color: vars?.palette.tokens.sheet,
      backgroundColor: vars?.palette.text.primary,
      borderColor: vars?.palette.text.primary,
    },
  },
}));

interface Props {
  readonly panel: PanelPage;
  readonly control: Control;
  readonly onSaid: (said: string) => void;
}

/** What a cell is, whatever it does: its kind, its name, its letters, whether it is seen, and where it shows. */
export function CellFields({ panel, control, onSaid }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const chooser = useRef<HTMLInputElement>(null);
  const { device, page } = panel;
  const at = itemAt.control(device.id, control.id);
  const set = (fields: Record<string, unknown>) => dispatch(makeEdit({ kind: 'set', at, fields }));
  const taking = usePictureTaking(
    () =>
      ({ picture }) =>
        picture && set({ 'cell.picture': picture }),
    false,
  );
  const name = useDraft(control.name, (text) => {
    if (text.trim()) set({ name: text.trim() });
  });
  const { cell } = control;
  if (!cell) return null;
  const kind = cellKindOf(control) ?? 'button';
  const size = cell.labelSize;
  const isOfBase = cell.page !== null && panel.bases.includes(cell.page);
  return (
    <section>
      <h3>{WORDS.cell}</h3>
      <div className="line">
        <ChoiceField
          label={WORDS.kind}
          value={kind}
          options={CELL_KINDS.map((each) => [each, WORDS.kinds[each]] as const)}
          onChange={(next: CellKind) => onSaid(dispatch(become(panel, [control.id], next)).said)}
        />
        <OutlinedInput
          {...name}
          inputProps={{ 'aria-label': kind === 'words' ? WORDS.text : WORDS.name, maxLength: 60 }}
          sx={{ flex: 1, minWidth: 110 }}
        />
      </div>
      {kind === 'picture' && (
        <>
          <Button onClick={() => chooser.current?.click()} sx={{ alignSelf: 'flex-start' }}>
            {WORDS.cellPicture}
          </Button>
          <input
            ref={chooser}
            type="file"
            hidden
            accept="image/png,image/jpeg,image/webp,image/svg+xml"
            onChange={({ target }) => {
              taking.take(target.files);
              // The same file can be chosen again.
              target.value = '';
            }}
          />
          {taking.wrong && <p className="wrong">{taking.wrong}</p>}
        </>
      )}
      <div className="line" style={{ alignItems: 'flex-start' }}>
        <Places role="group" aria-label={WORDS.place}>
          {LABEL_PLACES.map((place) => (
            <button
              key={place}
              type="button"
              aria-label={WORDS.places[place]}
              title={WORDS.places[place]}
              aria-pressed={cell.labelPlace === place}
              onClick={() => set({ 'cell.labelPlace': place })}
            />
          ))}
        </Places>
        <div style={{ display: 'grid', gap: 6 }}>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={WORDS.height2}
            value={size === null ? 'fits' : 'own'}
            onChange={(_event, next: 'fits' | 'own' | null) =>
              next && set({ 'cell.labelSize': next === 'fits' ? null : usualSize(panel) })
            }
          >
            <ToggleButton value="fits">{WORDS.heightFits}</ToggleButton>
            <ToggleButton value="own">mm</ToggleButton>
          </ToggleButtonGroup>
          {size !== null && (
            <span className="line">
              <NumberField
                label={WORDS.heightOwn}
                value={size}
                min={1}
                max={100}
                whole={false}
                unit="mm"
                onChange={(next) => set({ 'cell.labelSize': next })}
              />
              <span className={size < leastCapitals(readingDistance(device)) ? 'wrong' : 'good'}>
                {WORDS.readableFrom(`${tidy(Math.floor(readableFrom(size) / 100) / 10)} m`)}
              </span>
            </span>
          )}
        </div>
      </div>
      {kind === 'words' && (
        <div className="line">
          {WORDS.letters}
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={WORDS.letters}
            value={cell.letters}
            onChange={(_event, letters: Letters | null) => letters && set({ 'cell.letters': letters })}
          >
            {LETTERS.map((each) => (
              <ToggleButton key={each} value={each}>
                {WORDS.lettersAs[each]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </div>
      )}
      {isUsed(control) && (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={cell.seeThrough}
              onChange={(_event, seeThrough) => set({ 'cell.seeThrough': seeThrough })}
            />
          }
          label={WORDS.seeThrough}
        />
      )}
      {isOfBase && (
        <>
          <p>{WORDS.ofBase(pageName(setup, cell.page ?? ''))}</p>
          <Button
            sx={{ alignSelf: 'flex-start' }}
            onClick={() => onSaid(dispatch(copy(panel, [control.id])).said)}
          >
            {WORDS.ownOne}
          </Button>
        </>
      )}
      <FormControlLabel
        title={WORDS.everyPageMeans}
        control={
          <Checkbox
            size="small"
            checked={cell.page === null && cell.everyPage}
            onChange={(_event, on) => onSaid(dispatch(showOnEveryPage(panel, control, on)).said)}
          />
        }
        label={WORDS.everyPage}
      />
      {page && cell.page === null && <p>{WORDS.everyPageMeans}</p>}
    </section>
  );
}

/** Letters that can be read with ease from where the panel is: a third more than the least. Millimetres. */
function usualSize({ device }: PanelPage): number {
  return Math.ceil((leastCapitals(readingDistance(device)) * 22) / 16);
}
