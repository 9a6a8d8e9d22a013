/** The outcome of work that can be refused: a value, or a problem as data. */
export type Result<Value, Problem> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly problem: Problem };

/** Wraps a value as a success. */
export function ok<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

/** Wraps a problem as a refusal. */
export function refuse<Problem>(problem: Problem): { readonly ok: false; readonly problem: Problem } {
  return { ok: false, problem };
}
