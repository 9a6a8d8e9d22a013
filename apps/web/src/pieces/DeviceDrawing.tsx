import { styled } from '@mui/material/styles';
import type { Control, Device } from '@nimble-lever/core/devices';
import { type KeyboardEvent, type ReactNode, useState } from 'react';
import { ControlMark, type DeviceHandlers } from './ControlMark.tsx';
import { ShapeMark } from './ShapeMark.tsx';

/** A device drawn to scale, and how it is at the moment. */
interface Props extends DeviceHandlers {
  readonly device: Device;
  /** Controls that are down or were just used. */
  readonly lit: ReadonlySet<string>;
  /** The id of the control that is looked at. */
  readonly selected: string | null;
  /** How far each rotor has been turned, in degrees; for its mark. */
  readonly angles: Readonly<Record<string, number>>;
  /** Where each spring ring and slider is. */
  readonly values: Readonly<Record<string, number>>;
  /** Where those are that slide two ways, from left to right. */
  readonly across?: Readonly<Record<string, number>>;
  /** What a control carries, drawn on it; handed in, so that a drawing without faces brings no icons with it. */
  readonly faceOf?: (control: Control) => ReactNode;
  /** What lies on the device's body and under its controls, in its millimetres; it may reach beyond. */
  readonly under?: ReactNode;
  /** What lies over its controls, in its millimetres. */
  readonly over?: ReactNode;
  /** What a control is called to someone who does not see it. */
  readonly hint: (control: Control) => string;
}

const Svg = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  width: '100%',
  height: '100%',
  touchAction: 'none',
  '&[tabindex="-1"]': { outline: 'none' },
  '& .body': { fill: vars?.palette.tokens.background, stroke: vars?.palette.text.primary },
  '& .control': { cursor: 'pointer', outline: 'none' },
  '& .control .face': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.text.primary },
  '& .control .cap': { fill: vars?.palette.tokens.sunk, stroke: vars?.palette.text.secondary },
  '& .control .mark': { fill: vars?.palette.text.primary, stroke: 'none' },
  '& .control .level': { fill: vars?.palette.tokens.accent, fillOpacity: 0.16, stroke: 'none' },
  '& .control .bar': { stroke: vars?.palette.tokens.sheet },
  '& .control .ticks': { fill: 'none', stroke: vars?.palette.text.secondary },
  '& .control .reach': { fill: 'transparent', stroke: 'transparent' },
  '& .control.looked-at .face, & .control.see-through .face': { fill: 'transparent', stroke: 'none' },
  '& .control:hover .face': { fill: vars?.palette.tokens.sunk },
  '& .control.selected .face': { strokeWidth: 2.5, stroke: vars?.palette.text.primary },
  '& .control.lit .face, & .control.lit .cap': {
    fill: vars?.palette.tokens.accentTint,
    stroke: vars?.palette.tokens.accent,
  },
  '& .control:focus-visible .face': { stroke: vars?.palette.tokens.accent, strokeWidth: 3 },
  '& *': { vectorEffect: 'non-scaling-stroke', strokeWidth: 1.3 },
}));

/**
 * A device drawn from its own geometry, in millimetres. Each control can be pressed and turned. The drawing is one stop
 * of the Tab key; inside, Left and Right go from control to control, and Up and Down turn or push the one that is
 * reached, so that a pad of twelve keys is not twelve stops (WAI-ARIA Authoring Practices, "roving tabindex").
 */
export function DeviceDrawing({
  device,
  lit,
  selected,
  angles,
  values,
  across = {},
  faceOf,
  under,
  over,
  hint,
  ...handlers
}: Props) {
  const [reached, setReached] = useState<string | null>(null);
  const { controls } = device;
  const known = (id: string | null) => controls.some((control) => control.id === id);
  const stop = known(reached) ? reached : known(selected) ? selected : controls[0]?.id;
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const at = controls.findIndex(({ id }) => id === stop);
    const next = {
      ArrowRight: Math.min(controls.length - 1, at + 1),
      ArrowLeft: Math.max(0, at - 1),
      Home: 0,
      End: controls.length - 1,
    }[event.key];
    if (next === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.querySelectorAll<SVGGElement>('[data-control]')[next]?.focus();
  };
  return (
    <Svg
      viewBox={`0 0 ${device.width} ${device.height}`}
      role="group"
      aria-label={device.name}
      // Where there is no control to stop at, the drawing is the stop; it keeps the keys when the first one comes.
      tabIndex={controls.length === 0 ? 0 : -1}
      onKeyDown={onKeyDown}
      overflow={under ? 'visible' : undefined}
    >
      {device.body.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the outline never changes order.
        <ShapeMark key={i} shape={shape} className="body" />
      ))}
      {under}
      {controls.map((control) => (
        <ControlMark
          key={control.id}
          control={control}
          label={`${device.name}, ${hint(control)}`}
          lit={lit.has(control.id)}
          selected={selected === control.id}
          reachable={stop === control.id}
          onReached={setReached}
          angle={angles[control.id] ?? 0}
          value={values[control.id] ?? 0}
          across={across[control.id] ?? 0}
          face={faceOf?.(control) ?? null}
          {...handlers}
        />
      ))}
      {over && <g pointerEvents="none">{over}</g>}
    </Svg>
  );
}
