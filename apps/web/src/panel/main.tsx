import '../app/strictZod.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { makeInstallable } from './installed.ts';
import { PanelApp } from './PanelApp.tsx';
import { PANEL_STYLES } from './panelStyles.ts';

const style = document.createElement('style');
style.textContent = PANEL_STYLES;
document.head.append(style);
// A long press is a press, and nothing else.
document.addEventListener('contextmenu', (event) => event.preventDefault());
/** `/panel/wall-panel` shows the wall panel. */
const device = /^\/panel\/([^/]+)/.exec(location.pathname)?.[1] ?? '';
makeInstallable(device);
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <PanelApp device={device} />
  </StrictMode>,
);
