import type { Device } from '@nimble-lever/core/devices';
import { shownContent } from '@nimble-lever/core/pages';
import { coveringFolders, coveringOf } from '@nimble-lever/core/resolve';
import { EVERYWHERE, layerOfCell, type Setup } from '@nimble-lever/core/setup';
import { describeActionIn, nativeName } from '@nimble-lever/core/words';
import { type ControlFace, controlFace } from '../../pieces/controlFace.ts';
import { WORDS } from './words.ts';

/** What a control shows and does on a page. */
export interface PageFace {
  /** Null where nothing is set, here or below. */
  readonly face: ControlFace | null;
  /** In words, for who does not see it. */
  readonly does: string;
  /** Set on this very page and in this very profile. */
  readonly isOwn: boolean;
  /** Something is set here that is not its press, which the face is of. */
  readonly hasMore: boolean;
}

/** Where faces are looked up: a page of a device or its base layer, as a profile has it. */
export interface FacePlace {
  readonly profile: string;
  readonly layer: string;
}

/** The faces of all controls of a device on a page: of what a press does, else of the first thing that is set. */
export function pageFaces(
  setup: Setup,
  device: Device,
  { profile, layer: shownLayer }: FacePlace,
): ReadonlyMap<string, PageFace> {
  const column = setup.profiles[profile] ?? setup.profiles[EVERYWHERE];
  const folders = coveringFolders(setup);
  return new Map(
    device.controls.map((each): [string, PageFace] => {
      const { id: control, native } = each;
      // What a cell does is set where it belongs.
      const layer = each.cell ? layerOfCell(each) : shownLayer;
      const content = shownContent(setup, { profile, layer, device: device.id, control });
      const shown = content.find(({ trigger }) => trigger === 'press') ?? content[0];
      const isOwn = content.some((each) => each.profile === profile && each.layer === layer);
      const hasMore = content.length > 1;
      if (!shown || !column) {
        const by = coveringOf(folders, each).has(layer) ? undefined : native.press;
        return [control, { face: null, does: by ? nativeName(by) : WORDS.nothing, isOwn: false, hasMore }];
      }
      const { behaviour, face } = shown.binding;
      const owner = setup.profiles[shown.profile] ?? column;
      const name =
        behaviour.kind === 'action'
          ? describeActionIn(setup, column, owner, behaviour.action).name
          : behaviour.kind;
      const isHere = shown.profile === profile && shown.layer === layer;
      return [
        control,
        {
          face: controlFace(face, name),
          does: isHere ? name : WORDS.inherits(name),
          isOwn,
          hasMore,
        },
      ];
    }),
  );
}
