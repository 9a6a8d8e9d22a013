import type { Control, FacePicture } from '@nimble-lever/core/devices';
import type { Face } from '@nimble-lever/core/setup';

/** What a drawn control carries: its face, and what is written where the face has no label. */
export interface ControlFace {
  /** What is written on it, or read out where only the icon is seen. */
  readonly label: string;
  /** The label is the person's own: it is written over a picture too. */
  readonly isLabelled: boolean;
  /** By its name in the list of icons. */
  readonly icon: string | null;
  /** Null for the control's own. */
  readonly colour: Face['colour'];
  /** In place of an icon. */
  readonly picture: FacePicture | null;
}

/** What a cell that is only looked at shows; null for any other control. */
export function cellFace({ kind, name, cell }: Pick<Control, 'kind' | 'name' | 'cell'>): ControlFace | null {
  if (!cell || (kind !== 'words' && kind !== 'picture')) return null;
  const { picture } = cell;
  return { label: name, isLabelled: kind === 'words', icon: null, colour: null, picture };
}

/** The face of a control that does something: its own, else the name of what it does. */
export function controlFace(face: Face | null, does: string): ControlFace {
  const label = face?.label ?? does;
  return {
    label,
    isLabelled: face !== null && face.label !== null,
    icon: face?.icon ?? null,
    colour: face?.colour ?? null,
    picture: face?.picture ?? null,
  };
}
