import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('a tow goes from the net in the kit over its jar to animals counted at the bench', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'plankton net']);
  await person.answers('How deep is it here?', '11.9');
  await person.goes('Plankton net');

  for (const line of ['no holes', 'cup screwed', 'clip shut', 'weight on']) {
    await person.user.click(await screen.findByRole('checkbox', { name: line }));
  }
  await person.user.click((await screen.findAllByRole('button', { name: 'Write it down' }))[0] as HTMLElement);
  await person.chooses('N-1, Plankton net, 80 µm');
  await person.chooses('vertical');

  // Where it begins is proposed; one touch takes it. The programme tows from the thermocline, and today none was looked for.
  await person.user.click(await screen.findByRole('button', { name: /^From a depth of: 10\.9/ }));
  await person.reads('No thermocline today.');
  await person.writes('Line out', '10');
  await person.writes('Lean of the line, °', '0');
  await person.touches('Start');
  await person.touches('Stop here');
  await person.chooses('without a stop');
  await person.chooses('no');
  await person.reads('490.9 L');

  // The jar is a container like any other: its label is known before it is wet.
  await person.user.click(await screen.findByRole('button', { name: /^Fill HAR-2-260812-T1/ }));
  const fill = await screen.findByRole('form', { name: /^Fill HAR-2-260812-T1/ });
  await person.user.click(within(fill).getByRole('radio', { name: 'as asked' }));
  await person.user.click(within(fill).getByRole('radio', { name: 'yes' }));
  await person.touches('Filled, capped, into the cooler');
  await waitFor(() => expect(screen.queryByRole('button', { name: /^Fill HAR-2-260812-T1/ })).toBeNull());

  await person.writes('Made up to, mL', '50');
  await person.writes('Each sub-sample, mL', '1');
  const bench = await screen.findByRole('region', { name: 'At the bench, later' });
  for (const kind of ['copepods', 'copepods', 'water fleas']) {
    await person.user.click((await within(bench).findAllByRole('button', { name: new RegExp(`^${kind}`) }))[0] as HTMLElement);
  }
  await person.user.click((await within(bench).findAllByRole('button', { name: 'one water fleas back' }))[0] as HTMLElement);
  await person.user.click((await within(bench).findAllByRole('button', { name: 'That is all' }))[0] as HTMLElement);
  await person.reads(/Copepods\s*0\.2 per L \(0\.025–0\.74\)/);
});
