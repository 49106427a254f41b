/** Random numbers that a seed gives again: mulberry32. */
export function randomFrom(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    below: (most) => Math.floor(next() * most),
    chance: (share) => next() < share,
    pick: (list) => list[Math.floor(next() * list.length)],
    shuffled: (list) => {
      const all = [...list];
      for (let i = all.length - 1; i > 0; i--) {
        const k = Math.floor(next() * (i + 1));
        [all[i], all[k]] = [all[k], all[i]];
      }
      return all;
    },
  };
}
