import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import Slider from '@mui/material/Slider';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { removeDevice } from '@nimble-lever/core/programs';
import { asItCame, changesOf, itemAt, sameJson } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import type { ReactNode } from 'react';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { setPlugged } from '../../practice/devices/setPlugged.ts';
import { chargeSet, selectSimulated, simulatedDevice } from '../../practice/devices/simulatedSlice.ts';
import { WORDS } from './words.ts';

const Box = styled('header')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  gap: '8px 10px',
  padding: '10px 16px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& .fill': { flex: 1 },
  '& .charge': {
    display: 'inline-flex',
    alignItems: 'center',
    gap: 6,
    fontSize: 12,
    color: vars?.palette.text.secondary,
  },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

/** What is on now, among layers and pages; no id has a space in it. */
const NOW = 'on now';

/** A device with the profile and layer its labels are shown for. */
interface Props {
  readonly device: Device;
  /** The profile and layer whose bindings are shown. */
  readonly profile: string;
  /** A layer or a page of the device; null for the page that is on. */
  readonly layer: string | null;
  /** The page that is on, or the base layer. */
  readonly onNow: string;
  readonly onProfile: (profile: string) => void;
  readonly onLayer: (layer: string | null) => void;
  /** What can be done besides, at the right. */
  readonly children: ReactNode;
}

/** Which device this is, how it is now, and for which program and layer its controls are shown. */
export function DeviceHead({ device, profile, layer, onNow, onProfile, onLayer, children }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const simulated = useAppSelector(selectSimulated);
  const { plugged, charge } = simulatedDevice(simulated, device);
  const at = itemAt.device(device.id);
  const pages = setup.pages.filter((page) => page.device === device.id);
  // An empty name is not kept: a device without one could not be spoken of.
  const name = useDraft(device.name, (text) => {
    const next = text.trim();
    if (next) dispatch(makeEdit({ kind: 'set', at, fields: { name: next } }));
  });
  const came = asItCame(device);
  // Nothing to put back where nothing differs; compared by content, since edits make new objects.
  const isSame = came !== null && sameJson(came, device);
  return (
    <Box>
      <OutlinedInput
        {...name}
        inputProps={{ 'aria-label': WORDS.name, maxLength: 60 }}
        sx={{ width: 150, fontWeight: 650 }}
      />
      {/* The practice desk has no cables: pulling one out is a button. } */}
      <Button title={WORDS.simulated} onClick={() => dispatch(setPlugged(device.id, !plugged))}>
        {plugged ? WORDS.unplug : WORDS.plugIn}
      </Button>
      {charge !== null && (
        <span className="charge">
          <Slider
            size="small"
            aria-label={WORDS.chargeLevel}
            value={charge}
            valueLabelDisplay="auto"
            sx={{ width: 70 }}
            onChange={(_event, percent) =>
              dispatch(
                chargeSet({
                  device: device.id,
                  percent: Array.isArray(percent) ? (percent[0] ?? 0) : percent,
                }),
              )
            }
          />
          {charge} %
        </span>
      )}
      <span className="fill" />
      <Button
        disabled={!came || isSame}
        title={came ? WORDS.putBackMeans : WORDS.noOrigin}
        onClick={() => came && dispatch(makeEdits(changesOf(at, device, came)))}
      >
        {WORDS.putBack}
      </Button>
      <Button title={WORDS.removed} onClick={() => dispatch(makeEdit(removeDevice(setup, device.id).edit))}>
        {WORDS.remove}
      </Button>
      <span style={{ flexBasis: '100%', height: 0 }} />
      {WORDS.program}
      <ChoiceField
        label={WORDS.program}
        value={profile}
        options={Object.keys(setup.profiles).map((id) => [id, profileName(setup, id)] as const)}
        onChange={onProfile}
      />
      {WORDS.layer}
      <ChoiceField
        label={WORDS.layer}
        value={layer ?? NOW}
        options={[
          [NOW, WORDS.onNow(pages.find(({ id }) => id === onNow)?.name ?? WORDS.home)],
          ...setup.layers.map(({ id, name: called }) => [id, called] as const),
          ...pages.map(({ id, kind, name: called }) => [id, WORDS.pageIn(kind, called)] as const),
        ]}
        onChange={(next) => onLayer(next === NOW ? null : next)}
      />
      <span className="fill" />
      {children}
    </Box>
  );
}
