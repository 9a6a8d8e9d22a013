import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import type { Device } from '@nimble-lever/core/devices';
import { copyPage, wayBack, wayBackEdit } from '@nimble-lever/core/pages';
import { removePage } from '@nimble-lever/core/programs';
import type { Page } from '@nimble-lever/core/setup';
import { useState } from 'react';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { profileFor, stepPage } from './movePages.ts';
import { PageDialog } from './PageDialog.tsx';
import { WORDS } from './words.ts';

interface Props {
  readonly anchor: HTMLElement;
  readonly page: Page;
  readonly device: Device;
  readonly onClose: () => void;
  readonly onRename: () => void;
  /** Makes a folder in it. */
  readonly onInside: () => void;
  readonly onShow: (page: string | null) => void;
}

/** What can be done with the page that is shown. */
export function PageMenu({ anchor, page, device, onClose, onRename, onInside, onShow }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const [part, setPart] = useState<'menu' | 'copy' | 'more'>('menu');
  const profile = profileFor(setup, page);
  const isFolder = page.kind === 'folder';
  const back = isFolder && wayBack(setup, page, profile) === null ? wayBackEdit(setup, page, profile) : null;
  const removal = removePage(setup, page.id);
  const parts = [
    ...(removal.bindings > 0 ? [WORDS.pageParts.bindings(removal.bindings)] : []),
    ...(removal.pages.length > 1 ? [WORDS.pageParts.folders(removal.pages.length - 1)] : []),
    ...(removal.menus.length > 0 ? [WORDS.pageParts.menus(removal.menus.length)] : []),
    ...(removal.rebased.length > 0 ? [WORDS.pageParts.rebased(removal.rebased.length)] : []),
  ];
  const does = (act: () => void) => () => {
    onClose();
    act();
  };
  const copyTo = (to: Device) => {
    const made = copyPage(setup, page, to.id, ({ name }) => newId(name, 'page'));
    dispatch(makeEdit(made.edit));
    if (to.id === device.id) onShow(made.id);
  };
  if (part === 'more') return <PageDialog page={page} device={device} onClose={onClose} />;
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      {part === 'menu'
        ? [
            // After the menu has gone: it would take the keys from the name's field, which ends the renaming.
            <MenuItem key="rename" onClick={does(() => setTimeout(onRename))}>
              {WORDS.pageRename}
            </MenuItem>,
            <MenuItem key="more" onClick={() => setPart('more')}>
              {WORDS.pageMore}
            </MenuItem>,
            back && (
              <MenuItem key="back" onClick={does(() => dispatch(makeEdits(back.edits)))}>
                {WORDS.pageWayBack(
                  device.controls.find(({ id }) => id === back.control)?.name ?? back.control,
                )}
              </MenuItem>
            ),
            <MenuItem key="inside" onClick={does(() => setTimeout(onInside))}>
              {WORDS.pageInside}
            </MenuItem>,
            <MenuItem key="left" onClick={does(() => dispatch(stepPage(page, -1)))}>
              {WORDS.pageLeft}
            </MenuItem>,
            <MenuItem key="right" onClick={does(() => dispatch(stepPage(page, 1)))}>
              {WORDS.pageRight}
            </MenuItem>,
            <MenuItem key="copy" onClick={does(() => copyTo(device))}>
              {WORDS.pageCopyBeside}
            </MenuItem>,
            <MenuItem key="copies" onClick={() => setPart('copy')}>
              {WORDS.pageCopy}
            </MenuItem>,
            <Divider key="line" />,
            <MenuItem
              key="remove"
              onClick={does(() => {
                dispatch(makeEdit(removal.edit));
                onShow(null);
              })}
            >
              {WORDS.pageRemove(parts)}
            </MenuItem>,
          ]
        : setup.devices
            .filter(({ id }) => id !== device.id)
            .map((to) => (
              <MenuItem key={to.id} onClick={does(() => copyTo(to))}>
                {to.name}
              </MenuItem>
            ))}
    </Menu>
  );
}
