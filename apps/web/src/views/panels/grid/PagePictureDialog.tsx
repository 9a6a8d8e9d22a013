import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { MOST_ZOOM, PANEL_FITS, type PanelPicture } from '@nimble-lever/core/devices';
import type { PanelPage } from '@nimble-lever/core/panels';
import { useRef } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { useAppDispatch } from '../../../app/store.ts';
import { usePictureTaking } from '../../../editors/usePictureTaking.ts';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { PanelBackground } from '../../../pieces/PanelBackground.tsx';
import { DialogBody } from './DialogBody.tsx';
import { pagePicture, pictureEdit } from './pagePicture.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly panel: PanelPage;
  readonly onClose: () => void;
}

/** The picture under the cells of a page: chosen, dropped or pasted, and how it lies. */
export default function PagePictureDialog({ panel, onClose }: Props) {
  const dispatch = useAppDispatch();
  const chooser = useRef<HTMLInputElement>(null);
  const { device, page } = panel;
  const picture = pagePicture(panel);
  const set = (next: PanelPicture | null) => dispatch(makeEdit(pictureEdit(panel, next)));
  const taking = usePictureTaking(
    () =>
      ({ picture: taken }) =>
        taken && set(taken),
    false,
    'page',
  );
  const name = page?.name ?? WORDS.home;
  return (
    <Dialog open onClose={onClose} aria-labelledby="page-picture">
      <DialogBody {...taking.handlers}>
        <h2 id="page-picture">{WORDS.pictureOf(name)}</h2>
        <p>{WORDS.pictureMeans}</p>
        {picture && (
          <svg
            viewBox={`0 0 ${device.width} ${device.height}`}
            style={{ width: '100%', maxHeight: 220, borderRadius: 8 }}
            aria-hidden
          >
            <PanelBackground width={device.width} height={device.height} picture={picture} />
          </svg>
        )}
        <div className="line">
          <Button onClick={() => chooser.current?.click()}>{WORDS.choose}</Button>
          {picture && <Button onClick={() => set(null)}>{WORDS.takeOff}</Button>}
          {taking.going !== null && <Button onClick={taking.stop}>{WORDS.stop}</Button>}
        </div>
        <input
          ref={chooser}
          type="file"
          hidden
          accept="image/png,image/jpeg,image/webp,image/svg+xml"
          onChange={({ target }) => {
            taking.take(target.files);
            target.value = '';
          }}
        />
        <p role="status" className={taking.wrong ? 'wrong' : ''}>
          {taking.wrong ?? (taking.going === null ? '' : WORDS.comes(taking.going))}
        </p>
        {picture && (
          <div className="line">
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label={WORDS.fit}
              value={picture.fit}
              onChange={(_event, fit: PanelPicture['fit'] | null) => fit && set({ ...picture, fit })}
            >
              {PANEL_FITS.map((fit) => (
                <ToggleButton key={fit} value={fit}>
                  {WORDS.fits[fit]}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <span>{picture.fit === 'tile' ? WORDS.tiles : WORDS.closer}</span>
            <NumberField
              label={picture.fit === 'tile' ? WORDS.tiles : WORDS.closer}
              value={picture.zoom}
              min={1}
              max={MOST_ZOOM}
              whole={false}
              onChange={(zoom) => set({ ...picture, zoom })}
            />
          </div>
        )}
        <div className="end">
          <Button variant="contained" onClick={onClose}>
            {WORDS.close}
          </Button>
        </div>
      </DialogBody>
    </Dialog>
  );
}
