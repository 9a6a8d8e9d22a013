import { Problem } from '../problem/problem.ts';

/** Not a mistake of the page’s: another may have removed it. */
export function unknownSetUp(id: string): Problem {
  return new Problem(404, 'No such set-up', `There is no set-up “${id}”.`);
}
