import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import {
  type Control,
  type Device,
  mainTriggersOf,
  readingDistance,
  shapeBox,
  type Trigger,
  triggersOf,
} from '@nimble-lever/core/devices';
import { CAPITALS, leastCapitals } from '@nimble-lever/core/drawing';
import { wayBack, wayBackEdit } from '@nimble-lever/core/pages';
import { isUsed, type PanelPage } from '@nimble-lever/core/panels';
import { BASE_LAYER, keyOf, layerOfCell, type Page, type Setup } from '@nimble-lever/core/setup';
import { profileName, tidy, triggerWord } from '@nimble-lever/core/words';
import { type RefObject, useState } from 'react';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ActionPicker } from '../../editors/ActionPicker.tsx';
import { FaceFields } from '../../editors/FaceFields.tsx';
import { offeredColours } from '../../editors/offeredColours.ts';
import { RadialMenuEditor } from '../../editors/RadialMenuEditor.tsx';
import { SentFields } from '../../editors/SentFields.tsx';
import { useSlotEdits } from '../../editors/useSlotEdits.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import type { ControlFace } from '../../pieces/controlFace.ts';
import { faceParts } from '../../pieces/faceParts.ts';
import { BasedOn } from './grid/BasedOn.tsx';
import { CellFields } from './grid/CellFields.tsx';
import { PageChecks } from './grid/PageChecks.tsx';
import type { PageFace } from './pageFaces.ts';
import { WORDS } from './words.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  padding: '14px 16px',
  fontSize: 13,
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2, & h3, & p': { margin: 0 },
  '& h2': { fontSize: 15, fontWeight: 650 },
  '& h2 small': { fontSize: 12, fontWeight: 400, color: vars?.palette.text.secondary },
  '& h3': { fontSize: 12, fontWeight: 650 },
  '& section': { display: 'flex', flexDirection: 'column', gap: 8 },
  '& section + section': { paddingTop: 14, borderTop: `1px solid ${vars?.palette.divider}` },
  '& .line': { display: 'flex', alignItems: 'center', gap: 8, flexWrap: 'wrap' },
  '& p': { color: vars?.palette.text.secondary },
  '& .good': { color: vars?.palette.tokens.accent },
  '& .problem': { color: vars?.palette.tokens.brick, fontSize: 12, alignSelf: 'flex-start' },
  '& .MuiFormControlLabel-root': { margin: 0, gap: 4 },
  '& .MuiFormControlLabel-label': { fontSize: 13, lineHeight: 1.3 },
  '& .MuiCheckbox-root': { padding: 3 },
  '& .wrong': { color: vars?.palette.tokens.brick },
}));

interface Props {
  readonly device: Device;
  /** Null for the device's own. */
  readonly page: Page | null;
  readonly profile: string;
  readonly profiles: readonly string[];
  readonly onProfile: (profile: string) => void;
  readonly selected: readonly string[];
  readonly faces: ReadonlyMap<string, PageFace>;
  readonly chooserRef: RefObject<HTMLInputElement | null>;
  readonly onDone: () => void;
  /** Of a panel: the page as it is divided; null for any other device. */
  readonly panel: PanelPage | null;
  readonly onSelect: (control: string) => void;
  readonly onSaid: (said: string) => void;
}

/** What the selected control does on the page, with the pieces the Board has, and how the page as a whole is. */
export function ControlSide(props: Props) {
  const { device, page, profile, profiles, onProfile, selected, faces, panel, onSaid } = props;
  const setup = useAppSelector(selectSetup);
  const [only, ...others] = selected;
  const control = others.length === 0 ? device.controls.find(({ id }) => id === only) : undefined;
  const box = control && shapeBox(control.shape);
  return (
    <Box>
      <section>
        <h2>
          {control?.name ??
            (selected.length > 0 ? WORDS.selected(selected.length) : (page?.name ?? WORDS.home))}{' '}
          {selected.length === 0 && <small>{WORDS.pageOfDevice(device.name)}</small>}
          {control?.cell && <small>{WORDS.cellAt(control.cell.area)}</small>}
          {box && !control?.cell && (
            <small>{WORDS.size(Math.round(box.right - box.left), Math.round(box.bottom - box.top))}</small>
          )}
        </h2>
        <div className="line">
          {WORDS.doesIn}
          <ChoiceField
            label={WORDS.profile}
            value={profile}
            options={profiles.map((id) => [id, profileName(setup, id)] as const)}
            onChange={onProfile}
          />
        </div>
        {!control && <p>{selected.length > 1 ? WORDS.several : WORDS.nothingSelected}</p>}
      </section>
      {control && isUsed(control) && (
        <ControlDoes key={control.id} {...props} control={control} known={faces.get(control.id)} />
      )}
      {control && panel && (
        <CellFields key={`cell ${control.id}`} panel={panel} control={control} onSaid={onSaid} />
      )}
      <PageSum {...props} />
    </Box>
  );
}

/** What one control does, how it is sent, and its face. */
function ControlDoes({
  device,
  page,
  profile,
  control,
  known,
  chooserRef,
  onDone,
}: Props & { readonly control: Control; readonly known: PageFace | undefined }) {
  const [trigger, setTrigger] = useState<Trigger>(mainTriggersOf(control)[0] ?? 'press');
  const [recording, setRecording] = useState(false);
  const [composing, setComposing] = useState(false);
  const [menu, setMenu] = useState<string | null>(null);
  const layer = control.cell ? layerOfCell(control) : (page?.id ?? BASE_LAYER);
  const slot = { profile, layer, device: device.id, control: control.id, trigger };
  const edits = useSlotEdits(slot);
  if (!edits) return null;
  const { binding, target } = edits;
  return (
    <>
      <section>
        <ChoiceField
          label={WORDS.use}
          value={trigger}
          options={triggersOf(control).map((each) => [each, triggerWord(each, control)] as const)}
          onChange={setTrigger}
        />
        <ActionPicker
          target={target}
          recording={recording}
          composing={composing}
          chooserRef={chooserRef}
          onRecord={() => setRecording(true)}
          onStop={() => {
            setRecording(false);
            onDone();
          }}
          onCompose={(open) => {
            setRecording(false);
            setComposing(open);
          }}
          onEditMenu={setMenu}
          onDone={onDone}
        />
        {menu !== null && <RadialMenuEditor menu={menu} onMenu={setMenu} onClose={() => setMenu(null)} />}
        {binding === null && <p>{WORDS.comesFrom}</p>}
        {binding && (
          <>
            <SentFields
              setup={edits.setup}
              behaviour={binding.behaviour}
              turns={edits.turns}
              rotor={control.rotor}
              onStyle={edits.setStyle}
              onOptions={edits.setOptions}
            />
            <Button onClick={() => edits.setBehaviour(null)} sx={{ alignSelf: 'flex-start' }}>
              {WORDS.inherit}
            </Button>
          </>
        )}
      </section>
      <section>
        <h3>{WORDS.label}</h3>
        <FaceFields
          key={`${profile} ${keyOf(slot)}`}
          face={binding?.face ?? null}
          name={known?.face?.label ?? ''}
          disabled={!binding}
          ratio={ratioOf(control)}
          offered={offeredColours(edits.setup, edits.profile, binding?.behaviour)}
          target={edits.faceTarget}
        />
        {known?.face && <Legible device={device} control={control} face={known.face} />}
      </section>
    </>
  );
}

/** Width by height of a control. */
function ratioOf({ shape }: Control): number {
  const { left, top, right, bottom } = shapeBox(shape);
  return (right - left) / (bottom - top);
}

/** Whether what is on a control can be read from where the device stands. */
function Legible({ device, control, face }: { device: Device; control: Control; face: ControlFace }) {
  const distance = readingDistance(device);
  const parts = faceParts(control.shape, face, distance);
  const metres = `${tidy(distance / 1000)} m`;
  if (!parts) return <p>{WORDS.noFace}</p>;
  if (!parts.label) return <p>{face.picture ? WORDS.pictureOnly : WORDS.iconOnly}</p>;
  if (parts.label.isReadable) return <p className="good">{WORDS.readable(metres)}</p>;
  const millimetres = (value: number) => value.toFixed(1);
  const high = parts.label.size * CAPITALS;
  return (
    <p className="wrong">{WORDS.tooSmall(millimetres(high), millimetres(leastCapitals(distance)), metres)}</p>
  );
}

/** How much is set on the page, and how one leaves it; the way back is offered where there is none. */
function PageSum({ device, page, profile, faces, panel, onSelect }: Props) {
  const dispatch = useAppDispatch();
  const setup: Setup = useAppSelector(selectSetup);
  const set = [...faces.values()].filter(({ isOwn }) => isOwn).length;
  const isFolder = page?.kind === 'folder';
  const back = isFolder ? wayBack(setup, page, profile) : null;
  const offer = isFolder && back === null ? wayBackEdit(setup, page, profile) : null;
  const nameOf = (control: string) => device.controls.find(({ id }) => id === control)?.name ?? control;
  return (
    <section>
      <h3>{WORDS.onThisPage}</h3>
      {panel && <BasedOn panel={panel} />}
      {panel && <PageChecks panel={panel} profile={profile} onSelect={onSelect} />}
      <p>
        {!panel && WORDS.counts(set, device.controls.length)} {back !== null && WORDS.backBy(nameOf(back))}
      </p>
      {isFolder && back === null && <p className="wrong">{WORDS.noWayBack}</p>}
      {offer && (
        <Button onClick={() => dispatch(makeEdits(offer.edits))} sx={{ alignSelf: 'flex-start' }}>
          {WORDS.wayBack(nameOf(offer.control))}
        </Button>
      )}
    </section>
  );
}
