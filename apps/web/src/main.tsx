import './app/strictZod.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { findKeyboard, readOtherLayouts } from './app/keyboard/keyboard.ts';
import { keepInStep } from './app/setup/sync.ts';
import { createStore } from './app/store.ts';
import { openPracticeDesk } from './practice/frontWindow.ts';

// One store a page; views add their own parts when they are first shown.
const store = createStore();
store.dispatch(openPracticeDesk(store));
keepInStep(
  store,
  store.dispatch((_dispatch, _getState, { line }) => line),
);
void findKeyboard(store);
readOtherLayouts(store);
// The element is in `index.html`; without it there is nothing to show an error in either.
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <App store={store} />
  </StrictMode>,
);
