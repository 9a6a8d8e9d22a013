/** `Omit` for each member of a union by itself, so that the union stays one. */
export type DistributiveOmit<Union, Field extends PropertyKey> = Union extends unknown
  ? Omit<Union, Field>
  : never;
