import '../app/strictZod.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { PairApp } from './PairApp.tsx';
import { PAIR_STYLES } from './pairStyles.ts';
import { takeCode, wantedPath } from './place.ts';

const style = document.createElement('style');
style.textContent = PAIR_STYLES;
document.head.append(style);
const code = takeCode(location.hash);
// Of the code only this page needs to know: it neither stays in sight nor in the history of the browser.
if (code !== '') history.replaceState(null, '', location.pathname + location.search);
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <PairApp code={code} to={wantedPath(location.search, location.origin)} />
  </StrictMode>,
);
