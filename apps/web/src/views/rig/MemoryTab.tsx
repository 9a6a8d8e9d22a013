import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { readLayout } from '@nimble-lever/core/keys/layouts';
import { LAYOUTS } from '@nimble-lever/core/keys/layouts/list';
import {
  compareMemory,
  planMemory,
  readMemory,
  takeOverMemory,
  writeMemory,
} from '@nimble-lever/core/memory';
import {
  memoryDoesWords,
  memoryProblemWords,
  memoryReasonWords,
  profileName,
  triggerNameIn,
} from '@nimble-lever/core/words';
import { useMemo, useState } from 'react';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { layoutFile } from '../../app/keyboard/layoutFiles.ts';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { clearSlot, readSlot, writeSlot } from '../../practice/devices/deviceMemory.ts';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

const Table = styled('table')(({ theme: { vars } }) => ({
  width: '100%',
  borderCollapse: 'collapse',
  fontSize: 12,
  '& th': { textAlign: 'left', fontWeight: 650, color: vars?.palette.text.primary },
  '& td, & th': {
    padding: '4px 6px 4px 0',
    borderBottom: `1px solid ${vars?.palette.divider}`,
    verticalAlign: 'top',
  },
  '& td:first-of-type': { color: vars?.palette.text.primary },
  '& .differs': { color: vars?.palette.tokens.brick },
}));

const layoutName = (id: string) => LAYOUTS.find((layout) => layout.id === id)?.name ?? id;

/** What the device itself can keep of a profile. */
interface Props {
  readonly device: Device;
  readonly profile: string;
  /** What is shown of the device: where it is a page, that page is planned. */
  readonly layer: string;
}

/** A device's own memory: what of a profile fits, what does not and why; stored, read back and compared. */
export function MemoryTab({ device, profile, layer }: Props) {
  const setup = useAppSelector(selectSetup);
  const [slot, setSlot] = useState(0);
  /** Counts what was stored, so that it is read anew. */
  const [stored, setStored] = useState(0);
  const [failed, setFailed] = useState(false);
  const [asking, setAsking] = useState(false);
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const size = device.memory?.slotBytes ?? 0;
  const page = setup.pages.find(({ id }) => id === layer) ?? null;
  // Planned for the whole profile, so that what does not fit is known before anything is stored.
  const plan = useMemo(
    () => planMemory(setup, device, profile, size, layout, page?.id ?? null),
    [setup, device, profile, size, layout, page],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: read anew after storing.
  const read = useMemo(() => readMemory(device, readSlot(device.id, slot)), [device, slot, stored]);
  if (!device.memory) {
    return (
      <TuneCard title={WORDS.memory} onReset={null}>
        <p>{WORDS.noMemory}</p>
      </TuneCard>
    );
  }
  const nameOf = (control: string, trigger: (typeof plan.entries)[number]['trigger']) =>
    triggerNameIn(setup, device.id, control, trigger);
  // What is stored against what would be: the two drift apart with every edit.
  const differences = compareMemory(read.ok ? read.value.entries : [], plan.entries);
  const isOther = read.ok && read.value.entries.length > 0 && differences.some(({ same }) => !same);
  const storeAsked = () => {
    // What would be lost is asked about; an empty slot, or one with the same in it, is not.
    if (isOther && !asking) return setAsking(true);
    setAsking(false);
    store();
  };
  const takeOver = async () => {
    if (!read.ok) return;
    const { layout: madeFor, entries } = read.value;
    // Its keys mean what they meant on the keyboard they were chosen for.
    const file = madeFor !== null && madeFor !== layout.id ? layoutFile(madeFor) : undefined;
    const own = file ? readLayout(await file()) : layout;
    dispatch(makeEdits(takeOverMemory(setup, device.id, profile, entries, own, page?.id)));
  };
  const store = () => {
    // A browser may refuse to keep things; then nothing was stored, and that is said.
    setFailed(!writeSlot(device.id, slot, writeMemory(device, { layout: layout.id, entries: plan.entries })));
    setStored(stored + 1);
  };
  return (
    <>
      <TuneCard title={WORDS.memory} onReset={null}>
        <p>{WORDS.memoryHint}</p>
        <div className="line">
          {WORDS.slot}
          <ChoiceField
            label={WORDS.slot}
            value={String(slot)}
            options={Array.from(
              { length: device.memory.slots },
              (_, i) => [String(i), WORDS.slotNumber(i + 1)] as const,
            )}
            onChange={(next) => setSlot(Number(next))}
          />
          {profileName(setup, profile)}
          {page && `, ${page.kind} ${page.name}`}: {WORDS.bytes(plan.bytes, size)}
        </div>
        <LinearProgress
          variant="determinate"
          value={(plan.bytes / size) * 100}
          aria-label={WORDS.bytes(plan.bytes, size)}
        />
        <p>
          {WORDS.fits(plan.entries.length)}
          {plan.left.length > 0 && `, ${WORDS.doesNotFit(plan.left.length)}`}
        </p>
        <div className="line">
          <Button variant="contained" onClick={storeAsked}>
            {asking ? WORDS.storeOver : WORDS.store}
          </Button>
          {asking && <Button onClick={() => setAsking(false)}>{WORDS.keepStored}</Button>}
          <Button disabled={!isOther} title={WORDS.takeOverMeans} onClick={() => void takeOver()}>
            {WORDS.takeOver}
          </Button>
          <Button
            disabled={!read.ok}
            onClick={() => {
              clearSlot(device.id, slot);
              setStored(stored + 1);
            }}
          >
            {WORDS.clear}
          </Button>
        </div>
        {failed && <p role="alert">{WORDS.notKept}</p>}
        {!read.ok && <p>{memoryProblemWords(read.problem)}</p>}
        {read.ok && read.value.layout !== null && read.value.layout !== layout.id && (
          <p role="note">{WORDS.storedFor(layoutName(read.value.layout), layout.name)}</p>
        )}
      </TuneCard>
      <TuneCard title={WORDS.verdict} onReset={null}>
        <Table>
          <thead>
            <tr>
              <th scope="col">{WORDS.use}</th>
              <th scope="col">{WORDS.wanted}</th>
              <th scope="col">{WORDS.stored}</th>
              <th scope="col">{WORDS.verdict}</th>
            </tr>
          </thead>
          <tbody>
            {differences.map(({ control, trigger, stored: before, wanted, same }) => (
              <tr key={`${control}/${trigger}`}>
                <td>{nameOf(control, trigger)}</td>
                <td>{memoryDoesWords(wanted)}</td>
                <td>{memoryDoesWords(before)}</td>
                <td className={same ? undefined : 'differs'}>
                  {same
                    ? WORDS.same
                    : before === null
                      ? WORDS.onlySetUp
                      : wanted === null
                        ? WORDS.onlySlot
                        : WORDS.differs}
                </td>
              </tr>
            ))}
            {plan.left.map(({ control, trigger, reason }) => (
              <tr key={`${control}/${trigger} left`}>
                <td>{nameOf(control, trigger)}</td>
                <td colSpan={3}>{memoryReasonWords(reason)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TuneCard>
    </>
  );
}
