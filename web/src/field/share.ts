/** The newer value, with every part that is as before being the very part of before: what has not changed need not be drawn again. */
export function share<Value>(before: unknown, now: Value): Value {
  if (before === now || before === null || now === null || typeof before !== 'object' || typeof now !== 'object') {
    return now;
  }
  if (Array.isArray(before) !== Array.isArray(now)) {
    return now;
  }
  const old = before as Record<string, unknown>;
  const next = now as Record<string, unknown>;
  const keys = Object.keys(next);
  let same = keys.length === Object.keys(old).length;
  for (const key of keys) {
    const shared = share(old[key], next[key]);
    next[key] = shared;
    same &&= shared === old[key] && key in old;
  }
  return same ? (before as Value) : now;
}
