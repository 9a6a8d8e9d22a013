import { styled } from '@mui/material/styles';
import { useLayoutEffect, useRef } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { pageOf, shown, tabOf } from './fernway.ts';

const Tabs = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 2,
  padding: '6px 8px 0',
  overflowX: 'auto',
  backgroundColor: vars?.palette.tokens.sunk,
  '& button': {
    flex: '0 1 170px',
    minWidth: 60,
    height: 28,
    padding: '0 10px',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    textOverflow: 'ellipsis',
    textAlign: 'left',
    font: 'inherit',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    backgroundColor: 'transparent',
    border: 0,
    borderRadius: '8px 8px 0 0',
    cursor: 'pointer',
  },
  '& button[aria-pressed=true]': {
    color: vars?.palette.text.primary,
    fontWeight: 650,
    backgroundColor: vars?.palette.tokens.sheet,
  },
}));
const Page = styled('div')({
  flex: 1,
  minHeight: 0,
  position: 'relative',
  overflow: 'hidden',
  padding: '16px 24px',
  '& h3': { margin: '0 0 10px', fontSize: '1.35em', fontWeight: 650 },
  '& p': { margin: '0 0 14px', lineHeight: 1.6 },
});

/** Fernway: tabs, and the page of the one in front. */
export function FernwayView() {
  const dispatch = useAppDispatch();
  const web = usePrograms((rehearse) => rehearse.fernway);
  const tab = tabOf(web);
  const page = pageOf(tab);
  const sheet = useRef<HTMLDivElement>(null);
  // Which line is at the top, and how much of it is gone.
  useLayoutEffect(() => {
    const lines = [...(sheet.current?.querySelectorAll('p') ?? [])];
    const at = Math.floor(tab.scroll);
    const [line, after] = [lines[at], lines[at + 1]];
    if (!sheet.current || !line) return;
    const top = at === 0 ? 0 : line.offsetTop;
    const next = after?.offsetTop ?? line.offsetTop + line.offsetHeight;
    sheet.current.scrollTop = top + (tab.scroll - at) * (next - top);
  });
  return (
    <>
      <Tabs role="group" aria-label={WORDS.tabs}>
        {web.tabs.map((each, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a tab is its place.
            key={i}
            type="button"
            aria-pressed={i === web.at}
            onClick={() => dispatch(changeProgram('fernway', (state) => shown(state, i)))}
          >
            {pageOf(each).title}
          </button>
        ))}
      </Tabs>
      <Page ref={sheet} style={{ fontSize: (13 * web.zoom) / 100 }} data-line={Math.floor(tab.scroll) + 1}>
        <h3>{page.title}</h3>
        {page.lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
        {/* So that the last line can be at the top as well. } */}
        <div style={{ height: '100%' }} />
      </Page>
      <StatusLine
        facts={[
          [WORDS.tab, WORDS.ofFrames(web.at, web.tabs.length)],
          [WORDS.zoom, `${web.zoom} %`],
          [WORDS.keptPages, `${web.kept.length}`],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={web.lastCommand}
      />
    </>
  );
}
