import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { flatTree, pageTree } from '@nimble-lever/core/pages';
import { itemAt, LIMITS, type Page, type PageKind } from '@nimble-lever/core/setup';
import { Ellipsis, House, Plus } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { addPage } from '../../../editors/pages/addPage.ts';
import { onTabKey } from '../../../editors/pages/tabKeys.ts';
import { WORDS } from '../../../editors/pages/words.ts';
import { TabName } from '../../../editors/TabName.tsx';
import { pageShown, selectBoardState } from '../boardSlice.ts';
import { PageTab } from './PageTab.tsx';
import { pageTabStyles } from './pageTabStyles.ts';

const PageMenu = lazy(async () => ({
  default: (await import('../../../editors/pages/PageMenu.tsx')).PageMenu,
}));
const Tabs = styled('div')(pageTabStyles);

/** Under a device's head: its pages as tabs, the one shown in the matrix chosen, and a new one to be added. */
export function PageTabs({ device }: { readonly device: Device }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const wanted = useAppSelector((state) => selectBoardState(state).pages[device.id]);
  const column = useAppSelector((state) => selectBoardState(state).selected?.profile ?? null);
  const [adding, setAdding] = useState<HTMLElement | null>(null);
  const [changing, setChanging] = useState<HTMLElement | null>(null);
  const [renaming, setRenaming] = useState<string | null>(null);
  const tree = flatTree(pageTree(setup, device.id));
  const shown = tree.find(({ page }) => page.id === wanted)?.page ?? null;
  const show = (page: string | null) => dispatch(pageShown({ device: device.id, page }));
  const add = (kind: PageKind, within: Page | null = null) => {
    setAdding(null);
    // For the program that is worked on; a folder in another is that one's.
    const program = within ? within.program : (setup.profiles[column ?? '']?.program ?? null);
    const id = dispatch(addPage({ device, kind, program, within: within?.id ?? null }));
    show(id);
    // The menu goes first: it would take the keys from the name's field, which ends the renaming.
    setTimeout(() => setRenaming(id));
  };
  const isFull = setup.pages.length >= LIMITS.pages;
  return (
    <Tabs data-own-keys>
      {tree.length > 0 && (
        <div role="tablist" aria-label={WORDS.pages(device.name)}>
          <button
            type="button"
            role="tab"
            aria-selected={shown === null}
            tabIndex={shown === null ? 0 : -1}
            title={WORDS.homeMeans}
            onClick={() => show(null)}
            onKeyDown={(event) => onTabKey(event, { show: () => show(tree[0]?.page.id ?? null) })}
          >
            <House size={13} aria-hidden /> {WORDS.homePage}
          </button>
          {tree.map(({ page, depth }, i) =>
            page.id === renaming ? (
              <TabName
                key={page.id}
                name={page.name}
                others={tree.filter((other) => other.page.id !== page.id).map((other) => other.page.name)}
                words={{ label: WORDS.pageName, taken: WORDS.pageTaken }}
                onName={(name) =>
                  dispatch(makeEdit({ kind: 'set', at: itemAt.page(page.id), fields: { name } }))
                }
                onDone={() => setRenaming(null)}
              />
            ) : (
              <PageTab
                key={page.id}
                page={page}
                depth={depth}
                shown={page.id === shown?.id}
                first={page.program !== tree[i - 1]?.page.program}
                beside={(by) => tree[i + by]?.page.id ?? null}
                onShow={show}
                onRename={() => setRenaming(page.id)}
                onMenu={setChanging}
              />
            ),
          )}
        </div>
      )}
      {shown && (
        <button
          type="button"
          className="quiet"
          aria-label={WORDS.pageMenu(shown.name)}
          aria-haspopup="menu"
          aria-expanded={changing !== null}
          onClick={({ currentTarget }) => setChanging(currentTarget)}
        >
          <Ellipsis size={14} aria-hidden />
        </button>
      )}
      <button
        type="button"
        className="quiet add"
        aria-label={WORDS.addPageTo(device.name)}
        aria-haspopup="menu"
        aria-expanded={adding !== null}
        disabled={isFull}
        title={isFull ? WORDS.tooManyPages(LIMITS.pages) : WORDS.addPageMeans}
        onClick={({ currentTarget }) => setAdding(currentTarget)}
      >
        <Plus size={13} aria-hidden /> {WORDS.addPage}
      </button>
      {adding && (
        <Menu anchorEl={adding} open onClose={() => setAdding(null)}>
          <MenuItem title={WORDS.newFolderMeans} onClick={() => add('folder')}>
            {WORDS.newFolder}
          </MenuItem>
          <MenuItem title={WORDS.newSetMeans} onClick={() => add('set')}>
            {WORDS.newSet}
          </MenuItem>
        </Menu>
      )}
      {changing && shown && (
        <Suspense fallback={null}>
          <PageMenu
            anchor={changing}
            page={shown}
            device={device}
            onClose={() => setChanging(null)}
            onRename={() => setRenaming(shown.id)}
            onInside={() => add('folder', shown)}
            onShow={show}
          />
        </Suspense>
      )}
    </Tabs>
  );
}
