import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import {
  BASE_LAYER,
  deviceOnPage,
  EVERYWHERE,
  type Page,
  profileOf,
  type Setup,
} from '@nimble-lever/core/setup';
import { Plus } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { ControlSide } from './ControlSide.tsx';
import { dropContent, folderOf } from './carry.ts';
import { addPanel, dividePanel, folder } from './grid/cellActs.ts';
import { LiveButton } from './grid/LiveButton.tsx';
import { PanelEditor } from './grid/PanelEditor.tsx';
import { usePanelPage } from './grid/usePanelEdits.ts';
import { WORDS as GRID_WORDS } from './grid/words.ts';
import { PageDrawing } from './PageDrawing.tsx';
import { PageTree } from './PageTree.tsx';
import { pageFaces } from './pageFaces.ts';
import { removedContent } from './removedContent.ts';
import { useContentDrag } from './useContentDrag.ts';
import { usePictures } from './usePictures.ts';
import { WORDS } from './words.ts';

const Layout = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: '248px minmax(0, 1fr) 300px',
  '@media (max-width: 1180px)': { gridTemplateColumns: '208px minmax(0, 1fr) 272px' },
  gridTemplateRows: 'minmax(0, 1fr)',
  '& > *': { minHeight: 0 },
  '& .left': { display: 'flex', flexDirection: 'column', borderRight: `1px solid ${vars?.palette.divider}` },
  '& .left > .chooser': {
    flex: 'none',
    display: 'flex',
    gap: 6,
    padding: 10,
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& .left > .chooser > *': { flex: 'none' },
  '& .left > .chooser > .MuiInputBase-root': { flex: 1, minWidth: 0, maxWidth: 'none' },
  '& .middle': { display: 'flex', flexDirection: 'column' },
  '& .middle > header': {
    flex: 'none',
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    minHeight: 46,
    padding: '6px 16px',
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& header h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& header .fill': { flex: 1 },
  '& .middle > footer': {
    flex: 'none',
    padding: '9px 16px',
    fontSize: 12,
    lineHeight: 1.5,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.sheet,
    borderTop: `1px solid ${vars?.palette.divider}`,
    '& p': { margin: 0 },
    '& .said': { color: vars?.palette.text.primary, minHeight: 18 },
  },
}));
const Empty = styled('div')({
  height: '100%',
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 12,
});

/** Kinds of devices whose pages are edited on their drawing. */
const KINDS: ReadonlySet<Device['kind']> = new Set([
  'key-pad',
  'dial',
  'shuttle',
  'pen-tablet',
  'pedals',
  'mouse',
  'touch-panel',
]);

/** Panels: the pages of a device on its own drawing, and what each control does on them. */
export function PanelsPage() {
  const setup = useAppSelector(selectSetup);
  const devices = setup.devices.filter(
    ({ kind, controls, panel }) => KINDS.has(kind) && (controls.length > 0 || panel !== null),
  );
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  // The one asked for, else the first that has pages.
  const device =
    devices.find(({ id }) => id === params.get('device')) ??
    devices.find(({ id, kind }) => kind === 'key-pad' && setup.pages.some((page) => page.device === id)) ??
    devices[0];
  if (!device) {
    return (
      <Empty>
        {WORDS.empty}
        <Button onClick={() => navigate('/rig')}>{WORDS.toRig}</Button>
      </Empty>
    );
  }
  const show = (next: { device?: string; page?: string | null; profile?: string }) =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        after.set('device', next.device ?? device.id);
        if (next.device !== undefined || next.page === null) after.delete('page');
        if (next.page) after.set('page', next.page);
        if (next.profile !== undefined) after.set('profile', next.profile);
        return after;
      },
      { replace: true },
    );
  const page =
    setup.pages.find(({ id, device: of }) => id === params.get('page') && of === device.id) ?? null;
  return (
    <Pages
      key={device.id}
      devices={devices}
      device={device}
      page={page}
      asked={params.get('profile')}
      onShow={show}
    />
  );
}

interface Props {
  readonly devices: readonly Device[];
  readonly device: Device;
  readonly page: Page | null;
  /** The profile that was chosen, if any. */
  readonly asked: string | null;
  readonly onShow: (next: { device?: string; page?: string | null; profile?: string }) => void;
}

/** What is selected, and on which page. */
interface Chosen {
  readonly page: string | null;
  readonly controls: readonly string[];
}

/** One page of a device. */
function Pages({ devices, device: whole, page, asked, onShow }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const setup = useAppSelector(selectSetup);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const device = useMemo(() => deviceOnPage(setup, whole, page?.id ?? null), [setup, whole, page]);
  const panel = usePanelPage(whole.id, page?.id ?? null);
  const shown = page?.id ?? null;
  const [chosen, setChosen] = useState<Chosen>({ page: shown, controls: [] });
  const setSelected = (controls: readonly string[]) => setChosen({ page: shown, controls });
  const [told, setTold] = useState({ page: shown, words: '' });
  const said = told.page === shown ? told.words : '';
  const setSaid = (words: string) => setTold({ page: shown, words });
  // What is on another page, or was taken away meanwhile, is not selected any more.
  const selected = (chosen.page === shown ? chosen.controls : []).filter((id) =>
    device.controls.some((control) => control.id === id),
  );
  const chooser = useRef<HTMLInputElement>(null);
  const root = useRef<HTMLDivElement>(null);
  const profiles = profilesFor(setup, page);
  const profile =
    profiles.find((id) => id === asked) ?? profiles.find((id) => id === front) ?? profiles[0] ?? EVERYWHERE;
  const layer = page?.id ?? BASE_LAYER;
  const place = { profile, layer, device: device.id };
  const faces = useMemo(() => pageFaces(setup, device, { profile, layer }), [setup, device, profile, layer]);
  const makeOne = (controls: readonly string[]) => {
    const made = panel ? dispatch(folder(panel, profile, controls)) : dispatch(folderOf(place, controls));
    setSaid(made.said);
    if (made.page) setSelected([]);
  };
  const focusDrawing = useCallback(
    () =>
      root.current?.querySelector<SVGElement>('[data-page-drawing] [data-control][tabindex="0"]')?.focus(),
    [],
  );
  const pictures = usePictures(device, place, selected.length === 1 ? selected[0] : undefined, (control) =>
    setSelected([control]),
  );
  const { dragged, handlers } = useContentDrag({
    onSelect: (control, adds) =>
      setSelected(
        !adds
          ? [control]
          : selected.includes(control)
            ? selected.filter((id) => id !== control)
            : [...selected, control],
      ),
    onDrop: (control, target, copies) => setSaid(dispatch(dropContent(place, control, target, copies))),
    onStep: (control, by) => {
      const at = device.controls.findIndex(({ id }) => id === control);
      const beside = device.controls[at + by];
      if (!beside) return;
      setSaid(dispatch(dropContent(place, control, { control: beside.id }, false)));
      root.current?.querySelector<SVGElement>(`[data-page-drawing] [data-control="${beside.id}"]`)?.focus();
    },
    onFolder: () => makeOne(selected),
    onEdit: () => setTimeout(() => chooser.current?.focus()),
    onClear: (control) => dispatch(removedContent({ ...place, control })),
  });
  return (
    <Layout ref={root}>
      <div className="left">
        <div className="chooser">
          <ChoiceField
            label={WORDS.devices}
            value={device.id}
            options={devices.map(({ id, name }) => [id, name] as const)}
            onChange={(next) => onShow({ device: next })}
          />
          <Button
            aria-label={GRID_WORDS.newPanel}
            title={GRID_WORDS.newPanel}
            onClick={() => onShow({ device: dispatch(addPanel()) })}
            sx={{ minWidth: 32, px: 1 }}
          >
            <Plus size={16} aria-hidden />
          </Button>
        </div>
        <PageTree
          device={whole}
          page={page}
          profile={profile}
          over={dragged?.over ?? null}
          onShow={(next) => onShow({ page: next })}
        />
      </div>
      <div className="middle">
        <header>
          <h2>{page?.name ?? WORDS.home}</h2>
          <span className="fill" />
          <Button
            disabled={selected.length === 0}
            title={selected.length === 0 ? WORDS.selectFirst : WORDS.makeFolderMeans}
            onClick={() => makeOne(selected)}
          >
            {WORDS.makeFolder}
          </Button>
          <Button onClick={() => navigate('/board')}>{WORDS.onBoard}</Button>
          {whole.kind === 'touch-panel' && !whole.panel && (
            <Button title={GRID_WORDS.divideMeans} onClick={() => setSaid(dispatch(dividePanel(whole)))}>
              {GRID_WORDS.divide}
            </Button>
          )}
          <LiveButton device={whole} />
        </header>
        {panel ? (
          <PanelEditor
            panel={panel}
            device={device}
            profile={profile}
            selected={selected}
            faces={faces}
            said={pictures.wrong ?? said}
            pictureHandlers={pictures.handlers}
            onSelected={setSelected}
            onSaid={setSaid}
            onFolder={() => makeOne(selected)}
            onEdit={() => setTimeout(() => chooser.current?.focus())}
          />
        ) : (
          <>
            <PageDrawing
              device={device}
              page={page}
              profile={profile}
              selected={selected}
              faces={faces}
              dragged={dragged}
              handlers={{ ...handlers, ...pictures.handlers }}
            />
            <footer>
              <p className="said" role="status">
                {pictures.wrong ?? said}
              </p>
              <p>{WORDS.hint}</p>
              <p>{WORDS.hintKeys}</p>
            </footer>
          </>
        )}
      </div>
      <ControlSide
        device={device}
        page={page}
        profile={profile}
        profiles={profiles}
        onProfile={(next) => onShow({ profile: next })}
        selected={selected}
        faces={faces}
        chooserRef={chooser}
        onDone={focusDrawing}
        panel={panel}
        onSelect={(control) => setSelected([control])}
        onSaid={setSaid}
      />
    </Layout>
  );
}

/** The profiles that can be in charge while a page shows: of its program and Everywhere, or of every program. */
function profilesFor(setup: Setup, page: Page | null): readonly string[] {
  if (page?.program) {
    const own = profileOf(setup, page.program)?.id;
    return own === undefined ? [EVERYWHERE] : [own, EVERYWHERE];
  }
  const main = setup.programs.flatMap(({ id }) => profileOf(setup, id)?.id ?? []);
  return [EVERYWHERE, ...main];
}
