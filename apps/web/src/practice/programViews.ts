import type { ComponentType } from 'react';
import { ColoursView, ExportView, OutputView, WheelColourView } from './programs/AskView.tsx';
import { BakeView } from './programs/BakeView.tsx';
import { BrindleView } from './programs/BrindleView.tsx';
import { FernwayView } from './programs/FernwayView.tsx';
import { HushboxView } from './programs/HushboxView.tsx';
import { KettlebyView } from './programs/KettlebyView.tsx';
import { LarkframeView } from './programs/LarkframeView.tsx';
import { QuillboardView } from './programs/QuillboardView.tsx';
import type { PracticeProgram } from './programs/standIns.ts';
import { TallowView } from './programs/TallowView.tsx';
import { TinCanView } from './programs/TinCanView.tsx';
import type { Placed } from './windows.ts';

/** Where a window stands on the desk, in parts of it, so that every size of page shows the same desk. */
const place = (left: string, top: string, width: string, height: string): Placed => ({
  left,
  top,
  width,
  height,
});

/**
 * Each practice program with its place. Windows overlap, so that bringing one to the front is something to be seen.
 */
export const PROGRAM_VIEWS: Readonly<
  Record<PracticeProgram, { readonly view: ComponentType; readonly place: Placed }>
> = {
  larkframe: { view: LarkframeView, place: place('2.5%', '3%', '58%', '76%') },
  brindle: { view: BrindleView, place: place('31%', '20%', '66.5%', '77%') },
  hushbox: { view: HushboxView, place: place('8%', '10%', '74%', '70%') },
  tallow: { view: TallowView, place: place('18%', '11%', '64%', '86%') },
  quillboard: { view: QuillboardView, place: place('5%', '11%', '60%', '78%') },
  fernway: { view: FernwayView, place: place('24%', '11.5%', '68%', '80%') },
  'tin-can': { view: TinCanView, place: place('63%', '4%', '34%', '66%') },
  kettleby: { view: KettlebyView, place: place('14%', '8%', '68%', '78%') },
  'kettleby-bake': { view: BakeView, place: place('34%', '24%', '40%', '52%') },
  'larkframe-export': { view: ExportView, place: place('22%', '26%', '44%', '46%') },
  'brindle-output': { view: OutputView, place: place('44%', '34%', '44%', '44%') },
  'brindle-colours': { view: ColoursView, place: place('52%', '16%', '34%', '66%') },
  'tallow-wheel': { view: WheelColourView, place: place('34%', '28%', '38%', '44%') },
};
