/** A set with something in it, or without it. */
export function toggled<Value>(set: ReadonlySet<Value>, value: Value, on: boolean): ReadonlySet<Value> {
  const after = new Set(set);
  if (on) {
    after.add(value);
  } else {
    after.delete(value);
  }
  return after;
}

/** The same of a list, whose order stays. */
export function ticked<Value>(list: readonly Value[] | undefined, value: Value, on: boolean): Value[] {
  const rest = (list ?? []).filter((other) => other !== value);
  return on ? [...rest, value] : rest;
}
