import type { Control } from '@nimble-lever/core/devices';
import { type FilePart, readSetupDocument, type SetupFile } from '@nimble-lever/core/formats';
import type { Layout } from '@nimble-lever/core/keys/layouts';
import { type Edit, picturesIn, type Setup } from '@nimble-lever/core/setup';
import { typingReport } from '@nimble-lever/core/setup/shortcuts';
import {
  type Choice,
  type ComingPart,
  editTo,
  fileText,
  type Incoming,
  type Mapping,
  planIncoming,
  proposeMapping,
  takeIn,
  tooLargeWords,
} from '@nimble-lever/core/vault';
import {
  controlUseWords,
  deviceName,
  formatProblemWords,
  macroName,
  profileName,
  programName,
  refusalWords,
} from '@nimble-lever/core/words';

/** A device that comes, as far as it is asked what becomes of it. */
export interface ComingDevice {
  readonly id: string;
  readonly name: string;
  readonly model: string | null;
  readonly controls: readonly Pick<Control, 'id' | 'name' | 'kind' | 'shape' | 'cell'>[];
}

/** What is done with a file before anything is asked, one after the other. */
export type ReadingStep = 'read' | 'check' | 'compare';

/** What the worker is asked: to read a file, to work out what it brings, to make an edit of what was chosen. */
export type TakeInAsked =
  | { readonly kind: 'read'; readonly file: File; readonly now: Setup; readonly layout: Layout }
  | { readonly kind: 'plan'; readonly now: Setup; readonly mapping: Mapping }
  | { readonly kind: 'take'; readonly now: Setup; readonly choices: ReadonlyMap<string, Choice> };

/** What it answers. */
export type TakeInAnswer =
  /** What it is at, while a file is read. */
  | { readonly kind: 'step'; readonly step: ReadingStep }
  /** Why a file is not taken, a line each. */
  | { readonly kind: 'refused'; readonly why: readonly string[] }
  | {
      readonly kind: 'planned';
      /** What the set-up that it is from is called, and the part of it where it is only one. */
      readonly name: string;
      readonly part: string | null;
      readonly devices: readonly ComingDevice[];
      readonly mapping: Mapping;
      readonly parts: readonly ComingPart[];
      readonly same: number;
      /** What has no place on the devices here, in words. */
      readonly lost: readonly string[];
      /** Shortcuts that this keyboard cannot type, in our notation, each once. */
      readonly untypeable: readonly string[];
    }
  | {
      readonly kind: 'taken';
      /** Null where nothing would change. */
      readonly edit: Edit | null;
      readonly along: number;
      /** Pictures that it names, as `data:` URLs by their ids. */
      readonly pictures: Readonly<Record<string, string>>;
    };

let read: { readonly file: SetupFile; readonly layout: Layout } | null = null;
let planned: Incoming | null = null;
const answer = (each: TakeInAnswer): void => postMessage(each);
const refuse = (...why: readonly string[]): void => answer({ kind: 'refused', why });

addEventListener('message', ({ data }: MessageEvent<TakeInAsked>) => {
  switch (data.kind) {
    case 'read':
      void readFile(data.file, data.layout, data.now);
      return;
    case 'plan':
      plan(data.now, data.mapping);
      return;
    case 'take':
      take(data.now, data.choices);
  }
});

async function readFile(file: File, layout: Layout, now: Setup): Promise<void> {
  const why = tooLargeWords(file.size);
  const unpacked = why === null ? fileText(new Uint8Array(await file.arrayBuffer())) : { why };
  if ('why' in unpacked) return refuse(unpacked.why);
  answer({ kind: 'step', step: 'check' });
  const document = readSetupDocument(unpacked.text);
  if (!document.ok) return refuse(...document.problem.map(formatProblemWords));
  read = { file: document.value, layout };
  answer({ kind: 'step', step: 'compare' });
  plan(now, proposeMapping(now, document.value.setup));
}

function plan(now: Setup, mapping: Mapping): void {
  if (!read) return;
  const { file, layout } = read;
  planned = planIncoming(now, file, mapping);
  const { setup, parts, same, lost } = planned;
  const keys = typingReport(setup, layout).untypeable.map(({ place }) => place.shortcut);
  answer({
    kind: 'planned',
    name: file.setup.name,
    part: file.part && partName(file.setup, file.part),
    devices: file.setup.devices.map(({ id, name, model, controls }) => ({ id, name, model, controls })),
    mapping,
    parts,
    same,
    lost: lost.map(
      (slot) => `${controlUseWords(file.setup, slot)} in ${profileName(file.setup, slot.profile)}`,
    ),
    untypeable: [...new Set(keys)],
  });
}

/** What the file is about, by its name. */
function partName(setup: Setup, { kind, id }: FilePart): string {
  switch (kind) {
    case 'device':
      return deviceName(setup, id);
    case 'program':
      return programName(setup, id);
    case 'profile':
      return profileName(setup, id);
    case 'macro':
      return macroName(setup, id);
  }
}

function take(now: Setup, choices: ReadonlyMap<string, Choice>): void {
  if (!read || !planned) return;
  const taken = takeIn(now, planned, choices);
  if (!taken.ok) {
    refuse(refusalWords(taken.problem));
    return;
  }
  const way = editTo(now, taken.value.setup);
  if (way.kind === 'too-many' || way.kind === 'no-way') {
    refuse('These are more changes than can be made at once. Take in less.');
    return;
  }
  const before = picturesIn(now);
  const { pictures } = read.file;
  const needed = [...picturesIn(taken.value.setup)].filter((id) => !before.has(id));
  answer({
    kind: 'taken',
    edit: way.kind === 'edit' ? way.edit : null,
    along: taken.value.along.length,
    pictures: Object.fromEntries(needed.flatMap((id) => (pictures[id] ? [[id, pictures[id]] as const] : []))),
  });
}
