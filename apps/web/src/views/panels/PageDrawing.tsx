import { styled } from '@mui/material/styles';
import { type Device, readingDistance } from '@nimble-lever/core/devices';
import { opensPage, shownContent } from '@nimble-lever/core/pages';
import { BASE_LAYER, type Page } from '@nimble-lever/core/setup';
import { describeActionIn, pageName, triggerName } from '@nimble-lever/core/words';
import type { HTMLAttributes, ReactNode } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { cellFace } from '../../pieces/controlFace.ts';
import { DeviceDrawing } from '../../pieces/DeviceDrawing.tsx';
import { FaceMark } from '../../pieces/FaceMark.tsx';
import { ShapeMark } from '../../pieces/ShapeMark.tsx';
import type { FacePlace, PageFace } from './pageFaces.ts';
import type { Dragged } from './useContentDrag.ts';
import { WORDS } from './words.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 16,
  padding: 28,
  position: 'relative',
  userSelect: 'none',
  touchAction: 'none',
  '& .drawing': { width: '100%', flex: '0 1 520px', minHeight: 0, maxWidth: 760 },
  '& .chosen': { fill: 'none', stroke: vars?.palette.text.primary, strokeWidth: 3 },
  // A panel gets all the room there is.
  '&.panel': { padding: 18 },
  '&.panel .drawing': { flex: '1 1 0', maxWidth: 1000 },
  '&.panel svg[role=group]': { cursor: 'crosshair' },
  // The frame of the screen.
  '&.panel svg .body': { stroke: vars?.palette.text.secondary, strokeWidth: 6 },
  '&.panel .control:focus-visible .face': { strokeWidth: 2 },
  '& .corner': { fill: 'none', stroke: vars?.palette.text.secondary, opacity: 0.7 },
  '& .through': { fill: 'none', stroke: vars?.palette.text.primary, strokeDasharray: '5 4' },
  '& .what': {
    fill: vars?.palette.text.primary,
    stroke: vars?.palette.tokens.sheet,
    paintOrder: 'stroke',
    strokeWidth: 3,
    fontWeight: 650,
  },
  '& .ghost': {
    fill: vars?.palette.tokens.accentTint,
    fillOpacity: 0.65,
    stroke: vars?.palette.tokens.accent,
  },
  '& .ghost.wrong': {
    fill: vars?.palette.tokens.brickTint,
    stroke: vars?.palette.tokens.brick,
    strokeDasharray: '5 4',
  },
  '& .handle': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.text.primary },
  '& .over': { fill: 'none', stroke: vars?.palette.tokens.accent, strokeWidth: 3.5, strokeDasharray: '6 4' },
  '& dl': {
    margin: 0,
    display: 'flex',
    flexWrap: 'wrap',
    justifyContent: 'center',
    gap: '4px 18px',
    fontSize: 13,
    '& div': { display: 'flex', gap: 6 },
    '& dt': { color: vars?.palette.text.secondary },
    '& dd': { margin: 0, fontWeight: 650 },
    '& .below dd': { fontWeight: 400 },
  },
}));
const Ghost = styled('div')(({ theme: { vars } }) => ({
  position: 'fixed',
  zIndex: 90,
  pointerEvents: 'none',
  transform: 'translate(10px, 12px)',
  padding: '3px 9px',
  borderRadius: 8,
  fontSize: 12,
  fontWeight: 650,
  color: vars?.palette.tokens.onFace,
  backgroundColor: vars?.palette.tokens.face.ink,
  border: `1px solid ${vars?.palette.divider}`,
}));

interface Props {
  readonly device: Device;
  readonly page: Page | null;
  readonly profile: string;
  readonly selected: readonly string[];
  readonly faces: ReadonlyMap<string, PageFace>;
  readonly dragged: Dragged | null;
  readonly handlers: HTMLAttributes<HTMLDivElement>;
  /** Under the controls and over them, in the device's millimetres. */
  readonly under?: ReactNode;
  readonly over?: ReactNode;
  /** What the pointer would do where it is, as CSS says it; empty for nothing of its own. */
  readonly cursor?: string;
}

/** What turns and slides do on the page: they have no room for a face. */
function Legend({ device, profile, layer }: { readonly device: Device } & FacePlace) {
  const setup = useAppSelector(selectSetup);
  const column = setup.profiles[profile];
  const round = device.controls.filter(
    ({ shape, rotor, slider }) => shape.kind !== 'rect' || rotor || slider,
  );
  const lines = round.flatMap((control) =>
    shownContent(setup, { profile, layer, device: device.id, control: control.id }).map((each) => {
      const owner = setup.profiles[each.profile];
      const { behaviour, face } = each.binding;
      const name =
        behaviour.kind === 'action' && column && owner
          ? describeActionIn(setup, column, owner, behaviour.action).name
          : behaviour.kind;
      const isHere = each.profile === profile && each.layer === layer;
      return {
        key: `${control.id} ${each.trigger}`,
        use: triggerName(control, each.trigger),
        name: face?.label ?? name,
        isHere,
      };
    }),
  );
  if (lines.length === 0) return null;
  return (
    <dl>
      {lines.map(({ key, use, name, isHere }) => (
        <div key={key} className={isHere ? '' : 'below'}>
          <dt>{use}</dt>
          <dd>{name}</dd>
        </div>
      ))}
    </dl>
  );
}

const NOTHING_LIT: ReadonlySet<string> = new Set();
const still = () => undefined;

/** A page on the drawing of its device, to scale, with what is on each control. */
export function PageDrawing({
  device,
  page,
  profile,
  selected,
  faces,
  dragged,
  handlers,
  under,
  over: above,
  cursor = '',
}: Props) {
  const setup = useAppSelector(selectSetup);
  const layer = page?.id ?? BASE_LAYER;
  const distance = readingDistance(device);
  const hasPicture = ((page ? page.picture : device.panel?.picture) ?? null) !== null;
  const over = dragged?.over && 'control' in dragged.over ? dragged.over.control : null;
  const hint = (id: string, name: string) => {
    const opened = opensPage(setup, { profile, layer, device: device.id, control: id });
    const does =
      opened === null ? (faces.get(id)?.does ?? WORDS.nothing) : WORDS.opens(pageName(setup, opened));
    return `${name}: ${does}`;
  };
  const shapeOf = (id: string) => device.controls.find((control) => control.id === id)?.shape;
  const marks = [
    ...selected.map((id) => [id, 'chosen'] as const),
    ...(over ? [[over, 'over'] as const] : []),
  ];
  return (
    <Box {...handlers} data-page-drawing style={{ cursor }} className={device.panel ? 'panel' : ''}>
      <div className="drawing">
        <DeviceDrawing
          device={device}
          lit={NOTHING_LIT}
          selected={null}
          angles={{}}
          values={{}}
          faceOf={(control) => {
            const known = faces.get(control.id);
            const face = cellFace(control) ?? known?.face;
            if (!face || control.cell?.seeThrough) return null;
            return (
              <FaceMark
                shape={control.shape}
                cell={control.cell}
                face={face}
                distance={distance}
                wordsFrom={0}
                onPicture={hasPicture && control.kind === 'words'}
                soft={!known?.isOwn && !cellFace(control)}
              />
            );
          }}
          under={under}
          over={
            above ??
            marks.map(([id, className]) => {
              const shape = shapeOf(id);
              return (
                shape && (
                  <ShapeMark key={`${className} ${id}`} shape={shape} className={className} reach={1} />
                )
              );
            })
          }
          hint={({ id, name }) => hint(id, name)}
          onDown={still}
          onUp={still}
          onTurn={still}
          onPosition={still}
        />
      </div>
      {!device.panel && <Legend device={device} profile={profile} layer={layer} />}
      {dragged && (
        <Ghost style={{ left: dragged.x, top: dragged.y }}>
          {dragged.copies ? '+ ' : ''}
          {faces.get(dragged.control)?.face?.label ?? dragged.control}
        </Ghost>
      )}
    </Box>
  );
}
