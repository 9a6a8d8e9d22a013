import { styled } from '@mui/material/styles';
import { lazy, Suspense } from 'react';
import { TabBar } from '../../pieces/TabBar.tsx';
import { HistoryTab } from './HistoryTab.tsx';
import { TABS, useShown } from './useShown.ts';
import { WORDS } from './words.ts';

// Each part is read when it is first asked for: most days only one is.
const SnapshotsTab = lazy(async () => ({
  default: (await import('./snapshots/SnapshotsTab.tsx')).SnapshotsTab,
}));
const CompareTab = lazy(async () => ({ default: (await import('./compare/CompareTab.tsx')).CompareTab }));
const FilesTab = lazy(async () => ({ default: (await import('./files/FilesTab.tsx')).FilesTab }));
const SetUpsTab = lazy(async () => ({ default: (await import('./setUps/SetUpsTab.tsx')).SetUpsTab }));

const Page = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'flex',
  flexDirection: 'column',
  minHeight: 0,
  '& > .tabs': {
    flex: 'none',
    padding: '6px 16px 0 10px',
    borderBottom: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& > [role=tabpanel]': { flex: 1, minHeight: 0 },
}));

/** The Vault: everything that was arranged, kept: its history, states by name, what is otherwise between them, set-ups. */
export function VaultPage() {
  const { tab, showTab } = useShown();
  return (
    <Page>
      <div className="tabs">
        <TabBar
          label={WORDS.parts}
          prefix="vault"
          tabs={TABS.map((own) => [own, WORDS.tabs[own]] as const)}
          chosen={tab}
          onChoose={showTab}
        />
      </div>
      <div role="tabpanel" id="vault-panel" aria-labelledby={`vault-tab-${tab}`}>
        <Suspense fallback={null}>
          {tab === 'history' && <HistoryTab />}
          {tab === 'snapshots' && <SnapshotsTab />}
          {tab === 'compare' && <CompareTab />}
          {tab === 'set-ups' && <SetUpsTab />}
          {tab === 'files' && <FilesTab />}
        </Suspense>
      </div>
    </Page>
  );
}
