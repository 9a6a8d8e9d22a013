import type { z } from 'zod';
import type { JsonPath } from '../jsonPath.ts';

/** The path of the very thing an issue is about: of a field that is not known, the field. */
export function issuePath(issue: z.core.$ZodIssue): JsonPath {
  if (issue.code !== 'unrecognized_keys') return issue.path;
  const [key] = issue.keys;
  return key === undefined ? issue.path : [...issue.path, key];
}
