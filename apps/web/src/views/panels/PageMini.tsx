import { styled } from '@mui/material/styles';
import type { Device } from '@nimble-lever/core/devices';
import { deviceOnPage, FACE_COLOURS } from '@nimble-lever/core/setup';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { ShapeMark } from '../../pieces/ShapeMark.tsx';
import type { PageFace } from './pageFaces.ts';

const Svg = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  flex: 'none',
  width: 58,
  height: 42,
  '& .body': { fill: vars?.palette.tokens.background, stroke: vars?.palette.text.secondary },
  '& .none': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.divider },
  '& .below': { fill: vars?.palette.tokens.sunk, stroke: vars?.palette.divider },
  '& .own': { fill: vars?.palette.text.secondary, stroke: vars?.palette.text.secondary },
  ...Object.fromEntries(
    FACE_COLOURS.map((colour) => [`& .own.${colour}`, { fill: vars?.palette.tokens.face[colour] }]),
  ),
  '& *': { vectorEffect: 'non-scaling-stroke', strokeWidth: 1 },
}));

interface Props {
  readonly device: Device;
  /** Null for the device's own. */
  readonly page: string | null;
  readonly faces: ReadonlyMap<string, PageFace>;
}

/** A page in small, as it is: what is set on it in its colour, what comes from below in grey. */
export function PageMini({ device: whole, page, faces }: Props) {
  const setup = useAppSelector(selectSetup);
  const device = deviceOnPage(setup, whole, page);
  return (
    <Svg viewBox={`0 0 ${device.width} ${device.height}`} aria-hidden>
      {device.body.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the outline never changes order.
        <ShapeMark key={i} shape={shape} className="body" />
      ))}
      {device.controls.map(({ id, shape }) => {
        const known = faces.get(id);
        const own = known?.isOwn ? `own ${known.face?.colour ?? ''}` : null;
        return <ShapeMark key={id} shape={shape} className={own ?? (known?.face ? 'below' : 'none')} />;
      })}
    </Svg>
  );
}
