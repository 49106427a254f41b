import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const sun: Calculator = {
  key: 'sun',
  title: 'Sun',
  what: 'How high and where the sun stands, and when it is highest.',
  boxes: [
    number('latitudeDeg', 'Latitude, north positive', '°', '54.52'),
    number('longitudeDeg', 'Longitude, east positive', '°', '-2.98'),
    { key: 'at', label: 'Day and local time', kind: 'text', initial: '2026-08-12 10:30' },
    { key: 'offset', label: 'Offset from UTC', kind: 'text', initial: '+01:00' },
  ],
  ask: async (values) => {
    const result = await ask('sun', {
      latitudeDeg: values.number('latitudeDeg') ?? 0,
      longitudeDeg: values.number('longitudeDeg') ?? 0,
      at: instant(values.text('at'), values.text('offset')),
    });
    return { outcomes: [{ label: 'the sun', text: result.text, working: result.working }], findings: [] };
  },
};

/** Day, time and offset as one instant. */
export function instant(at: string, offset: string): string {
  const text = `${at.trim().replace(' ', 'T')}:00${offset.trim()}`;
  if (Number.isNaN(Date.parse(text))) {
    throw new Error(`“${at} ${offset}” is not a time. Write the day as 2026-08-12, the time as 10:30, the offset as +01:00.`);
  }
  return text;
}
