import './app/strictZod.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App.tsx';
import { keepDeskInFront } from './app/desk/desk.ts';
import { findKeyboard } from './app/keyboard/keyboard.ts';
import { keepInStep } from './app/setup/sync.ts';
import { createStore } from './app/store.ts';

const store = createStore();
keepDeskInFront(store);
keepInStep(store);
void findKeyboard(store);
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <App store={store} />
  </StrictMode>,
);
