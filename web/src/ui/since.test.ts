import { expect, test } from 'vitest';
import { since } from './since';

test.each([
  ['2026-08-12T10:00:00+01:00', '2026-08-12T10:59:59+01:00', '59 min'],
  ['2026-08-12T10:00:00+01:00', '2026-08-12T13:20:00+01:00', '3 h 20 min'],
  // The clocks go back in between: an hour more has passed than they show.
  ['2026-10-25T00:30:00+01:00', '2026-10-25T01:30:00+00:00', '2 h 0 min'],
  ['2026-08-01T10:00:00+01:00', '2026-08-12T10:00:00+01:00', '11 days'],
  ['2026-08-12T10:00:00+01:00', '2026-08-12T09:00:00+01:00', '0 min'],
])('from %s to %s are %s', (from, to, words) => expect(since(from, to)).toBe(words));
