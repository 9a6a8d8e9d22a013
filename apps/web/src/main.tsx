import './app/strictZod.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { findKeyboard } from './app/keyboard/keyboard.ts';
import { keepInStep } from './app/setup/sync.ts';
import { createStore } from './app/store.ts';
import { openPracticeDesk } from './practice/frontWindow.ts';

const store = createStore();
store.dispatch(openPracticeDesk(store));
keepInStep(store);
void findKeyboard(store);
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <App store={store} />
  </StrictMode>,
);
