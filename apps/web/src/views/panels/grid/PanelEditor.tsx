import type { Device } from '@nimble-lever/core/devices';
import type { PanelPage } from '@nimble-lever/core/panels';
import type { HTMLAttributes } from 'react';
import { PageDrawing } from '../PageDrawing.tsx';
import type { PageFace } from '../pageFaces.ts';
import { GridOver, GridUnder } from './GridLayers.tsx';
import { PanelTools } from './PanelTools.tsx';
import { usePanelEdits } from './usePanelEdits.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly panel: PanelPage;
  /** With the controls that are on the page. */
  readonly device: Device;
  readonly profile: string;
  readonly selected: readonly string[];
  readonly faces: ReadonlyMap<string, PageFace>;
  readonly said: string;
  /** Pictures that are let go on cells. */
  readonly pictureHandlers: Pick<HTMLAttributes<HTMLDivElement>, 'onDrop' | 'onDragOver' | 'onPaste'>;
  readonly onSelected: (selected: readonly string[]) => void;
  readonly onSaid: (said: string) => void;
  readonly onFolder: () => void;
  readonly onEdit: () => void;
}

/** A page of a panel: cells drawn on its grid, and what can be done with it. */
export function PanelEditor(props: Props) {
  const { panel, device, profile, selected, faces, said, pictureHandlers, ...acts } = props;
  const edits = usePanelEdits({ panel, selected, ...acts });
  const { hands } = edits;
  return (
    <>
      <PanelTools
        panel={panel}
        kind={edits.kind}
        onKind={edits.setKind}
        selected={selected}
        onAlign={edits.align}
      />
      <PageDrawing
        device={device}
        page={panel.page}
        profile={profile}
        selected={selected}
        faces={faces}
        dragged={null}
        cursor={hands.cursor}
        under={<GridUnder {...panel} />}
        over={
          <GridOver
            panel={{ ...panel, device }}
            selected={selected}
            faces={faces}
            dragging={hands.dragging}
          />
        }
        handlers={{
          ...hands.handlers,
          onPaste: pictureHandlers.onPaste,
          onDragOver: (event) => {
            edits.pictureHandlers.onDragOver(event);
            pictureHandlers.onDragOver?.(event);
          },
          onDrop: (event) => {
            edits.pictureHandlers.onDrop(event);
            pictureHandlers.onDrop?.(event);
          },
        }}
      />
      <footer>
        <p className="said" role="status">
          {edits.wrong ?? said}
        </p>
        <p>{WORDS.hint}</p>
        <p>{WORDS.hintKeys}</p>
      </footer>
    </>
  );
}
