import { z } from 'zod';
import { because } from './valueProblem.ts';

/** What a computer hears of a real control: the source, then what it calls it, for instance `midi/1/note/60`. */
export const heardIdSchema = z
  .string()
  .max(120)
  .regex(/^(mouse|pen|key|gamepad|midi|hid)\/[^\s\p{Cc}\p{Cs}]+$/u, because('heard-id'));
