import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { type Branch, flatTree, pageTree } from '@nimble-lever/core/pages';
import { BASE_LAYER, itemAt, type Page, type PageKind, type Setup } from '@nimble-lever/core/setup';
import { programName } from '@nimble-lever/core/words';
import { Ellipsis, TriangleAlert } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { addPage } from '../../editors/pages/addPage.ts';
import { profileFor, stepPage } from '../../editors/pages/movePages.ts';
import { pageFault } from '../../editors/pages/pageFault.ts';
import { TabName } from '../../editors/TabName.tsx';
import { PageMini } from './PageMini.tsx';
import { pageFaces } from './pageFaces.ts';
import type { DropTarget } from './useContentDrag.ts';
import { WORDS } from './words.ts';

const PageMenu = lazy(async () => ({ default: (await import('../../editors/pages/PageMenu.tsx')).PageMenu }));

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  '& [role=tree]': {
    flex: 1,
    minHeight: 0,
    overflow: 'auto',
    padding: 10,
    display: 'grid',
    gap: 6,
    alignContent: 'start',
  },
  '& [role=treeitem]': {
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    padding: '7px 8px',
    borderRadius: 10,
    border: '2px solid transparent',
    cursor: 'pointer',
    fontSize: 13,
    '&:hover': { backgroundColor: vars?.palette.tokens.sunk },
    '&[aria-selected=true]': {
      borderColor: vars?.palette.text.primary,
      backgroundColor: vars?.palette.tokens.sheet,
      fontWeight: 650,
    },
    '&[data-over=true]': { borderColor: vars?.palette.tokens.accent, borderStyle: 'dashed' },
    '& .words': { flex: 1, minWidth: 0, display: 'grid' },
    '& .name': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
    '& small': { fontSize: 11, fontWeight: 400, color: vars?.palette.text.secondary },
    '& .wrong': { flex: 'none', color: vars?.palette.tokens.brick },
    '& button': {
      flex: 'none',
      width: 24,
      height: 24,
      padding: 0,
      border: 0,
      borderRadius: 6,
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      color: 'inherit',
      background: 'none',
      cursor: 'pointer',
    },
  },
  '& footer': {
    flex: 'none',
    display: 'flex',
    gap: 8,
    padding: 10,
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
}));

interface Props {
  readonly device: Device;
  /** Null for the device's own. */
  readonly page: Page | null;
  /** The profile whose assignments are shown on pages of every program. */
  readonly profile: string;
  /** What a dragged control is over. */
  readonly over: DropTarget | null;
  readonly onShow: (page: string | null) => void;
}

/** The pages of a device as a tree, each in small as it is. */
export function PageTree({ device, page: shown, profile, over, onShow }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const [renaming, setRenaming] = useState<string | null>(null);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const entries: readonly Entry[] = [
    { page: null, depth: 0 },
    ...flatTree(pageTree(setup, device.id) as readonly Branch[]),
  ];
  const add = (kind: PageKind, within: Page | null = null) => {
    const program = within ? within.program : (setup.profiles[profile]?.program ?? null);
    const id = dispatch(addPage({ device, kind, program, within: within?.id ?? null }));
    onShow(id);
    setTimeout(() => setRenaming(id));
  };
  const go = (at: number, element: HTMLElement) => {
    const next = entries[at];
    if (!next) return;
    onShow(next.page?.id ?? null);
    element.parentElement?.querySelectorAll<HTMLElement>('[role=treeitem]')[at]?.focus();
  };
  return (
    <Box>
      <div role="tree" aria-label={WORDS.pagesOf(device.name)}>
        {entries.map(({ page, depth }, i) => (
          <div
            key={page?.id ?? ''}
            role="treeitem"
            aria-level={depth + 1}
            aria-selected={page?.id === shown?.id}
            aria-label={`${page?.name ?? WORDS.home}, ${saysOf(setup, page)}`}
            tabIndex={page?.id === shown?.id ? 0 : -1}
            data-page={page?.id ?? ''}
            data-over={over !== null && 'page' in over && over.page === (page?.id ?? null)}
            style={{ marginLeft: 16 * depth }}
            onClick={() => onShow(page?.id ?? null)}
            onKeyDown={(event) => {
              if (event.target !== event.currentTarget) return;
              const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
              if (event.key === 'F2' && page) setRenaming(page.id);
              else if (by !== undefined && event.altKey && page) dispatch(stepPage(page, by > 0 ? 1 : -1));
              else if (by !== undefined) go(i + by, event.currentTarget);
              else return;
              event.preventDefault();
            }}
          >
            <PageMini
              device={device}
              page={page?.id ?? null}
              faces={pageFaces(setup, device, {
                profile: page?.program ? profileFor(setup, page) : profile,
                layer: page?.id ?? BASE_LAYER,
              })}
            />
            {page && page.id === renaming ? (
              <TabName
                name={page.name}
                others={entries.flatMap((other) =>
                  other.page && other.page !== page ? [other.page.name] : [],
                )}
                words={{ label: WORDS.pageName, taken: WORDS.pageTaken }}
                onName={(name) =>
                  dispatch(makeEdit({ kind: 'set', at: itemAt.page(page.id), fields: { name } }))
                }
                onDone={() => setRenaming(null)}
              />
            ) : (
              <span className="words">
                <span className="name">{page?.name ?? WORDS.home}</span>
                <small>{saysOf(setup, page)}</small>
              </span>
            )}
            {page && <Fault page={page} />}
            {page && page.id === shown?.id && page.id !== renaming && (
              <button
                type="button"
                aria-label={WORDS.more(page.name)}
                aria-haspopup="menu"
                aria-expanded={menu !== null}
                onClick={(event) => {
                  event.stopPropagation();
                  setMenu(event.currentTarget);
                }}
              >
                <Ellipsis size={15} aria-hidden />
              </button>
            )}
          </div>
        ))}
      </div>
      <footer>
        <Button onClick={() => add('folder')}>{WORDS.newFolder}</Button>
        <Button onClick={() => add('set')}>{WORDS.newSet}</Button>
      </footer>
      {menu && shown && (
        <Suspense fallback={null}>
          <PageMenu
            anchor={menu}
            page={shown}
            device={device}
            onClose={() => setMenu(null)}
            onRename={() => setRenaming(shown.id)}
            onInside={() => add('folder', shown)}
            onShow={onShow}
          />
        </Suspense>
      )}
    </Box>
  );
}

/** A page of the tree; null is the device's own. */
interface Entry {
  readonly page: Page | null;
  readonly depth: number;
}

/** What kind of page it is, and with which program it shows. */
function saysOf(setup: Setup, page: Page | null): string {
  if (!page) return WORDS.homeMeans;
  const of = page.program === null ? WORDS.every : programName(setup, page.program);
  return [WORDS[page.kind], of, ...(page.follows && page.program !== null ? [WORDS.follows] : [])].join(
    ' · ',
  );
}

/** Why a page cannot be used as it is, as a sign. */
function Fault({ page }: { readonly page: Page }) {
  const wrong = useAppSelector((state) => pageFault(state, page));
  return wrong === null ? null : (
    <span role="img" aria-label={wrong} title={wrong} className="wrong">
      <TriangleAlert size={15} aria-hidden />
    </span>
  );
}
