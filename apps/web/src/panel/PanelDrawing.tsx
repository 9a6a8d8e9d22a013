import type { AllShown, Input, Panel } from '@nimble-lever/core/desks';
import { type Control, controlOf } from '@nimble-lever/core/devices';
import { useMemo, useState } from 'react';
import { ControlMark } from '../pieces/ControlMark.tsx';
import { PanelBackground } from '../pieces/PanelBackground.tsx';
import { ShapeMark } from '../pieces/ShapeMark.tsx';
import { PanelFace } from './PanelFace.tsx';
import { WORDS } from './words.ts';

interface Props {
  readonly panel: Panel;
  readonly shows: AllShown;
  /** There is no desk: it is drawn as it was last, and does nothing. */
  readonly isAway: boolean;
  /** Controls whose press was just carried out. */
  readonly done: ReadonlySet<string>;
  readonly onInput: (input: Input) => void;
}

/** The panel as it is drawn and pressed: what the hand does shows at once, whatever the network does. */
export function PanelDrawing({ panel, shows, isAway, done, onInput }: Props) {
  const { id: device, width, height, body, distance, picture } = panel;
  const controls = useMemo(() => panel.controls.map((control) => controlOf(control)), [panel]);
  const [pressed, setPressed] = useState<ReadonlySet<string>>(new Set());
  const [places, setPlaces] = useState<Readonly<Record<string, number>>>({});
  const [aside, setAside] = useState<Readonly<Record<string, number>>>({});
  const [angles, setAngles] = useState<Readonly<Record<string, number>>>({});
  const press = ({ id: control }: Control, kind: 'down' | 'up') => {
    // What is not carried out must not look as if it were.
    if (isAway) return;
    onInput({ kind, device, control });
    setPressed((before) => {
      const next = new Set(before);
      if (kind === 'down') next.add(control);
      else next.delete(control);
      return next;
    });
    if (kind === 'down') navigator.vibrate?.(8);
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: SVG has no group of controls of its own.
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={panel.name}
      className={isAway ? 'no-desk' : ''}
    >
      {body.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the outline never changes order.
        <ShapeMark key={i} shape={shape} className="body" />
      ))}
      <PanelBackground width={width} height={height} picture={picture} />
      {controls.map((control) => {
        const { id, name, rotor } = control;
        const face = shows.faces[id] ?? undefined;
        const state = face
          ? `${face.on ? WORDS.on : ''}${face.queued > 0 ? WORDS.waiting(face.queued) : ''}`
          : '';
        const isDown = pressed.has(id) || shows.down.includes(id);
        return (
          <g key={id} className={`${done.has(id) ? 'done' : ''} ${face || !control.canPress ? '' : 'empty'}`}>
            <ControlMark
              control={control}
              label={face ? `${name}, ${face.label ?? face.does}${state}` : name}
              lit={isDown}
              selected={false}
              reachable
              onReached={() => undefined}
              angle={angles[id] ?? 0}
              value={places[id] ?? shows.values[id] ?? 0}
              across={aside[id] ?? shows.across[id] ?? 0}
              face={
                (face || isLookedAt(control)) && !control.cell?.seeThrough ? (
                  <PanelFace
                    control={control}
                    face={face}
                    onPicture={picture !== null && control.kind === 'words'}
                    distance={distance}
                  />
                ) : null
              }
              onDown={(each) => press(each, 'down')}
              onUp={(each) => press(each, 'up')}
              onTurn={(_each, unit, amount) => {
                const detent = rotor?.kind === 'detented' ? rotor.detentDegrees : 1;
                const degrees = unit === 'detents' ? amount * detent : amount;
                setAngles((before) => ({ ...before, [id]: (before[id] ?? 0) + degrees }));
                onInput({ kind: 'turn', device, control: id, unit, amount });
              }}
              onPosition={(_each, value, axis) => {
                const keep = axis ? setAside : setPlaces;
                keep((before) => ({ ...before, [id]: value }));
                onInput({ kind: 'position', device, control: id, value, ...(axis && { axis }) });
              }}
            />
          </g>
        );
      })}
    </svg>
  );
}

/** Words and pictures, which nothing is bound to. */
function isLookedAt({ kind }: Control): boolean {
  return kind === 'words' || kind === 'picture';
}
