import type { Device, Trigger } from '@nimble-lever/core/devices';
import type { Action, Binding, Command, LogEntry, Page, Program } from '@nimble-lever/core/setup';
import { EntitySchema } from 'typeorm';

/** A set-up without its parts. */
export interface SetUpRow {
  id: string;
  name: string;
  revision: number;
  /** Layouts of other computers, by their names. */
  keyboards: unknown;
  /** The layout that shortcuts of an older version were made on. */
  madeOn: string | null;
}
/** A device as it came with its place in the rig. */
export interface DeviceRow extends Device {
  setUp: string;
  position: number;
}
/** A program; its commands have rows of their own. */
export interface ProgramRow {
  setUp: string;
  id: string;
  position: number;
  name: string;
  /** The name as it must be nobody else's; see `foldName`. */
  nameKey: string;
  keysBy: Program['keysBy'];
  colour: Program['colour'];
  icon: Program['icon'];
  rules: unknown;
}
/** A command of a program, or (program null) a common one. */
export interface CommandRow extends Command {
  setUp: string;
  /** Null for a common command. */
  program: string | null;
  position: number;
}
/** A layer with its place, from the base layer up. */
export interface LayerRow {
  setUp: string;
  id: string;
  position: number;
  name: string;
}
/** A page of a device with its place among all. */
export interface PageRow extends Page {
  setUp: string;
  position: number;
}
/** A profile; its bindings have rows of their own. */
export interface ProfileRow {
  setUp: string;
  id: string;
  name: string | null;
  rules: unknown;
  program: string | null;
  basedOn: string | null;
}
/** A macro or a radial menu, whole. */
export interface PartRow {
  setUp: string;
  id: string;
  position: number;
  name: string;
  body: unknown;
}
/** A binding. What it names stands in columns too, so that the database can hold it to being there. */
export interface BindingRow {
  setUp: string;
  profile: string;
  /** Of a layer or a page; `onLayer` or `onPage` has it too, so that the database can vouch for it. */
  layer: string;
  onLayer: string | null;
  onPage: string | null;
  device: string;
  control: string;
  trigger: Trigger;
  behaviour: Binding['behaviour'];
  /** The command, macro, radial menu or page the action names, so that the database can vouch for it. */
  command: Extract<Action, { kind: 'command' }>['command'] | null;
  macro: Extract<Action, { kind: 'macro' }>['macro'] | null;
  radialMenu: Extract<Action, { kind: 'radial' }>['menu'] | null;
  page: Extract<Action, { kind: 'page' }>['page'];
  face: Binding['face'];
  note: string | null;
}
/** An entry of the log, with what takes it back. */
export interface EditRow {
  setUp: string;
  revision: number;
  id: string;
  /** The version of edits that the two are written in. */
  format: number;
  /** Null where the two are packed with others. */
  edit: unknown;
  inverse: unknown;
  /** How long the two were together, where they are packed: bytes; null where they are not. */
  packed: number | null;
  role: LogEntry['role'];
  of: string | null;
  /** Null for entries from before edits had an author. */
  authorId: string | null;
  authorName: string | null;
  base: number;
  at: Date;
}

/** Columns that several tables share, each said once. */
const setUp = { name: 'set_up', type: 'text', primary: true } as const;
const id = { type: 'text', primary: true } as const;
const text = { type: 'text' } as const;
const nullableText = { type: 'text', nullable: true } as const;
const position = { type: 'int' } as const;
const jsonb = { type: 'jsonb' } as const;
/**
 * A part of a binding's place. Together they are the primary key, so that two bindings of one slot cannot be
 * stored.
 */
const key = (name: string) => ({ name, type: 'text', primary: true }) as const;

/**
 * One row a set-up. `revision` counts its edits; the writer locks this row, so that edits get numbers without
 * gaps.
 */
export const SetUpEntity = new EntitySchema<SetUpRow>({
  name: 'set_ups',
  columns: {
    id,
    name: text,
    revision: { type: 'int' },
    keyboards: jsonb,
    madeOn: { ...nullableText, name: 'made_on' },
  },
});
/** A device with its controls as one document: no query looks inside, and a device is always read whole. */
export const DeviceEntity = new EntitySchema<DeviceRow>({
  name: 'devices',
  columns: {
    setUp,
    id,
    position,
    name: text,
    kind: text,
    width: { type: 'double precision' },
    height: { type: 'double precision' },
    body: jsonb,
    controls: jsonb,
    settings: jsonb,
    descriptor: nullableText,
    model: nullableText,
    battery: { type: 'boolean' },
    memory: { type: 'jsonb', nullable: true },
    panel: { type: 'jsonb', nullable: true },
  },
});
/**
 * A program and its window rules. `name_key` is the name folded, so that the database keeps names apart that
 * a person would not.
 */
export const ProgramEntity = new EntitySchema<ProgramRow>({
  name: 'programs',
  columns: {
    setUp,
    id,
    position,
    name: text,
    nameKey: { ...text, name: 'name_key' },
    keysBy: { ...text, name: 'keys_by' },
    colour: nullableText,
    icon: nullableText,
    rules: jsonb,
  },
});
/**
 * Commands stand in a table of their own, because they are many and change one by one; `program` is null for
 * common ones.
 */
export const CommandEntity = new EntitySchema<CommandRow>({
  name: 'commands',
  columns: {
    setUp,
    id,
    program: nullableText,
    position,
    name: text,
    shortcut: text,
    family: text,
    intent: nullableText,
    keysBy: { ...nullableText, name: 'keys_by' },
    onLayout: { ...jsonb, name: 'on_layout' },
    risky: { type: 'boolean' },
    note: nullableText,
  },
});
/** Layers in the order that decides which wins. */
export const LayerEntity = new EntitySchema<LayerRow>({
  name: 'layers',
  columns: { setUp, id, position, name: text },
});
/** Folders and sets of devices, each device's in the person's order. */
export const PageEntity = new EntitySchema<PageRow>({
  name: 'pages',
  columns: {
    setUp,
    id,
    position,
    device: text,
    kind: text,
    name: text,
    program: nullableText,
    within: nullableText,
    face: { type: 'jsonb', nullable: true },
    showsThrough: { name: 'shows_through', type: 'boolean' },
    follows: { type: 'boolean' },
    basedOn: { ...nullableText, name: 'based_on' },
    grid: { type: 'jsonb', nullable: true },
    picture: { type: 'jsonb', nullable: true },
  },
});
/** Profiles without their bindings, which are rows of their own. */
export const ProfileEntity = new EntitySchema<ProfileRow>({
  name: 'profiles',
  columns: {
    setUp,
    id,
    name: nullableText,
    rules: jsonb,
    program: nullableText,
    basedOn: { ...nullableText, name: 'based_on' },
  },
});
/** Macros: what the database asks about is a column, the steps are one document. */
export const MacroEntity = new EntitySchema<PartRow>({
  name: 'macros',
  columns: { setUp, id, position, name: text, body: jsonb },
});
/** Radial menus, kept like macros. */
export const RadialMenuEntity = new EntitySchema<PartRow>({
  name: 'radial_menus',
  columns: { setUp, id, position, name: text, body: jsonb },
});
/** One row a binding, so that an edit writes one row of thirty thousand and not a document of megabytes. */
export const BindingEntity = new EntitySchema<BindingRow>({
  name: 'bindings',
  columns: {
    setUp,
    profile: key('profile'),
    layer: key('layer'),
    device: key('device'),
    control: key('control'),
    trigger: key('trigger'),
    behaviour: jsonb,
    command: nullableText,
    macro: nullableText,
    radialMenu: { ...nullableText, name: 'radial_menu' },
    page: nullableText,
    onLayer: { ...nullableText, name: 'on_layer' },
    onPage: { ...nullableText, name: 'on_page' },
    face: { type: 'jsonb', nullable: true },
    note: nullableText,
  },
});
/** The log: every edit with its inverse, its author and its moment. It is only ever appended to. */
export const EditEntity = new EntitySchema<EditRow>({
  name: 'edits',
  columns: {
    setUp,
    revision: { type: 'int', primary: true },
    id: { type: 'uuid' },
    format: { type: 'int' },
    edit: { type: 'jsonb', nullable: true },
    inverse: { type: 'jsonb', nullable: true },
    packed: { type: 'int', nullable: true },
    role: text,
    of: { type: 'uuid', nullable: true },
    authorId: { name: 'author_id', type: 'uuid', nullable: true },
    authorName: { ...nullableText, name: 'author_name' },
    base: { type: 'int' },
    at: { type: 'timestamptz' },
  },
});

/** Every table the server has. */
export const ENTITIES = [
  SetUpEntity,
  DeviceEntity,
  ProgramEntity,
  CommandEntity,
  LayerEntity,
  PageEntity,
  ProfileEntity,
  MacroEntity,
  RadialMenuEntity,
  BindingEntity,
  EditEntity,
];
