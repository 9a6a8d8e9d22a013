import { z } from 'zod';

/** What a desk may be able to do with what is sent to it. */
export const DESK_ABILITIES = ['keys', 'text', 'pointer', 'menus', 'messages', 'programs'] as const;
export const deskAbilitySchema = z.enum(DESK_ABILITIES);
/** One thing that a desk may be able to do. */
export type DeskAbility = z.infer<typeof deskAbilitySchema>;

const ABILITY_WORDS = {
  keys: 'press keys',
  text: 'type text',
  pointer: 'use the pointer',
  menus: 'choose items of menus',
  messages: 'send control messages',
  programs: 'bring programs to the front',
} as const satisfies Record<DeskAbility, string>;

/** What a desk cannot do, each in a few words that go with “cannot”. */
export function cannotDo(can: readonly DeskAbility[]): readonly string[] {
  return DESK_ABILITIES.filter((ability) => !can.includes(ability)).map((ability) => ABILITY_WORDS[ability]);
}
