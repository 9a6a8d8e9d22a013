/**
 * A record with one key more, or another value for it. Copied by a loop: with a key known only now that is a few
 * times faster than spreading.
 */
export function withEntry<Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
  value: Value,
): Readonly<Record<string, Value>> {
  const copy: Record<string, Value> = {};
  for (const other in record) copy[other] = record[other] as Value;
  copy[key] = value;
  return copy;
}

/** A record without one of its keys. */
export function without<Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
): Readonly<Record<string, Value>> {
  if (!(key in record)) return record;
  const others: Record<string, Value> = {};
  for (const other in record) if (other !== key) others[other] = record[other] as Value;
  return others;
}
