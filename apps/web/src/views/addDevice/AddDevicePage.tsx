import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { CATALOGUE, cutName, type Device, mainTriggersOf, nameSchema } from '@nimble-lever/core/devices';
import { type Decoder, MOST_INTERFACES, SAMPLES, type Sample } from '@nimble-lever/core/devices/hid';
import { Plus, X } from 'lucide-react';
import { type DragEvent, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { AskedUse } from '../../app/askedUse.ts';
import { addDevice, addFromCatalogue } from '../../app/setup/addDevice.ts';
import { newId } from '../../app/setup/newId.ts';
import { useAppDispatch } from '../../app/store.ts';
import { DescribedDrawing } from './DescribedDrawing.tsx';
import { fileText, readDescribed } from './readDescribed.ts';
import { TryReports } from './TryReports.tsx';
import { useReports } from './useReports.ts';
import { WORDS } from './words.ts';

const Page = styled('div')({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: 'minmax(320px, 5fr) 7fr',
  minHeight: 0,
});
const Column = styled('div')(({ theme: { vars } }) => ({
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: '16px 20px',
  '&.result': {
    backgroundColor: vars?.palette.tokens.sheet,
    borderLeft: `1px solid ${vars?.palette.divider}`,
  },
  '& p': { margin: 0, fontSize: 13, color: vars?.palette.text.secondary },
  '& p.problem': { color: vars?.palette.tokens.brick },
  '& h2': { margin: 0, fontSize: 12, fontWeight: 650, color: vars?.palette.text.secondary },
}));
const Drop = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  borderRadius: 10,
  outline: '2px dashed transparent',
  '&[data-over=true]': { outlineColor: vars?.palette.tokens.accent },
}));
const Descriptor = styled('div')({ display: 'flex', gap: 4, alignItems: 'flex-start', marginBottom: 6 });
const Examples = styled('div')({ display: 'flex', flexWrap: 'wrap', gap: 6 });
const Naming = styled('form')({ display: 'flex', gap: 8, alignItems: 'center' });

/** Nothing was read yet. */
const NO_DECODERS: readonly Decoder[] = [];

/** Whether a field is the one of so many that are not empty. */
function isPlace(texts: readonly string[], at: number, among: number): boolean {
  return texts[at]?.trim() !== '' && texts.slice(0, at).filter((text) => text.trim() !== '').length === among;
}

/** Larger files are no descriptors, however they are written. */
const LARGEST_FILE = 1_000_000;

/** A device from its report descriptor: read, drawn, tried, named and added. */
export function AddDevicePage() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [texts, setTexts] = useState<readonly string[]>(['']);
  const [name, setName] = useState('');
  const [over, setOver] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const sample: Sample | undefined =
    texts.length === 1 ? SAMPLES.find(({ descriptor }) => descriptor === texts[0]) : undefined;
  const called = name.trim() || 'New device';
  // A field that is still empty is no interface yet.
  const read = useMemo(() => {
    const given = texts.filter((text) => text.trim() !== '');
    return given.length === 0 ? null : readDescribed(given);
  }, [texts]);
  const found = read && 'device' in read ? read : null;
  const unread = read && 'words' in read ? read : null;
  const reports = useReports(found?.decoders ?? NO_DECODERS);
  const wrong = problem ?? unread?.words ?? null;

  const take = (next: readonly string[], given: string) => {
    setTexts(next);
    setProblem(null);
    if (given) setName(given);
  };
  const put = (at: number, text: string) => take(texts.with(at, text), '');
  // Several files at once are the interfaces of one device, in the order of their names.
  const drop = async (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const files = [...event.dataTransfer.files].toSorted((a, b) => (a.name < b.name ? -1 : 1));
    const [file] = files;
    if (!file) return;
    if (files.length > MOST_INTERFACES) {
      setProblem(WORDS.tooMany(MOST_INTERFACES));
      return;
    }
    if (files.some(({ size }) => size > LARGEST_FILE)) {
      setProblem(WORDS.tooLarge);
      return;
    }
    const data = await Promise.all(files.map((each) => each.arrayBuffer()));
    take(
      data.map((each) => fileText(new Uint8Array(each))),
      cutName(file.name.replace(/\.[^.]*$/, '')),
    );
  };
  const add = () => {
    const parsed = nameSchema.safeParse(called);
    if (!found || !parsed.success) return;
    const id = newId(parsed.data, 'device');
    dispatch(addDevice({ ...found.device, id, name: parsed.data, descriptor: found.text }));
    void navigate('/board', { state: firstUse({ ...found.device, id }) });
  };
  const controls = found?.device.controls ?? [];
  return (
    <Page>
      <Column>
        <h2>{WORDS.catalogue}</h2>
        <Examples>
          {CATALOGUE.map((device) => (
            <Button
              key={device.id}
              size="small"
              onClick={() => {
                const id = dispatch(addFromCatalogue(device.id));
                void navigate('/board', { state: id && firstUse({ ...device, id }) });
              }}
            >
              {WORDS.addOne(device.name)}
            </Button>
          ))}
        </Examples>
        <h2>{WORDS.fromDescriptor}</h2>
        <p>{WORDS.intro}</p>
        <Drop
          data-over={over}
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(event) => void drop(event)}
        >
          {texts.map((text, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: an interface is its place.
            <Descriptor key={at}>
              <OutlinedInput
                // Descriptors come as pages of numbers, from whatever tool one has.
                multiline
                rows={texts.length === 1 ? 8 : 4}
                value={text}
                placeholder={WORDS.placeholder}
                error={unread !== null && isPlace(texts, at, unread.at)}
                onChange={({ target }) => put(at, target.value)}
                inputProps={{
                  'aria-label': texts.length === 1 ? WORDS.descriptor : WORDS.descriptorOf(at + 1),
                  spellCheck: false,
                  maxLength: 400_000,
                }}
                sx={{ flex: 1, '& textarea': { fontFamily: (theme) => theme.typography.mono, fontSize: 12 } }}
              />
              {texts.length > 1 && (
                <IconButton
                  size="small"
                  aria-label={WORDS.removeInterface(at + 1)}
                  onClick={() => take(texts.toSpliced(at, 1), '')}
                >
                  <X size={16} aria-hidden />
                </IconButton>
              )}
            </Descriptor>
          ))}
        </Drop>
        {texts.length < MOST_INTERFACES && (
          <Button
            size="small"
            startIcon={<Plus size={14} aria-hidden />}
            sx={{ alignSelf: 'flex-start' }}
            onClick={() => take([...texts, ''], '')}
          >
            {WORDS.another}
          </Button>
        )}
        {wrong && (
          <p className="problem" role="alert">
            {wrong}
          </p>
        )}
        <h2>{WORDS.examples}</h2>
        <Examples>
          {SAMPLES.map((each) => (
            <Button
              key={each.id}
              size="small"
              variant={each === sample ? 'contained' : 'outlined'}
              title={each.about}
              onClick={() => take([each.descriptor], each.name)}
            >
              {each.name}
            </Button>
          ))}
        </Examples>
      </Column>
      <Column className="result">
        {!found && <p>{WORDS.nothingYet}</p>}
        {found && controls.length === 0 && <p>{WORDS.noControls}</p>}
        {found && controls.length > 0 && (
          <>
            <Naming
              onSubmit={(event) => {
                event.preventDefault();
                add();
              }}
            >
              <OutlinedInput
                value={name}
                placeholder={WORDS.name}
                onChange={({ target }) => setName(target.value)}
                inputProps={{ 'aria-label': WORDS.name, maxLength: 60 }}
                sx={{ width: 260 }}
              />
              <Button type="submit" variant="contained">
                {WORDS.add}
              </Button>
              <p>
                {WORDS.controls(controls.length)}, {WORDS.bytes(found.bytes)}
              </p>
            </Naming>
            <DescribedDrawing device={{ ...found.device, name: called }} lit={reports.lit} />
            <TryReports
              device={found.device}
              interfaces={found.decoders.length}
              sample={sample ?? null}
              reports={reports}
            />
          </>
        )}
      </Column>
    </Page>
  );
}

/** The new device's first control, for the Board to show: below nine others nobody would find it. */
function firstUse({ id, controls }: Device): AskedUse | null {
  const [control] = controls;
  const [trigger] = control ? mainTriggersOf(control) : [];
  return control && trigger ? { device: id, control: control.id, trigger, assigning: false } : null;
}
