import type { Page } from '@playwright/test';
import { clean } from './clean';
import { Person } from './person';
import { ProtocolDay } from './protocolDay';
import { expect, test } from './server';

/** A visit of what is due at a station, on the page of its first protocol. */
async function begins(page: Page, address: string, station: string, due: string[], sounding?: string): Promise<Person> {
  const person = new Person(page, address);
  await page.context().grantPermissions(['geolocation']);
  await person.opens('sampler');
  await person.startsAt(station);
  await person.begins(due);
  if (sounding) {
    await page.getByRole('button', { name: 'On to the sounding' }).click();
    await person.answers('How deep is it here?', sounding);
  }
  return person;
}

// Each has a server of its own.
test.describe.configure({ mode: 'parallel' });

const GLOVED = ['gloves are on', 'no hole in them'];
const CLEANED = ['cleaned', 'drained', 'dried, or on its way to dry'];

test('net, grab and rake on Pell Tarn: nothing stirs before the water, a second try counts, an invader is told', {
  tag: '@both',
}, async ({ page, server }) => {
  test.setTimeout(240_000);
  const person = await begins(
    page,
    server.address,
    'Pell Tarn, East shore',
    ['plankton net', 'bottom grab', 'plant rake'],
    '2.2',
  );
  await person.goes('Plankton net');
  const net = new ProtocolDay(page);
  await net.does(
    ['Looked over', ['no holes', 'cup screwed', 'clip shut', 'weight on']],
    ['Net', 'N-1, Plankton net, 80 µm'],
    ['Direction', 'vertical'],
    ['From a depth of', '1.2 m'],
    ['Line out', '1.2 m'],
    ['Lean of the line', '0'],
    ['Haul', { seconds: 3 }],
    ['It came up', 'without a stop'],
    ['The net touched the bottom', 'no'],
    ['Washed down from outside', 3],
    ['Washed with', 'filtered water'],
    ['It drained', 'freely'],
    ['Gloves', GLOVED],
    ['Cup rinsed into the jar', 3],
  );
  await net.fills();
  await expect(page.getByText(/^58\.9 L/).first()).toBeVisible();
  await clean(page, 'a tow');

  await person.goes('Bottom grab');
  const shore = new ProtocolDay(page, page.getByRole('region', { name: 'at the shore' }).first());
  await new ProtocolDay(page).does(
    ['Grab', 'G-1, Bottom grab, 225 cm²'],
    ['Looked over', ['safety pin', 'spring pin', 'hinges', 'knot']],
  );
  await shore.does(['Depth of the water here', '0.2 m'], ['The jaws came up', 'held open']);
  await expect(page.getByText(/Open jaws|held open/).first()).toBeVisible();
  await shore.triesAgain('Depth of the water here', '0.2 m');
  await shore.does(['The jaws came up', 'closed'], ['How full', 'half'], ['The bottom is', ['mud']], ['It smells of', 'nothing']);
  await shore.does(['Some went over the rim of the sieve', 'no'], ['Gloves', GLOVED]);
  await shore.fills();
  await clean(page, 'a grab');

  await person.goes('Plant rake');
  const throwOne = new ProtocolDay(page, page.getByRole('region', { name: '1 m' }));
  await throwOne.does(
    ['Side', 'stern'],
    ['Depth of the water here', '1.0 m'],
    ['It came up', 'good'],
    ['How full is the rake', '3 much'],
  );
  await page.getByRole('region', { name: '1 m' }).getByRole('button', { name: 'waterweed', exact: true }).click();
  await page
    .getByRole('group', { name: /^waterweed: how much/ })
    .getByText('3 much', { exact: true })
    .click();
  await throwOne.does(['It is', 'live']);
  await expect(page.getByText(/Plants at 1\.0 m/).first()).toBeVisible();
  await new ProtocolDay(page).does(['Before another water', CLEANED]);
  await clean(page, 'a throw of the rake');
});

test('a bridge and a gauged inlet: what touched the bed is not poured, and flow becomes a load', { tag: '@both' }, async ({
  page,
  server,
}) => {
  test.setTimeout(240_000);
  const person = await begins(page, server.address, 'Harrowmere, Outlet bridge', ['sampler from a bridge']);
  await person.goes('Sampler from a bridge');
  const bridge = new ProtocolDay(page);
  await page.getByText('V-1, Upright bottle sampler, 2.2 L', { exact: true }).click();
  await bridge.does(
    ['Before anything goes over the rail', ['vest on', 'lookout, or a closed footway', 'a lawful place to stand']],
    ['The staff shows', '0.42 m'],
    ['Looked over', ['clamps tight', 'rope sound at the trip', 'drain tube shut', 'seals firm', 'messenger and carrier']],
    ['Coming down the stream', 'nothing'],
    ['Dips to rinse the sampler', 3],
    ['Depth of the sampler under the surface', '0.3 m'],
    ['Height of the hand above the water', '6 m'],
    ['The trip was felt', 'yes'],
    ['It came up', 'it touched the bed'],
  );
  await expect(page.getByText(/touched the bed/).first()).toBeVisible();
  await clean(page, 'a cast from a bridge');
  await bridge.triesAgain('Coming down the stream', 'nothing');
  await bridge.does(
    ['Dips to rinse the sampler', 3],
    ['Depth of the sampler under the surface', '0.3 m'],
    ['Height of the hand above the water', '6 m'],
    ['The trip was felt', 'yes'],
    ['It came up', 'closed'],
  );
  await bridge.fills();

  await page.goto(server.address);
  await person.startsAt('Harrowmere, Inlet');
  await person.begins(['tributary']);
  await person.goes('Tributary');
  const inlet = new ProtocolDay(page);
  await inlet.does(
    ['The water stands', 'to the knee'],
    ['The staff shows', '0.31 m'],
    ['Waited until it is clear', { seconds: 60 }],
    ['Plain bottle rinsed, behind you', 3],
    ['Sediment came into the bottle', 'no'],
  );
  await inlet.fills();
  await inlet.fills();
  await inlet.does(
    ['Thermometer in the stream', '14.2'],
    ['Tape at the left edge of the water', '0.2'],
    ['Tape at the right edge', '3.0'],
  );
  for (const [tape, depth, speed] of [
    ['1.0', '0.24', '0.28'],
    ['1.6', '0.36', '0.43'],
    ['2.2', '0.22', '0.25'],
  ] as const) {
    await inlet.does(['Tape', tape], ['Depth', `${depth} m`], ['Speed at 0.6 of the depth from the surface', speed]);
  }
  await expect(page.getByRole('figure', { name: /1\.6 m: 0\.36 m deep/ })).toBeVisible();
  await expect(page.getByText(/of 7 verticals/).first()).toBeVisible();
  await clean(page, 'a gauged stream');
});

test('a Wednesday at Skarn: bacteria, sea water with the refractometer, the surf', { tag: '@both' }, async ({ page, server }) => {
  test.setTimeout(300_000);
  const person = await begins(page, server.address, 'Skarn Sound, Beach', ['beach bacteria']);
  await person.goes('Beach bacteria');
  const beach = new ProtocolDay(page);
  await beach.does(
    ['People in the water', '4'],
    ['Birds', '12'],
    ['Dogs', '1'],
    ['A drain on the beach', 'dry'],
    ['Labelled dry; the station on the sheet, too', 'yes'],
    ['Depth where you stand', '0.5 m'],
    ['Waited', { seconds: 60 }],
    ['Scoops', 1],
  );
  await beach.fills('no');
  await beach.does(['Air, dry thermometer', '17.5'], ['Water', '14.2']);
  await clean(page, 'bacteria of a beach');

  await page.goto(server.address);
  await person.startsAt('Skarn Sound, Pier head');
  await person.begins(['seawater bottle', 'refractometer']);
  await person.goes('Seawater bottle');
  const bucket = new ProtocolDay(page);
  await bucket.does(
    ['Bucket', ['rinsed with the sea', 'stands above the high-tide mark']],
    ['Number of the bottle', 'SW8124'],
    ['Rinsed with the same water', 3],
    ['Bubbles stayed in it', 'yes'],
  );
  await expect(page.getByRole('heading', { name: 'Another try of the filling' })).toBeVisible();
  await bucket.triesAgain('Number of the bottle', 'SW8125');
  await bucket.does(['Rinsed with the same water', 3], ['Bubbles stayed in it', 'no']);
  await bucket.fills();
  await bucket.does(
    ['Water, to 0.1', '13.9'],
    ['Thermometer held', { seconds: 60 }],
    ['The thermometer was in', 'the bucket'],
    ['Salinity', '30'],
    ['Gloves', GLOVED],
    ['Drops of fixative', 1],
    ['Turned over', 5],
    ['The cap is fresh', 'yes'],
    ['It is in the dark box', 'yes'],
  );
  await clean(page, 'a bottle of sea water');
  await person.goes('Refractometer');
  const drop = new ProtocolDay(page);
  await drop.does(
    ['Reading of distilled water', '1'],
    ['A zero that is not 0 was', 'kept, and taken off'],
    ['Drops on the glass', 1],
    ['Bubbles or sand under the lid', 'no'],
    ['Waited', { seconds: 30 }],
    ['Salinity', '21'],
  );
  await expect(page.getByText(/20 ppt/).first()).toBeVisible();

  await page.goto(server.address);
  await person.startsAt('Skarn Sound, Outer beach');
  await person.begins(['surf on a pole']);
  await person.goes('Surf on a pole');
  const surf = new ProtocolDay(page);
  await surf.does(
    ['Air', '48 °F'],
    ['Air, second thermometer', '48 °F'],
    ['A stream on the way', 'to the ankle'],
    ['Watched', { seconds: 120 }],
    ['On the pole', 'jar'],
    ['Held under', { seconds: 60 }],
    ['Water', '50 °F'],
    ['Water, second thermometer', '50 °F'],
    ['Sand in it', 'a little'],
  );
  await expect(page.getByText(/120 of 300 s|120 s of 300/).first()).toBeVisible();
  await surf.fills();
  await clean(page, 'the surf');
});

test('mercury by two pairs of hands, with no signal: two people, and a glove that tears', { tag: '@both' }, async ({
  page,
  server,
}) => {
  test.setTimeout(240_000);
  await begins(page, server.address, 'Long Sallow Reservoir, Inlet', ['ultra-clean water']);
  await page.getByRole('button', { name: 'On to the ultra-clean water' }).click();
  await page.context().setOffline(true);
  const hands = new ProtocolDay(page);
  await hands.does(
    ['The laboratory was told on', '2026-07-29'],
    ['Before you go', ['the laboratory expects it', 'steady weather', 'the carrier comes today']],
    ['Somebody has waded here today', 'no'],
    ['The spot', 'pool below a riffle, walked up to'],
    ['Waited until it is clear', { seconds: 70 }],
    ['Clean hands', { named: 'Bea Okafor' }],
    ['Dirty hands', { named: 'Bea Okafor' }],
  );
  await expect(page.getByText(/Bea Okafor has both parts/).first()).toBeVisible();
  await page.getByText('Hand dirty hands over').click();
  await hands.does(['Dirty hands', { named: 'Tomas Reyl' }]);
  await expect(page.getByText(/has both parts/)).toHaveCount(0);
  await hands.does(['Gloves', GLOVED]);
  await clean(page, 'two pairs of hands');

  await page.getByRole('button', { name: 'Clean hands broken' }).click();
  await hands.does(['What happened', 'a glove tore']);
  await expect(page.getByText(/a glove tore/).first()).toBeVisible();
  await hands.triesAgain('Bags', ['dirty hands opened the outer bag', 'clean hands took the bottle from the inner bag']);
  await hands.does(['Bottle and cap rinsed', 3], ['Capped', 'under water'], ['Sediment came into it', 'no']);
  await hands.fills();
  await hands.does(
    ['Bags', ['clean hands closed the inner bag', 'dirty hands closed the outer bag']],
    ['Code of the bottle', 'MB8124'],
    ['Put away', ['on ice, not dry ice', 'gloves in the rubbish bag']],
  );
  await expect(page.getByText(/ship by Thursday/).first()).toBeVisible();
  await clean(page, 'a bottle for the traces of mercury');
});

test('six points of a beach in three pairs, drawn as they are fixed', { tag: '@both' }, async ({ page, server }) => {
  test.setTimeout(300_000);
  const person = await begins(page, server.address, 'Skarn Sound, Outer beach', ['beach plastics']);
  await person.goes('Beach plastics');
  const beach = new ProtocolDay(page);
  await beach.does(
    [
      'Before anybody walks on it',
      ['six jars', 'general part of the sheet', 'three markers counted out', 'metal spoon, ruler in mm'],
    ],
    ['Low water today', 'now'],
    ['Marker 1, the northernmost', 'between wrack and high-tide line'],
    ['Marker 2', 'between wrack and high-tide line'],
    ['Marker 3', 'between wrack and high-tide line'],
    ['Marker 1', { here: [51.836, -11.615] }],
    ['Marker 3', { here: [51.83545, -11.615] }],
    ['Quadrat', 'Q-1, Quadrat, 25 cm'],
    ['Jars, their lot', 'J-15, Jars, 1.5 L'],
  );
  await expect(page.getByText(/61\.2 m/).first()).toBeVisible();
  for (const n of ['1', '2', '3']) {
    const sand = new ProtocolDay(page, page.getByRole('region', { name: new RegExp(`sand ${n}`, 'i') }));
    await sand.does(
      ['Visible, picked out', { specimens: ['film', 'line'] }],
      ['Depth at the corners and in the middle', { listed: ['19', '21', '20', '22', '18'] }],
    );
    await sand.fills();
  }
  for (const n of ['1', '2', '3']) {
    const water = new ProtocolDay(page, page.getByRole('region', { name: new RegExp(`water ${n}`, 'i') }));
    await water.does(
      ['Straight off sand', n],
      ['Depth where you stand', '0.5 m'],
      ['Waited', { seconds: 60 }],
      ['The current runs', 'left'],
      ['Whole fills poured down-current', 3],
      ['Capped', 'under water'],
      ['In the jar', 'clear water'],
    );
    await water.fills();
  }
  await beach.does(['Back from the beach', ['three markers', 'six jars', 'quadrat, spoon, tape', 'all rubbish']]);
  await page.getByText(/^One by one/).click();
  await expect(page.getByRole('row', { name: /^Volume, sand 1 1\.25 L/ })).toBeVisible();
  await clean(page, 'six points of a beach');
});

test('a pond for its animals, and the form read against the bottle', { tag: '@both' }, async ({ page, server }) => {
  test.setTimeout(200_000);
  const person = await begins(page, server.address, 'Pell Tarn, Watering place', ['pond for a use']);
  await person.goes('Pond for a use');
  const pond = new ProtocolDay(page);
  await pond.does(
    ['The water is for', 'animals to drink'],
    ['The property’s own name of the sample, as on the form', 'Lower pond 1'],
    ['The spot', { here: [54.0, -2.0] }],
    ['Taken', 'with a pole'],
    ['Stood still', { seconds: 60 }],
    ['Depth of the water here', '0.4 m'],
    ['Rinsed: a quarter full, capped, shaken, poured away', 3],
    ['Mouth of the bottle under the surface', '20 cm'],
    ['It came in', 'clear'],
    ['Form and bottle read the same', 'yes'],
  );
  await expect(page.getByText(/0\.375 L/).first()).toBeVisible();
  await pond.fills();
  await clean(page, 'a pond');
});

test('phosphorus through a mesh after the disc: the clearance sets the depth', { tag: '@both' }, async ({ page, server }) => {
  test.setTimeout(200_000);
  const person = await begins(page, server.address, 'Pell Tarn, East shore', ['clarity', 'phosphorus through a mesh'], '2.2');
  await page
    .getByRole('button', { name: /on the bottom/i })
    .first()
    .click();
  await person.goes('Phosphorus through a mesh');
  const mesh = new ProtocolDay(page);
  await mesh.does(
    ['Date on jar and tubes', '2026-08-12'],
    ['Jar rinsed', 2],
    ['Rinsed with', 'water through the mesh'],
    ['Line out', '1 m'],
    ['It touched the bottom', 'no'],
    ['It brought enough water', 'yes'],
    ['The mesh', 'stayed whole'],
  );
  for (const _ of [1, 2]) {
    await mesh.does(['Tube rinsed', 2], ['The tube was rinsed with', 'filtered water']);
    await mesh.fills();
  }
  await clean(page, 'a posted mesh kit');
});
