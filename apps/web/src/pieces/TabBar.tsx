import { styled } from '@mui/material/styles';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 2,
  '& button': {
    height: 34,
    padding: '0 12px',
    font: 'inherit',
    border: 0,
    borderBottom: '3px solid transparent',
    color: vars?.palette.text.secondary,
    background: 'none',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
  },
  '& button[aria-selected=true]': {
    color: vars?.palette.text.primary,
    fontWeight: 650,
    borderBottomColor: vars?.palette.tokens.accent,
  },
}));

/** Tabs, and which of them is chosen. */
interface Props<Tab extends string> {
  readonly label: string;
  /** In front of the ids of tabs and panel: `rig` makes `rig-tab-controls` and `rig-panel`. */
  readonly prefix: string;
  readonly tabs: readonly (readonly [tab: Tab, name: string])[];
  readonly chosen: Tab;
  readonly onChoose: (tab: Tab) => void;
}

/** A row of tabs over one panel; arrows go from tab to tab (WAI-ARIA Authoring Practices, "Tabs"). */
export function TabBar<Tab extends string>({ label, prefix, tabs, chosen, onChoose }: Props<Tab>) {
  return (
    <Bar role="tablist" aria-label={label}>
      {tabs.map(([tab, name], i) => (
        <button
          key={tab}
          type="button"
          role="tab"
          id={`${prefix}-tab-${tab}`}
          aria-controls={`${prefix}-panel`}
          aria-selected={tab === chosen}
          tabIndex={tab === chosen ? 0 : -1}
          onClick={() => onChoose(tab)}
          onKeyDown={({ key, currentTarget }) => {
            const by = { ArrowRight: 1, ArrowLeft: -1 }[key];
            const next = by === undefined ? undefined : tabs[i + by];
            if (!next || by === undefined) return;
            onChoose(next[0]);
            const beside = by > 0 ? currentTarget.nextElementSibling : currentTarget.previousElementSibling;
            if (beside instanceof HTMLElement) beside.focus();
          }}
        >
          {name}
        </button>
      ))}
    </Bar>
  );
}
