import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { lazy } from 'react';
import { Provider } from 'react-redux';
import { BrowserRouter, Link, Navigate, Route, Routes } from 'react-router';
import { KeyboardProvider } from './app/keyboard/KeyboardProvider.tsx';
import { findShown } from './app/setup/shownSetUp.ts';
import { ErrorBoundary } from './app/shell/ErrorBoundary.tsx';
import { Message } from './app/shell/Message.tsx';
import { Shell } from './app/shell/Shell.tsx';
import { WORDS } from './app/shell/words.ts';
import type { AppStore } from './app/store.ts';
import { theme } from './app/theme/theme.ts';
import { BoardPage } from './views/board/BoardPage.tsx';

/** What Find finds, by the view that has it. */
const readFinder = async () => (await import('./views/board/boardFinder.ts')).boardFinder;

const RehearsePage = lazy(async () => ({
  default: (await import('./views/rehearse/RehearsePage.tsx')).RehearsePage,
}));

const SettingsPage = lazy(async () => ({
  default: (await import('./views/settings/SettingsPage.tsx')).SettingsPage,
}));
const LendPage = lazy(async () => ({ default: (await import('./views/lend/LendPage.tsx')).LendPage }));
const AddDevicePage = lazy(async () => ({
  default: (await import('./views/addDevice/AddDevicePage.tsx')).AddDevicePage,
}));

const RigPage = lazy(async () => ({ default: (await import('./views/rig/RigPage.tsx')).RigPage }));

const PanelsPage = lazy(async () => ({
  default: (await import('./views/panels/PanelsPage.tsx')).PanelsPage,
}));
const MacrosPage = lazy(async () => ({
  default: (await import('./views/macros/MacrosPage.tsx')).MacrosPage,
}));
const VaultPage = lazy(async () => ({ default: (await import('./views/vault/VaultPage.tsx')).VaultPage }));
const ProgramsPage = lazy(async () => ({
  default: (await import('./views/programs/ProgramsPage.tsx')).ProgramsPage,
}));

/** The whole page. */
export function App({ store }: { readonly store: AppStore }) {
  return (
    <Provider store={store}>
      <ThemeProvider theme={theme} defaultMode="system" disableTransitionOnChange>
        <CssBaseline />
        <ErrorBoundary>
          <KeyboardProvider>
            <BrowserRouter basename={findShown().base}>
              <Views />
            </BrowserRouter>
          </KeyboardProvider>
        </ErrorBoundary>
      </ThemeProvider>
    </Provider>
  );
}

/**
 * The views by their addresses. Each is read when it is first asked for, so that none weighs on the first; only the Board,
 * which is the first, comes with the page: React shows what it had to wait for 0.3 s after what it showed meanwhile.
 */
function Views() {
  const notFound = (
    <Message title={WORDS.notFound}>
      <Button component={Link} to="/board">
        {WORDS.toBoard}
      </Button>
    </Message>
  );
  return (
    <Routes>
      <Route element={<Shell find={readFinder} />}>
        <Route index element={<Navigate to="/board" replace />} />
        <Route path="board" element={<BoardPage />} />
        <Route path="rig" element={<RigPage />} />
        <Route path="programs" element={<ProgramsPage />} />
        <Route path="macros" element={<MacrosPage />} />
        <Route path="panels" element={<PanelsPage />} />
        <Route path="rehearse" element={<RehearsePage />} />
        <Route path="vault" element={<VaultPage />} />
        <Route path="settings" element={<SettingsPage />} />
        <Route path="add-device" element={<AddDevicePage />} />
        <Route path="lend" element={<LendPage />} />
        <Route path="*" element={notFound} />
      </Route>
    </Routes>
  );
}
