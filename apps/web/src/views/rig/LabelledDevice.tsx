import { styled, useTheme } from '@mui/material/styles';
import type { Control, Device } from '@nimble-lever/core/devices';
import { deviceOnPage } from '@nimble-lever/core/setup';
import { useMemo, useRef } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { useSize } from '../../pieces/useSize.ts';
import { type ControlUse, usesOf } from './controlUses.ts';
import { LINE, layOut, PAD } from './labelLayout.ts';
import { WORDS } from './words.ts';

/** Of a label's letters: pixels. */
const SIZE = 11;

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  position: 'relative',
  overflow: 'hidden',
  '& .drawing': { position: 'absolute' },
  '& .lines': { position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' },
  '& .leads path': { fill: 'none', stroke: vars?.palette.text.secondary, strokeWidth: 1 },
  '& .leads path.on': { stroke: vars?.palette.text.primary, strokeWidth: 2 },
  '& .lines circle': { fill: vars?.palette.text.secondary },
  '& .label': {
    position: 'absolute',
    transform: 'translateY(-50%)',
    overflow: 'hidden',
    fontSize: SIZE,
    lineHeight: `${LINE}px`,
    color: vars?.palette.text.secondary,
    pointerEvents: 'none',
  },
  '& .label.left': { left: PAD, textAlign: 'right' },
  '& .label.right': { right: PAD },
  '& .label b, & .label span': {
    display: 'block',
    whiteSpace: 'nowrap',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
  '& .label.wraps span': {
    display: '-webkit-box',
    WebkitBoxOrient: 'vertical',
    WebkitLineClamp: 2,
    whiteSpace: 'normal',
    textWrap: 'balance',
  },
  '& .label b': { fontWeight: 650, color: vars?.palette.text.primary },
  '& .label.on b': { color: vars?.palette.tokens.accent },
  '& .inside': {
    position: 'absolute',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    padding: 3,
    overflow: 'hidden',
    textAlign: 'center',
    fontSize: 11,
    lineHeight: '13px',
    overflowWrap: 'anywhere',
    pointerEvents: 'none',
    color: vars?.palette.text.primary,
  },
  '& .scale': {
    position: 'absolute',
    left: 16,
    bottom: 10,
    fontSize: 11,
    color: vars?.palette.text.secondary,
    borderTop: `2px solid ${vars?.palette.text.secondary}`,
    paddingTop: 2,
    textAlign: 'center',
  },
}));

/** A device with what its controls do written beside them. */
interface Props {
  readonly device: Device;
  /** The profile and layer whose bindings are written. */
  readonly profile: string;
  readonly layer: string;
  /** The id of the control that is looked at. */
  readonly selected: string | null;
  /** `device/control` keys that are being used. */
  readonly lit: ReadonlySet<string>;
  /** A drawn control is used. */
  readonly onUse: (control: Control, down: boolean) => void;
}

/** A device drawn to scale, with what each control does written in it or beside it. */
export function LabelledDevice({ device: whole, profile, layer, selected, lit, onUse }: Props) {
  const setup = useAppSelector(selectSetup);
  const page = setup.pages.some(({ id }) => id === layer) ? layer : null;
  const device = useMemo(() => deviceOnPage(setup, whole, page), [setup, whole, page]);
  const element = useRef<HTMLElement>(null);
  const size = useSize(element);
  const { fontFamily } = useTheme().typography;
  const measure = useMemo(() => {
    // Widths are measured as the browser will draw them; a guess by letters would cut Hebrew or capitals.
    const pen = document.createElement('canvas').getContext('2d');
    if (pen) pen.font = `${SIZE}px ${fontFamily}`;
    return (text: string) => pen?.measureText(text).width ?? 0;
  }, [fontFamily]);
  const uses = new Map(
    device.controls.map((control) => [
      control.id,
      usesOf(setup, device, control, profile, control.cell?.page ?? layer),
    ]),
  );
  // Worked out anew with each size: labels that fitted a large window may not fit a small one.
  const plan = layOut(device, size, uses, measure);
  // Keys of this device only, without its name.
  const own = new Set(
    [...lit].flatMap((key) => (key.startsWith(`${device.id}/`) ? [key.slice(device.id.length + 1)] : [])),
  );
  const scale = plan ? plan.drawing.width / device.width : 1;
  const nameOf = (id: string) => device.controls.find((control) => control.id === id)?.name ?? id;
  return (
    <Box ref={element} aria-label={WORDS.drawing}>
      {plan && (
        <>
          <div className="drawing" style={plan.drawing}>
            <DeviceDrawing
              device={device}
              lit={own}
              selected={selected}
              angles={{}}
              values={{}}
              under={
                // Under the controls: a line to one that is between others goes behind these, not across them.
                <g
                  className="leads"
                  transform={`scale(${1 / scale}) translate(${-plan.drawing.left} ${-plan.drawing.top})`}
                >
                  {plan.labels.map(({ id, line }) => (
                    <path key={id} className={id === selected ? 'on' : undefined} d={line} />
                  ))}
                </g>
              }
              hint={(control) => `${control.name}: ${sentence(uses.get(control.id) ?? [])}`}
              onDown={(control) => onUse(control, true)}
              onUp={(control) => onUse(control, false)}
              onTurn={(control) => {
                onUse(control, true);
                onUse(control, false);
              }}
              onPosition={(control) => {
                onUse(control, true);
                onUse(control, false);
              }}
            />
          </div>
          {/* Lines and labels repeat what the controls' own names say, so that a screen reader is spared them. } */}
          <svg className="lines" aria-hidden>
            {plan.labels.map(({ id, point }) => (
              <circle key={id} cx={point.x} cy={point.y} r={2} />
            ))}
          </svg>
          {plan.labels.map(({ id, side, y, width, texts, wraps }) => (
            <div
              key={id}
              className={`label ${side}${own.has(id) ? ' on' : ''}${wraps ? ' wraps' : ''}`}
              style={{ top: y, width }}
              aria-hidden
            >
              <b>{nameOf(id)}</b>
              {texts.map((text) => (
                <span key={text} title={text}>
                  {text}
                </span>
              ))}
            </div>
          ))}
          {plan.inside.map(({ id, ...place }) => (
            <div key={id} className="inside" style={place} aria-hidden>
              {insideWords(device, id, uses.get(id)?.[0]?.does ?? null)}
            </div>
          ))}
          {/* A voice is nothing one could lay a ruler on. */}
          {device.kind !== 'voice' && (
            <div className="scale" style={{ width: plan.bar.px }}>
              {WORDS.scale(plan.bar.mm)}
            </div>
          )}
        </>
      )}
    </Box>
  );
}

/** What a control carries: what it does; a phrase is told, too, as nothing else shows it. */
function insideWords({ controls }: Device, id: string, does: string | null): string {
  const phrase = controls.find((control) => control.id === id)?.phrase ?? null;
  return phrase === null ? (does ?? '') : `“${phrase}”: ${does ?? WORDS.nothing}`;
}

/** The labels of a control as one sentence, for those who do not see the lines. */
function sentence(uses: readonly ControlUse[]): string {
  return uses.map(({ way, does }) => `${way.toLowerCase()} ${does ?? WORDS.nothing}`).join(', ');
}
