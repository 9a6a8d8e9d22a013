import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import { MOST_COLUMNS, MOST_ROWS, SCREENS, type ScreenName, sizeOfScreen } from '@nimble-lever/core/devices';
import { changeGrid, type PanelPage, panelBody } from '@nimble-lever/core/panels';
import { itemAt, type SingleEdit } from '@nimble-lever/core/setup';
import { RotateCw } from 'lucide-react';
import { useState } from 'react';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { NumberField, type NumberFieldProps } from '../../../pieces/NumberField.tsx';
import { DialogBody } from './DialogBody.tsx';
import { WORDS } from './words.ts';

const OWN = 'own';
const SIZES = (Object.keys(SCREENS) as ScreenName[]).map((name) => ({
  name,
  ...sizeOfScreen(SCREENS[name]),
}));

interface Props {
  readonly panel: PanelPage;
  readonly onClose: () => void;
}

/** How a page is divided, and how large its panel is; what would not fit is told before it is done. */
export default function SizeDialog({ panel, onClose }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { device, page } = panel;
  const [grid, setGrid] = useState(panel.grid);
  const [asHome, setAsHome] = useState(page !== null && page.grid === null);
  const [size, setSize] = useState({ width: device.width, height: device.height });
  const [distance, setDistance] = useState(device.panel?.distance ?? 600);
  const home = device.panel?.grid ?? grid;
  const change = changeGrid(setup, panel, asHome ? home : grid);
  const known = SIZES.find(
    ({ width, height }) =>
      (width === size.width && height === size.height) || (width === size.height && height === size.width),
  );
  const isUpright = size.height > size.width;
  const choose = (name: string) => {
    const found = SIZES.find((each) => each.name === name);
    if (!found) return;
    const { width, height } = found;
    setSize(isUpright ? { width: height, height: width } : { width, height });
  };
  const apply = () => {
    const { width, height } = size;
    const resized: SingleEdit = {
      kind: 'set',
      at: itemAt.device(device.id),
      fields: { width, height, body: panelBody(width, height), 'panel.distance': distance },
    };
    const isResized =
      width !== device.width || height !== device.height || distance !== device.panel?.distance;
    // A page that goes by Home's grid again has none of its own.
    const divided = change.edits.map((edit) =>
      edit.kind === 'set' && page && asHome ? { ...edit, fields: { grid: null } } : edit,
    );
    const isDivided =
      asHome !== (page !== null && page.grid === null) ||
      grid.columns !== panel.grid.columns ||
      grid.rows !== panel.grid.rows;
    dispatch(makeEdits([...(isDivided ? divided : []), ...(isResized ? [resized] : [])]));
    onClose();
  };
  const name = page?.name ?? WORDS.home;
  return (
    <Dialog open onClose={onClose} aria-labelledby="panel-size">
      <DialogBody>
        <h2 id="panel-size">{WORDS.gridHere(name)}</h2>
        <div className="line">
          <Measure
            label={WORDS.columns}
            value={asHome ? home.columns : grid.columns}
            min={1}
            max={MOST_COLUMNS}
            disabled={asHome}
            onChange={(columns) => setGrid({ ...grid, columns })}
          />
          <Measure
            label={WORDS.rows}
            value={asHome ? home.rows : grid.rows}
            min={1}
            max={MOST_ROWS}
            disabled={asHome}
            onChange={(rows) => setGrid({ ...grid, rows })}
          />
        </div>
        {page && (
          <FormControlLabel
            control={<Checkbox size="small" checked={asHome} onChange={(_event, on) => setAsHome(on)} />}
            label={WORDS.asHome}
          />
        )}
        <p className={change.lost.length > 0 ? 'wrong' : ''} role="status">
          {change.lost.length > 0 ? WORDS.lost(change.lost.map((each) => each.name)) : WORDS.allFit}
        </p>
        <h3>{WORDS.sizeOf(device.name)}</h3>
        <div className="line">
          <ChoiceField
            label={WORDS.size}
            value={known?.name ?? OWN}
            options={[
              [OWN, WORDS.ownSize],
              ...SIZES.map((each) => [each.name, WORDS.screens[each.name]] as const),
            ]}
            onChange={choose}
          />
          <Button
            startIcon={<RotateCw size={15} aria-hidden />}
            onClick={() => setSize({ width: size.height, height: size.width })}
          >
            {WORDS.turn}
          </Button>
        </div>
        <div className="line">
          <Measure
            label={WORDS.width}
            value={size.width}
            min={40}
            max={1200}
            unit="mm"
            onChange={(width) => setSize({ ...size, width })}
          />
          <Measure
            label={WORDS.height}
            value={size.height}
            min={40}
            max={1200}
            unit="mm"
            onChange={(height) => setSize({ ...size, height })}
          />
        </div>
        <div className="line">
          <Measure
            label={WORDS.distance}
            value={distance / 10}
            min={15}
            max={500}
            unit="cm"
            onChange={(centimetres) => setDistance(centimetres * 10)}
          />
        </div>
        <div className="end">
          <Button onClick={onClose}>{WORDS.cancel}</Button>
          <Button variant="contained" onClick={apply}>
            {WORDS.apply}
          </Button>
        </div>
      </DialogBody>
    </Dialog>
  );
}

/** A number with its name before it. */
function Measure(props: NumberFieldProps) {
  return (
    <>
      <span>{props.label}</span>
      <NumberField {...props} />
    </>
  );
}
