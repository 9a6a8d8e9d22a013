import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { TabBar } from '../../pieces/TabBar.tsx';
import { ComputersTab } from './ComputersTab.tsx';
import { ControlsTab } from './ControlsTab.tsx';
import { MemoryTab } from './MemoryTab.tsx';
import { TuningTab } from './TuningTab.tsx';
import { WORDS } from './words.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.sheet,
  '& .tabs': { padding: '8px 12px 0', borderBottom: `1px solid ${vars?.palette.divider}` },
  '& [role=tabpanel]': { flex: 1, minHeight: 0, overflow: 'auto' },
}));
/** What there is to a device, in the order in which one gets to it. */
const TABS = ['controls', 'tuning', 'computers', 'memory'] as const;
export type Part = (typeof TABS)[number];

/** A device and the part of it that is shown. */
interface Props {
  readonly device: Device;
  /** The profile and layer whose bindings are told. */
  readonly profile: string;
  readonly layer: string;
  /** The id of the control that is looked at. */
  readonly selected: string | null;
  /** Ids as `device/control`. */
  readonly lit: ReadonlySet<string>;
  readonly tab: Part;
  readonly onTab: (tab: Part) => void;
  readonly onSelect: (control: string) => void;
}

/** What can be set of a device: its controls, how it is tuned, its computers, its memory. */
export function DeviceParts({ device, profile, layer, selected, lit, tab, onTab, onSelect }: Props) {
  return (
    <Box>
      <div className="tabs">
        <TabBar
          label={WORDS.parts}
          prefix="rig"
          tabs={TABS.map((own) => [own, WORDS.tabs[own]] as const)}
          chosen={tab}
          onChoose={onTab}
        />
      </div>
      <div role="tabpanel" id="rig-panel" aria-labelledby={`rig-tab-${tab}`}>
        {tab === 'controls' && (
          <ControlsTab
            device={device}
            profile={profile}
            layer={layer}
            selected={selected}
            lit={lit}
            onSelect={onSelect}
          />
        )}
        {tab === 'tuning' && <TuningTab device={device} />}
        {tab === 'computers' && <ComputersTab device={device} />}
        {tab === 'memory' && <MemoryTab device={device} profile={profile} layer={layer} />}
      </div>
    </Box>
  );
}
