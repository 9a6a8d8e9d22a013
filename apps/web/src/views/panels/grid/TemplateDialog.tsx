import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { freeId } from '@nimble-lever/core/devices';
import { type PanelPage, templateSvg } from '@nimble-lever/core/panels';
import { useState } from 'react';
import { saveFile } from '../../../app/saveFile.ts';
import { NumberField } from '../../../pieces/NumberField.tsx';
import { DialogBody } from './DialogBody.tsx';
import { templatePng } from './templatePng.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly panel: PanelPage;
  readonly onClose: () => void;
}

/** The grid of a page as a file to paint on. */
export default function TemplateDialog({ panel, onClose }: Props) {
  const [pixels, setPixels] = useState(2048);
  const [wrong, setWrong] = useState('');
  const { device, page } = panel;
  const name = page?.name ?? WORDS.home;
  const file = freeId(`${device.name} ${name}`, new Set(), 'template');
  const svg = templateSvg(panel);
  const savePng = async () => {
    const png = await templatePng(svg, pixels, Math.round((pixels * device.height) / device.width));
    if (png) saveFile(`${file}.png`, png);
    setWrong(png ? '' : WORDS.noPng);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="page-template">
      <DialogBody>
        <h2 id="page-template">{WORDS.templateOf(name)}</h2>
        <p>{WORDS.templateMeans}</p>
        <img
          src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
          alt=""
          style={{ width: '100%', maxHeight: 240, objectFit: 'contain' }}
        />
        <div className="line">
          <span>{WORDS.pixels}</span>
          <NumberField
            label={WORDS.pixels}
            value={pixels}
            min={200}
            max={8192}
            unit="px"
            onChange={setPixels}
          />
          <Button onClick={() => void savePng()}>{WORDS.asPng}</Button>
          <Button onClick={() => saveFile(`${file}.svg`, svg, 'image/svg+xml')}>{WORDS.asSvg}</Button>
        </div>
        <p role="status" className="wrong">
          {wrong}
        </p>
        <div className="end">
          <Button variant="contained" onClick={onClose}>
            {WORDS.close}
          </Button>
        </div>
      </DialogBody>
    </Dialog>
  );
}
