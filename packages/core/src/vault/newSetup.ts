import { z } from 'zod';
import { CATALOGUE, fromCatalogue, idSchema, nameSchema } from '../devices/index.ts';
import { planStart, readyEdit, STARTING_PROFILES } from '../programs/index.ts';
import {
  applyEdit,
  BASE_LAYER,
  demoSetup,
  EVERYWHERE,
  newProfile,
  revisionSchema,
  type Setup,
} from '../setup/index.ts';

/** How many devices a set-up can begin with. */
const MOST_MODELS = 20;

/** What a new set-up begins as. */
export const beginningSchema = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('empty') }),
  z.strictObject({ from: z.literal('demo') }),
  /** Devices of the catalogue, each with its starting profile everywhere. */
  z.strictObject({
    from: z.literal('ready-made'),
    models: z
      .array(z.enum(CATALOGUE.map(({ id }) => id)))
      .min(1)
      .max(MOST_MODELS),
  }),
  /** As another set-up was right after an edit; null: as it is now. */
  z.strictObject({ from: z.literal('copy'), of: idSchema, revision: revisionSchema.nullable() }),
]);
/** What a new set-up begins as. */
export type Beginning = z.infer<typeof beginningSchema>;

/** A set-up to be made. */
export const newSetUpSchema = z.strictObject({ name: nameSchema, begin: beginningSchema });

/** A set-up with nothing in it but what there always is. */
export function bareSetup(name: string): Setup {
  const { layers, madeOn } = demoSetup();
  return {
    name,
    keyboards: {},
    madeOn,
    devices: [],
    commonCommands: [],
    programs: [],
    layers: layers.filter(({ id }) => id === BASE_LAYER),
    pages: [],
    profiles: { [EVERYWHERE]: newProfile({ id: EVERYWHERE, program: null }) },
    macros: [],
    radialMenus: [],
    unreadable: [],
  };
}

/** The same with the commands that most programs have: what a person begins with. */
export function emptySetup(name: string): Setup {
  return { ...bareSetup(name), commonCommands: demoSetup().commonCommands };
}

/** A set-up with devices of the catalogue, each doing everywhere what its kind does to begin with. */
export function readyMadeSetup(name: string, models: readonly string[]): Setup {
  const rig = models.flatMap((model, i) => {
    const isSecond = models.indexOf(model) < i;
    const device = fromCatalogue(model, isSecond ? `${model}-${i + 1}` : model);
    return device ? [isSecond ? { ...device, name: `${device.name} ${i + 1}` } : device] : [];
  });
  let setup: Setup = { ...emptySetup(name), devices: rig };
  for (const { id, kind } of rig) {
    const start = STARTING_PROFILES.find(({ device }) => device === kind);
    if (!start) continue;
    const edit = readyEdit(planStart(setup, { profile: EVERYWHERE, device: id }, start));
    const applied = edit && applyEdit(setup, edit);
    if (applied?.ok) setup = applied.value.setup;
  }
  return setup;
}
