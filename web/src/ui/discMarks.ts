import type { Schemas } from '../api/client';

/** What a mark of the disc is called on the sheet and on the column. */
export const DISC_MARKS: Record<Schemas['DiscEvent'], { label: string; short: string; question: string }> = {
  disappeared: { label: 'Lost at', short: 'lost', question: 'where was it lost?' },
  reappeared: { label: 'Seen again at', short: 'seen', question: 'where did you see it again?' },
  midpoint: {
    label: 'Middle of the fold',
    short: 'middle',
    question: 'where is the middle of the fold?',
  },
};
