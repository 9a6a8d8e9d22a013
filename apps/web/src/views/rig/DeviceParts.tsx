import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { ComputersTab } from './ComputersTab.tsx';
import { ControlsTab } from './ControlsTab.tsx';
import { MemoryTab } from './MemoryTab.tsx';
import { TuningTab } from './TuningTab.tsx';
import { WORDS } from './words.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.sheet,
  '& [role=tabpanel]': { flex: 1, minHeight: 0, overflow: 'auto' },
}));
const Tabs = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 2,
  padding: '8px 12px 0',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  '& button': {
    height: 34,
    padding: '0 12px',
    font: 'inherit',
    border: 0,
    borderBottom: '3px solid transparent',
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
  },
  '& button[aria-selected=true]': {
    color: vars?.palette.text.primary,
    fontWeight: 650,
    borderBottomColor: vars?.palette.tokens.accent,
  },
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
      <Tabs role="tablist" aria-label={WORDS.parts}>
        {TABS.map((own, i) => (
          <button
            key={own}
            type="button"
            role="tab"
            id={`rig-tab-${own}`}
            aria-controls="rig-tab-panel"
            aria-selected={own === tab}
            tabIndex={own === tab ? 0 : -1}
            onClick={() => onTab(own)}
            onKeyDown={({ key, currentTarget }) => {
              // Arrows go from tab to tab (WAI-ARIA Authoring Practices, "Tabs").
              const by = { ArrowRight: 1, ArrowLeft: -1 }[key];
              const next = by === undefined ? undefined : TABS[i + by];
              if (!next || by === undefined) return;
              onTab(next);
              const beside = by > 0 ? currentTarget.nextElementSibling : currentTarget.previousElementSibling;
              if (beside instanceof HTMLElement) beside.focus();
            }}
          >
            {WORDS.tabs[own]}
          </button>
        ))}
      </Tabs>
      <div role="tabpanel" id="rig-tab-panel" aria-labelledby={`rig-tab-${tab}`}>
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
        {tab === 'memory' && <MemoryTab device={device} profile={profile} />}
      </div>
    </Box>
  );
}
