import { z } from 'zod';
import { controlSchema, deviceSchema, idSchema, nameSchema, panelPictureSchema } from '../devices/index.ts';
import { engineEventSchema } from '../engine/index.ts';
import { faceSchema } from '../setup/index.ts';
import { DESK_ABILITIES, deskAbilitySchema } from './abilities.ts';
import { usesSchema } from './uses.ts';

/** The largest message that is taken: bytes. */
export const MOST_MESSAGE_BYTES = 65_536;
/** How many messages a second one sender may send. */
export const MOST_MESSAGES = 2000;
/** A remote has at most so many devices with it. */
export const MOST_DEVICES = 20;

/** What a desk is: the practice desk of a page, or a computer. */
export const DESK_KINDS = ['practice', 'computer'] as const;
/** A place with windows that strokes go to. */
export const deskSchema = z.strictObject({
  id: z.uuid(),
  name: nameSchema,
  kind: z.enum(DESK_KINDS),
  /** What it can do with what is sent to it. */
  can: z.array(deskAbilitySchema).max(DESK_ABILITIES.length),
});
/** A desk as remotes are told of it. */
export type Desk = z.infer<typeof deskSchema>;

/** What a remote is told: how its devices look and what they show, or what comes of what it does. */
export const WATCHES = ['panel', 'account'] as const;
/** What takes part at a desk from elsewhere, and what it has with it. */
export const remoteSchema = z.strictObject({
  id: z.uuid(),
  name: nameSchema,
  devices: z.array(idSchema).max(MOST_DEVICES),
  watches: z.enum(WATCHES).default('panel'),
  /** What it puts on for as long as it is there; null for nothing. */
  uses: usesSchema.nullable().default(null),
});
/** A remote as its desk is told of it. */
export type Remote = z.infer<typeof remoteSchema>;

const [down, up, turn, position] = engineEventSchema.options;
/** What a remote may do: use controls of the devices it has with it. Its time stands beside it. */
export const inputSchema = z.discriminatedUnion('kind', [
  down.omit({ t: true }),
  up.omit({ t: true }),
  turn.omit({ t: true }),
  position.omit({ t: true }),
]);
/** A use of a control, without its time. */
export type Input = z.infer<typeof inputSchema>;

/** A device as a remote draws it: nothing of what is bound. */
export const panelSchema = deviceSchema
  .pick({ id: true, name: true, width: true, height: true, body: true })
  .extend({
    controls: z.array(
      controlSchema.pick({
        id: true,
        name: true,
        kind: true,
        shape: true,
        cap: true,
        canPress: true,
        rotor: true,
        spring: true,
        slider: true,
        across: true,
        cell: true,
      }),
    ),
    /** Under the controls. */
    picture: panelPictureSchema.nullable(),
    /** From where it is read: millimetres. */
    distance: z.number().positive(),
  });
/** A device as a remote draws it. */
export type Panel = z.infer<typeof panelSchema>;

/** What a control shows at the moment. */
export const shownFaceSchema = faceSchema.extend({
  /** What it does, where the face has no label. */
  does: z.string(),
  on: z.boolean(),
  queued: z.int().min(0),
});
/** What a control shows at the moment. */
export type ShownFace = z.infer<typeof shownFaceSchema>;

/** What a desk shows on a device. Only what changed is told; a face or a value that is null is none any more. */
export const showsSchema = z.strictObject({
  /** The program in front, by name; null where none is. */
  front: z.string().nullable().optional(),
  /** The pages that are on, by name. */
  pages: z.array(z.string()).optional(),
  faces: z.record(idSchema, shownFaceSchema.nullable()).optional(),
  /** Where sliders and rings stand. */
  values: z.record(idSchema, z.number().nullable()).optional(),
  /** The same from left to right, of those that slide two ways. */
  across: z.record(idSchema, z.number().nullable()).optional(),
  /** Controls that are down, whoever holds them. */
  down: z.array(idSchema).optional(),
});
/** What a desk shows on a device, or what changed of it. */
export type Shows = z.infer<typeof showsSchema>;
/** All that a desk shows on a device. */
export interface AllShown {
  readonly front: string | null;
  readonly pages: string[];
  readonly faces: Record<string, ShownFace>;
  readonly values: Record<string, number>;
  readonly across: Record<string, number>;
  readonly down: string[];
}

/** A text that a desk puts into words; cut where it would be longer. */
const wordsSchema = z.string().max(400);
/** One thing that happened at a desk, in words: who did what, what was sent, and why. */
export const accountLineSchema = z.strictObject({
  subject: wordsSchema,
  did: wordsSchema,
  sent: z.array(wordsSchema).max(12),
  why: wordsSchema,
});
/** One thing that happened at a desk, in words. */
export type AccountLine = z.infer<typeof accountLineSchema>;
/** A window of a desk. */
export const openWindowSchema = z.strictObject({ title: wordsSchema, isInFront: z.boolean() });
/** A window of a desk. */
export type OpenWindow = z.infer<typeof openWindowSchema>;
/** So many lines, or windows, are told at a time. */
const MOST_LINES = 20;

/** The number of an input, so that the remote knows which was carried out. */
const seq = z.int().min(0);
/** By the remote's own clock: milliseconds. */
const t = z.number().min(0).max(Number.MAX_SAFE_INTEGER);
const remote = z.uuid();

/** What a page says to the server: as a desk, or as a remote. */
export const saidSchema = z.discriminatedUnion('kind', [
  /** It is a desk from now on, under this id. */
  z.strictObject({ kind: z.literal('here'), desk: deskSchema }),
  /** It is none any more. */
  z.strictObject({ kind: z.literal('away') }),
  /** More of its controls may follow: in parts, so that each message is small. */
  z.strictObject({ kind: z.literal('panel'), remote, panel: panelSchema, more: z.boolean() }),
  z.strictObject({ kind: z.literal('shows'), remote, device: idSchema, shows: showsSchema }),
  z.strictObject({ kind: z.literal('done'), remote, seq }),
  /** What happened, oldest first, to one that watches that. */
  z.strictObject({ kind: z.literal('account'), remote, lines: z.array(accountLineSchema).max(MOST_LINES) }),
  /** The windows that are open, all of them. */
  z.strictObject({ kind: z.literal('windows'), remote, windows: z.array(openWindowSchema).max(MOST_LINES) }),
  /** It is told which desks there are, now and whenever that changes. */
  z.strictObject({ kind: z.literal('which-desks') }),
  /** It takes part at a desk; null: the one that was used last. Where there is none, as soon as there is. */
  z
    .strictObject({
      kind: z.literal('join'),
      desk: z.uuid().nullable(),
      name: nameSchema,
      devices: remoteSchema.shape.devices,
      watches: remoteSchema.shape.watches,
      uses: remoteSchema.shape.uses,
    })
    // It has something with it, or puts something on.
    .refine(({ devices, uses }) => devices.length > 0 || uses !== null),
  z.strictObject({ kind: z.literal('leave') }),
  z.strictObject({ kind: z.literal('input'), seq, t, input: inputSchema }),
]);
/** What a page says to the server. */
export type Said = z.input<typeof saidSchema>;
/** The same, as the server takes it. */
export type Taken = z.infer<typeof saidSchema>;

/** What the server says about desks, in its own words or a desk's or a remote's. */
export const heardSchema = z.discriminatedUnion('kind', [
  /** To a desk. */
  z.object({ kind: z.literal('remote-joined'), remote: remoteSchema }),
  z.object({ kind: z.literal('remote-left'), remote }),
  z.object({ kind: z.literal('remote-input'), remote, seq, t, input: inputSchema }),
  /** To a remote. */
  z.object({ kind: z.literal('joined'), desk: deskSchema }),
  /** The desk went, or there is none; it is joined again as soon as there is one. */
  z.object({ kind: z.literal('gone') }),
  z.object({ kind: z.literal('panel'), panel: panelSchema, more: z.boolean() }),
  z.object({ kind: z.literal('shows'), device: idSchema, shows: showsSchema }),
  z.object({ kind: z.literal('done'), seq }),
  z.object({ kind: z.literal('account'), lines: z.array(accountLineSchema) }),
  z.object({ kind: z.literal('windows'), windows: z.array(openWindowSchema) }),
  /** The one that was used last comes first. */
  z.object({ kind: z.literal('desks'), desks: z.array(deskSchema) }),
  z.object({ kind: z.literal('hello'), version: z.number() }),
  z.object({ kind: z.literal('refused'), detail: z.string() }),
]);
/** What the server says about desks. */
export type Heard = z.infer<typeof heardSchema>;

/** Whom each kind of message is for: a desk, a remote, or whoever has the connection. */
const HEARD_BY = {
  'remote-joined': 'desk',
  'remote-left': 'desk',
  'remote-input': 'desk',
  joined: 'remote',
  gone: 'remote',
  panel: 'remote',
  shows: 'remote',
  done: 'remote',
  account: 'remote',
  windows: 'remote',
  desks: 'page',
  hello: 'page',
  refused: 'page',
} as const satisfies Record<Heard['kind'], 'desk' | 'remote' | 'page'>;
type HeardBy<Who> = {
  [Kind in Heard['kind']]: (typeof HEARD_BY)[Kind] extends Who ? Extract<Heard, { kind: Kind }> : never;
}[Heard['kind']];
/** What a desk is told of its remotes. */
export type ForDesk = HeardBy<'desk'>;
/** What a remote is told, by its desk or of it. */
export type ForRemote = HeardBy<'remote'>;

/** Whether a message is for a desk. */
export function isForDesk(message: Heard): message is ForDesk {
  return HEARD_BY[message.kind] === 'desk';
}

/** Whether a message is for a remote. */
export function isForRemote(message: Heard): message is ForRemote {
  return HEARD_BY[message.kind] === 'remote';
}
