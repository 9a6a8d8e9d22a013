import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { CATALOGUE, cutName, type Device, mainTriggersOf, nameSchema } from '@nimble-lever/core/devices';
import { SAMPLES, type Sample } from '@nimble-lever/core/devices/hid';
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
const Examples = styled('div')({ display: 'flex', flexWrap: 'wrap', gap: 6 });
const Naming = styled('form')({ display: 'flex', gap: 8, alignItems: 'center' });

/** Larger files are no descriptors, however they are written. */
const LARGEST_FILE = 1_000_000;

/** A device from its report descriptor: read, drawn, tried, named and added. */
export function AddDevicePage() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [name, setName] = useState('');
  const [over, setOver] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const sample: Sample | undefined = SAMPLES.find(({ descriptor }) => descriptor === text);
  const called = name.trim() || 'New device';
  const read = useMemo(() => (text.trim() === '' ? null : readDescribed(text)), [text]);
  const found = typeof read === 'object' ? read : null;
  const reports = useReports(found?.decoder ?? null);
  const wrong = problem ?? (typeof read === 'string' ? read : null);

  const take = (next: string, given: string) => {
    setText(next);
    setProblem(null);
    if (given) setName(given);
  };
  const drop = async (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (!file) return;
    if (file.size > LARGEST_FILE) {
      setProblem(WORDS.tooLarge);
      return;
    }
    take(fileText(new Uint8Array(await file.arrayBuffer())), cutName(file.name.replace(/\.[^.]*$/, '')));
  };
  const add = () => {
    const parsed = nameSchema.safeParse(called);
    if (!found || !parsed.success) return;
    const id = newId(parsed.data, 'device');
    dispatch(addDevice({ ...found.described.device, id, name: parsed.data, descriptor: found.text }));
    void navigate('/board', { state: firstUse({ ...found.described.device, id }) });
  };
  const controls = found?.described.device.controls ?? [];
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
          <OutlinedInput
            // Descriptors come as pages of numbers, from whatever tool one has.
            multiline
            rows={8}
            value={text}
            placeholder={WORDS.placeholder}
            error={wrong !== null}
            onChange={({ target }) => take(target.value, '')}
            inputProps={{ 'aria-label': WORDS.descriptor, spellCheck: false, maxLength: 400_000 }}
            sx={{ '& textarea': { fontFamily: (theme) => theme.typography.mono, fontSize: 12 } }}
          />
        </Drop>
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
              onClick={() => take(each.descriptor, each.name)}
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
                {WORDS.controls(controls.length)}, {WORDS.bytes(found.bytes.length)}
              </p>
            </Naming>
            <DescribedDrawing device={{ ...found.described.device, name: called }} lit={reports.lit} />
            <TryReports device={found.described.device} sample={sample ?? null} reports={reports} />
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
