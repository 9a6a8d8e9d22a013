import { type Legends, type Platform, placeByLabel } from '@nimble-lever/core/keys';
import { WORDS_ABROAD } from '@nimble-lever/core/keys/abroad';
import {
  type Columns,
  findColumns,
  type ListText,
  type PlannedLine,
  planImport,
  readList,
} from '@nimble-lever/core/programs';
import type { Setup } from '@nimble-lever/core/setup';

/** A list to be read, for which commands, on whose keyboard. */
export interface ListAsked {
  readonly text: string;
  readonly setup: Setup;
  /** Null for the commands that mean the same in most programs. */
  readonly program: string | null;
  /** What its columns hold; null to find that out. */
  readonly columns: Columns | null;
  readonly proposes: boolean;
  readonly platform: Platform;
  readonly legends: Legends | null;
}

/** How far it is, and at last what came of it. */
export type ListAnswer =
  | { readonly kind: 'progress'; readonly done: number; readonly all: number }
  | {
      readonly kind: 'planned';
      readonly columns: Columns;
      readonly form: ListText['form'];
      readonly problems: ListText['problems'];
      readonly planned: readonly PlannedLine[];
    };

addEventListener('message', ({ data }: MessageEvent<ListAsked>) => {
  const { text, setup, program, proposes, platform, legends } = data;
  const at = {
    platform,
    placeOf: (label: string) => placeByLabel(legends, label),
    words: WORDS_ABROAD,
  };
  const answer = (each: ListAnswer) => postMessage(each);
  const list = readList(text, at);
  const columns = data.columns ?? findColumns(list.lines, at);
  const steps = planImport(setup, list, { program, columns, proposes, at });
  for (;;) {
    const step = steps.next();
    if (!step.done) answer({ kind: 'progress', done: step.value, all: list.lines.length });
    else {
      const { form, problems } = list;
      return answer({ kind: 'planned', columns, form, problems, planned: step.value });
    }
  }
});
