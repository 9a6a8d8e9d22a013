import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { lazy, Suspense } from 'react';
import { Outlet, useLocation } from 'react-router';
import { Find } from '../find/Find.tsx';
import type { FindSource } from '../find/findSource.ts';
import { selectSetup } from '../setup/selectors.ts';
import { findShown, keepLast } from '../setup/shownSetUp.ts';
import { useAppSelector } from '../store.ts';
import { ErrorBoundary } from './ErrorBoundary.tsx';
import { FrontChip } from './FrontChip.tsx';
import { Message } from './Message.tsx';
import { Rail } from './Rail.tsx';
import { SaveState } from './SaveState.tsx';
import { SkipLink, VIEW } from './SkipLink.tsx';
import { UndoButtons } from './UndoButtons.tsx';
import { untilRead } from './untilRead.ts';
import { useNoStrayDrops } from './useNoStrayDrops.ts';
import { WORDS } from './words.ts';

/** Not needed to draw the first view. */
const AsItWas = lazy(async () => ({ default: (await untilRead(() => import('./AsItWas.tsx'))).AsItWas }));
const Notices = lazy(async () => ({ default: (await untilRead(() => import('./Notices.tsx'))).Notices }));

const Frame = styled('div')({ display: 'flex', height: '100%' });
const Side = styled('div')({ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' });
const Main = styled('main')({ flex: 1, minHeight: 0, '&:focus-visible': { outline: 'none' } });
const Top = styled('header')(({ theme: { vars } }) => ({
  flex: 'none',
  height: 48,
  display: 'flex',
  alignItems: 'center',
  gap: 14,
  padding: '0 16px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h1': { margin: 0, fontSize: 15, fontWeight: 650, whiteSpace: 'nowrap' },
  '& .fill': { flex: 1 },
  '& .undo': { display: 'flex', gap: 2 },
}));

/** Rail, top bar and the view; before the set-up is read, what is going on instead. */
export function Shell({ find }: { readonly find: () => Promise<FindSource> }) {
  const { setup, failed, asItWas, binnedAt } = useAppSelector((state) => state.setup);
  const { pathname } = useLocation();
  useNoStrayDrops();
  return (
    <Frame>
      <SkipLink />
      <Rail />
      {setup ? (
        <Side>
          <TopBar find={find} />
          {(asItWas || binnedAt) && (
            <Suspense fallback={null}>
              <AsItWas />
            </Suspense>
          )}
          <Main id={VIEW} tabIndex={-1}>
            <ErrorBoundary key={pathname}>
              <Suspense fallback={<Message title={WORDS.loading} />}>
                <Outlet />
              </Suspense>
            </ErrorBoundary>
          </Main>
          <Suspense fallback={null}>
            <Notices />
          </Suspense>
        </Side>
      ) : (
        <Side>
          <Message
            title={failed === null ? WORDS.loading : WORDS.failed}
            detail={failed === null ? null : `${failed} ${WORDS.tryingAgain}`}
          >
            {failed !== null && isNamed && <Button onClick={openFirst}>{WORDS.firstSetUp}</Button>}
          </Message>
        </Side>
      )}
    </Frame>
  );
}

/** Whether the address names a set-up: another one may be there where that one is not. */
const isNamed = findShown().id !== null;
const openFirst = () => {
  keepLast(null);
  location.assign('/');
};

/** Headings of the views; the Board's is the set-up's own name, as one works there most. */
const TITLES: ReadonlyMap<string, string> = new Map([
  ['/rig', WORDS.rig],
  ['/programs', WORDS.programs],
  ['/macros', WORDS.macros],
  ['/panels', WORDS.panels],
  ['/rehearse', WORDS.rehearse],
  ['/vault', WORDS.vault],
  ['/settings', WORDS.settings],
  ['/add-device', WORDS.addDevice],
  ['/lend', WORDS.lend],
]);

/** Above every view: where one is, what is in front, whether all is saved. */
function TopBar({ find }: { readonly find: () => Promise<FindSource> }) {
  const setup = useAppSelector(selectSetup);
  const asItWas = useAppSelector((state) => state.setup.asItWas);
  const title = TITLES.get(useLocation().pathname);
  return (
    <Top>
      <h1>{title ?? setup.name}</h1>
      <FrontChip />
      <span className="fill" />
      <Find readSource={find} />
      {!asItWas && (
        <>
          <span className="undo">
            <UndoButtons />
          </span>
          <SaveState />
        </>
      )}
    </Top>
  );
}
