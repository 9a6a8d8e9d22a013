import { styled } from '@mui/material/styles';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { TabBar } from '../../pieces/TabBar.tsx';
import { CommandsTab } from './commands/CommandsTab.tsx';
import { ProgramDialog } from './ProgramDialog.tsx';
import { ProgramList } from './ProgramList.tsx';
import { type Said, SayContext } from './say.ts';
import { TABS, useShown } from './useShown.ts';
import { WORDS } from './words.ts';

// Each part is read when it is first asked for: most days only one is.
const WindowsTab = lazy(async () => ({ default: (await import('./windows/WindowsTab.tsx')).WindowsTab }));
const ProfilesTab = lazy(async () => ({ default: (await import('./profiles/ProfilesTab.tsx')).ProfilesTab }));
const CompareTab = lazy(async () => ({ default: (await import('./compare/CompareTab.tsx')).CompareTab }));
const ReadyMadeTab = lazy(async () => ({
  default: (await import('./readyMade/ReadyMadeTab.tsx')).ReadyMadeTab,
}));
const IntentsTab = lazy(async () => ({ default: (await import('./intents/IntentsTab.tsx')).IntentsTab }));
const ImportDialog = lazy(async () => ({
  default: (await import('./importing/ImportDialog.tsx')).ImportDialog,
}));

const Page = styled('div')({
  height: '100%',
  display: 'grid',
  gridTemplateColumns: '232px minmax(0, 1fr)',
  '@media (max-width: 1180px)': { gridTemplateColumns: '196px minmax(0, 1fr)' },
  gridTemplateRows: 'minmax(0, 1fr)',
  minHeight: 0,
});
const Main = styled('div')(({ theme: { vars } }) => ({
  minWidth: 0,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& > .tabs': {
    flex: 'none',
    display: 'flex',
    alignItems: 'flex-end',
    padding: '6px 16px 0 10px',
    height: 46,
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& > .tabs .actions': { marginLeft: 'auto', display: 'flex', gap: 8, paddingBottom: 6 },
  '& > [role=tabpanel]': { flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' },
}));
const Status = styled('footer')(({ theme: { vars } }) => ({
  flex: 'none',
  minHeight: 28,
  display: 'flex',
  alignItems: 'center',
  gap: 16,
  padding: '3px 16px',
  fontSize: 12,
  borderTop: `1px solid ${vars?.palette.divider}`,
  color: vars?.palette.text.secondary,
  backgroundColor: vars?.palette.tokens.background,
  '& .wrong': { color: vars?.palette.tokens.brick },
  '& .told': { color: vars?.palette.text.primary },
  '& [role=status]': { minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .hints': { marginLeft: 'auto', whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' },
}));

/** So many characters leave room for the hints beside them. */
const MOST_BESIDE = 44;

/** Programs: what the desk runs, what each can do, and by which windows it is known. */
export function ProgramsPage() {
  const { program, tab, show, asked, done } = useShown();
  const [said, setSaid] = useState<Said | null>(null);
  const [actions, setActions] = useState<HTMLElement | null>(null);
  // A list to be taken in; null while none is looked at.
  const [list, setList] = useState<string | null>(null);
  // Whether a new program is being named.
  const [naming, setNaming] = useState(false);
  useEffect(() => {
    if (asked.dialog === null) return;
    if (asked.dialog === 'add') setNaming(true);
    else setList('');
    done();
  }, [asked.dialog, done]);
  const choose = useCallback(
    (next: string | null) => {
      setSaid(null);
      show({ program: next });
    },
    [show],
  );
  const tabs = TABS.filter((each) => program !== null || each !== 'windows');
  return (
    <SayContext value={setSaid}>
      <Page>
        <ProgramList shown={program} onShow={choose} onList={setList} onName={() => setNaming(true)} />
        <Main>
          <div className="tabs">
            <TabBar
              label={WORDS.parts}
              prefix="programs"
              tabs={tabs.map((own) => [own, WORDS.tabs[own]] as const)}
              chosen={tab}
              onChoose={(next) => show({ tab: next })}
            />
            <div className="actions" ref={setActions} />
          </div>
          <div role="tabpanel" id="programs-panel" aria-labelledby={`programs-tab-${tab}`}>
            <Suspense fallback={null}>
              {tab === 'commands' && (
                <CommandsTab
                  key={program ?? ''}
                  program={program}
                  actions={actions}
                  placing={asked.place}
                  onPlaced={done}
                  onList={setList}
                />
              )}
              {tab === 'windows' && program !== null && <WindowsTab key={program} program={program} />}
              {tab === 'profiles' && <ProfilesTab program={program} />}
              {tab === 'compare' && <CompareTab key={program ?? ''} program={program} />}
              {tab === 'ready-made' && <ReadyMadeTab program={program} onList={setList} />}
              {tab === 'intents' && (
                <IntentsTab onShow={(next) => show({ program: next, tab: 'commands' })} />
              )}
            </Suspense>
          </div>
          <Status>
            <span role="status" className={said?.wrong ? 'wrong' : 'told'} title={said?.words}>
              {said?.words}
            </span>
            {/* What is told has the line to itself where it is long. } */}
            {tab === 'commands' && !(said && said.words.length > MOST_BESIDE) && (
              <span className="hints">{WORDS.hints}</span>
            )}
          </Status>
        </Main>
        {naming && <ProgramDialog program={null} onClose={() => setNaming(false)} onAdded={choose} />}
        <Suspense fallback={null}>
          {list !== null && <ImportDialog program={program} begun={list} onClose={() => setList(null)} />}
        </Suspense>
      </Page>
    </SayContext>
  );
}
