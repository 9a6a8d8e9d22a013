import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Control, Device } from '@nimble-lever/core/devices';
import { pagesOn } from '@nimble-lever/core/engine';
import { BASE_LAYER } from '@nimble-lever/core/setup';
import { useState } from 'react';
import { selectCompiled, selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { useFlash } from '../../app/useFlash.ts';
import { AddDevice } from './AddDevice.tsx';
import { DeviceHead } from './DeviceHead.tsx';
import { DeviceList } from './DeviceList.tsx';
import { DeviceParts, type Part } from './DeviceParts.tsx';
import { FindPanel } from './FindPanel.tsx';
import { LabelledDevice } from './LabelledDevice.tsx';
import { WORDS } from './words.ts';

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: '232px minmax(0, 1fr) 372px',
  '@media (max-width: 1180px)': { gridTemplateColumns: '184px minmax(0, 1fr) 320px' },
  gridTemplateRows: 'minmax(0, 1fr)',
  minHeight: 0,
  '& > *': { minHeight: 0 },
  '& > .middle': {
    display: 'flex',
    flexDirection: 'column',
    borderInline: `1px solid ${vars?.palette.divider}`,
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

/** The Rig: every device, what each of its controls does, and how it is tuned. */
export function RigPage() {
  const setup = useAppSelector(selectSetup);
  const front = useAppSelector((state) => state.engine.engine.profile);
  // Kept by id: a device that is removed elsewhere gives way to the first.
  const [wanted, setWanted] = useState<string | null>(null);
  const [control, setControl] = useState<string | null>(null);
  const [profile, setProfile] = useState<string | null>(null);
  // A layer or a page; null for what is on now.
  const [layer, setLayer] = useState<string | null>(null);
  const compiled = useAppSelector(selectCompiled);
  const engine = useAppSelector((state) => state.engine.engine);
  const [tab, setTab] = useState<Part>('controls');
  const [finding, setFinding] = useState(false);
  const { lit, light, fade } = useFlash();
  const device = setup.devices.find(({ id }) => id === wanted) ?? setup.devices[0];
  const select = (id: string) => {
    setWanted(id);
    setControl(null);
  };
  const use = (owner: Device, used: Control, down: boolean) => {
    const key = `${owner.id}/${used.id}`;
    if (!down) return fade(key);
    light(key);
    setWanted(owner.id);
    setControl(used.id);
    // What was used is to be seen, whichever part was open.
    setTab('controls');
  };
  // An empty rig is where every person begins.
  if (!device) {
    return (
      <Empty>
        {WORDS.empty}
        <AddDevice onAdded={select} current={null} />
      </Empty>
    );
  }
  // The program in front until another is chosen, so that the labels follow the work.
  const shownProfile = profile && setup.profiles[profile] ? profile : front;
  const isThere =
    setup.layers.some(({ id }) => id === layer) ||
    setup.pages.some((page) => page.id === layer && page.device === device.id);
  const onNow = pagesOn(compiled, engine, device.id).at(-1)?.id ?? BASE_LAYER;
  const shownLayer = layer !== null && isThere ? layer : onNow;
  return (
    <Page>
      <DeviceList devices={setup.devices} selected={device.id} onSelect={select} />
      <div className="middle">
        <DeviceHead
          key={device.id}
          device={device}
          profile={shownProfile}
          layer={isThere ? layer : null}
          onNow={onNow}
          onProfile={setProfile}
          onLayer={setLayer}
        >
          <Button
            variant={finding ? 'contained' : 'outlined'}
            aria-pressed={finding}
            onClick={() => setFinding(!finding)}
          >
            {finding ? WORDS.stop : WORDS.find}
          </Button>
        </DeviceHead>
        {finding && (
          <FindPanel
            device={device}
            control={device.controls.find(({ id }) => id === control) ?? null}
            onUsed={use}
            onSelect={select}
          />
        )}
        <LabelledDevice
          device={device}
          profile={shownProfile}
          layer={shownLayer}
          selected={control}
          lit={lit}
          onUse={(used, down) => use(device, used, down)}
        />
      </div>
      <DeviceParts
        key={device.id}
        device={device}
        profile={shownProfile}
        layer={shownLayer}
        selected={control}
        lit={lit}
        tab={tab}
        onTab={setTab}
        onSelect={setControl}
      />
    </Page>
  );
}
