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
