import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { lazy } from 'react';
import { Provider } from 'react-redux';
import { createBrowserRouter, Link, Navigate, RouterProvider } from 'react-router';
import { KeyboardProvider } from './keyboard/KeyboardProvider.tsx';
import { Message } from './shell/Message.tsx';
import { Shell } from './shell/Shell.tsx';
import { WORDS } from './shell/words.ts';
import type { AppStore } from './store.ts';
import { theme } from './theme/theme.ts';

const BoardPage = lazy(async () => ({ default: (await import('../views/board/BoardPage.tsx')).BoardPage }));
const RehearsePage = lazy(async () => ({
  default: (await import('../views/rehearse/RehearsePage.tsx')).RehearsePage,
}));

const SettingsPage = lazy(async () => ({
  default: (await import('../views/settings/SettingsPage.tsx')).SettingsPage,
}));
const AddDevicePage = lazy(async () => ({
  default: (await import('../views/addDevice/AddDevicePage.tsx')).AddDevicePage,
}));

const RigPage = lazy(async () => ({ default: (await import('../views/rig/RigPage.tsx')).RigPage }));

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: (
      <Message title={WORDS.broken} detail={WORDS.brokenKept}>
        <Button onClick={() => location.reload()}>{WORDS.reload}</Button>
      </Message>
    ),
    children: [
      { index: true, element: <Navigate to="/board" replace /> },
      { path: 'board', element: <BoardPage /> },
      { path: 'rig', element: <RigPage /> },
      { path: 'rehearse', element: <RehearsePage /> },
      { path: 'settings', element: <SettingsPage /> },
      { path: 'add-device', element: <AddDevicePage /> },
      {
        path: '*',
        element: (
          <Message title={WORDS.notFound}>
            <Button component={Link} to="/board">
              {WORDS.toBoard}
            </Button>
          </Message>
        ),
      },
    ],
  },
]);

/** The whole page. */
export function App({ store }: { readonly store: AppStore }) {
  return (
    <Provider store={store}>
      <ThemeProvider theme={theme} defaultMode="system" disableTransitionOnChange>
        <CssBaseline />
        <KeyboardProvider>
          <RouterProvider router={router} />
        </KeyboardProvider>
      </ThemeProvider>
    </Provider>
  );
}
