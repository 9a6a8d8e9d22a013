/** Why a single value is not taken, where its kind and its size do not say it already. */
export type ValueProblem =
  | 'address'
  | 'descriptor'
  | 'heard-id'
  | 'id'
  | 'key-code'
  | 'line'
  | 'osc-address'
  | 'pin-one'
  | 'page-open'
  | 'page-named'
  | 'picture'
  | 'picture-data'
  | 'range-order'
  | 'rule-empty'
  | 'shape-path'
  | 'text'
  | 'thresholds-order'
  | 'ticks-zero'
  | 'too-many-fields';

/** The reason as a check's message, by which it is put into words later. */
export function because(problem: ValueProblem): string {
  return problem;
}
