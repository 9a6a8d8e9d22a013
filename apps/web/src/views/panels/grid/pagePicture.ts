import type { PanelPicture } from '@nimble-lever/core/devices';
import type { PanelPage } from '@nimble-lever/core/panels';
import { itemAt, type SingleEdit } from '@nimble-lever/core/setup';

/** What lies under the cells of a page. */
export function pagePicture({ device, page }: PanelPage): PanelPicture | null {
  return (page ? page.picture : device.panel?.picture) ?? null;
}

/** Puts a picture under the cells of a page, or (null) takes it off. */
export function pictureEdit({ device, page }: PanelPage, picture: PanelPicture | null): SingleEdit {
  return page
    ? { kind: 'set', at: itemAt.page(page.id), fields: { picture } }
    : { kind: 'set', at: itemAt.device(device.id), fields: { 'panel.picture': picture } };
}
