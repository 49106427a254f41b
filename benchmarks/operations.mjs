// How long each operation takes at the longest request that it allows: ./bench operations. Requests are made from the server's own
// description: lists are filled with plausible values until the length is reached.
import { Server } from '../tests/harness/server.mjs';
import { coordinator } from './coordinator.mjs';

const BUDGET_MS = 1000;
const ROOM = 0.97;
const server = new Server(15_097);
await server.start();
const ask = await coordinator(server.address);
const { paths, components } = JSON.parse((await ask('GET', '/api/description.json')).text);
const allowed = Object.fromEntries(
  JSON.parse((await ask('GET', '/api/core')).text).map(({ name, longest: most }) => [name, most]),
);
const context = JSON.parse((await ask('GET', '/api/stations/HAR-2')).text).context;
const someEntries = [];
for (const { visit } of JSON.parse((await ask('GET', '/api/reviews')).text).slice(0, 3)) {
  someEntries.push(...JSON.parse((await ask('GET', `/api/visits/${visit}/entries`)).text));
}

let counter = 0;
const uuid = () => `019ff54e-a5c0-73c3-91f3-${String(counter++).padStart(12, '0')}`;
const day = () => new Date(Date.UTC(1900, 0, 1) + ((counter++ * 3) % 46000) * 86_400_000).toISOString().slice(0, 10);

function value(schema, name, many, deep = 0) {
  const of = schema?.$ref ? components.schemas[schema.$ref.split('/').at(-1)] : schema;
  if (!of || deep > 8) {
    return undefined;
  }
  const one = (of.oneOf ?? of.anyOf)?.find((some) => some.$ref || some.type !== 'null');
  if (one) {
    return value(one, name, many, deep);
  }
  if (of.enum) {
    return of.enum.find((choice) => choice !== null);
  }
  const type = Array.isArray(of.type) ? of.type.find((some) => some !== 'null') : of.type;
  if (name === 'context') {
    return context;
  }
  if (name === 'window') {
    return { fromMonth: 1, untilMonth: 12, leastReadings: 1 };
  }
  switch (type) {
    case 'boolean':
      return true;
    case 'integer':
      return /month/i.test(name) ? 1 + (counter++ % 12) : 1 + (counter++ % 9);
    case 'number':
      return /month/i.test(name)
        ? 1 + (counter++ % 12)
        : /day$/i.test(name)
          ? 1 + (counter++ % 28)
          : /latitude|longitude|bearing|deg/i.test(name)
            ? (counter++ % 800) / 10
            : Math.round((1 + ((counter++ * 7919) % 977) / 100) * 100) / 100;
    case 'array':
      return name === 'entries'
        ? many(Math.max(1, someEntries.length), (i) => ({
            ...someEntries[i % someEntries.length],
            receipt: undefined,
            visit: someEntries[0].visit,
            id: uuid(),
          }))
        : many(3, () => value(of.items, name, (_n, make) => Array.from({ length: 2 }, (_, i) => make(i)), deep + 1));
    case 'object':
      return Object.fromEntries(
        Object.entries(of.properties ?? {})
          .map(([key, property]) => [key, value(property, key, many, deep + 1)])
          .filter(([, said]) => said !== undefined),
      );
    default:
      return of.format === 'uuid'
        ? uuid()
        : of.format === 'date'
          ? day()
          : of.format === 'date-time'
            ? `${day()}T10:00:00+01:00`
            : of.format === 'time'
              ? '10:00:00'
              : name === 'text' && deep < 2
                ? many(1, () => `${day()}; 3.${counter % 10}\n`).join('')
                : name === 'written'
                  ? `${1 + (counter++ % 90) / 10}`
                  : name === 'method'
                    ? `m${counter++ % 5}`
                    : 'x';
  }
}

// The number of members by which the request comes as near to the longest as it can.
function longest(schema, limit) {
  let best;
  for (let [low, high] = [1, 40_000]; low <= high; ) {
    const times = Math.floor((low + high) / 2);
    const text = JSON.stringify(value(schema, '', (_, make) => Array.from({ length: times }, (__, i) => make(i))));
    if (text.length <= limit * ROOM) {
      best = { text, times };
      low = times + 1;
    } else {
      high = times - 1;
    }
  }
  return best;
}

let worst = 0;
console.log(`${'operation'.padEnd(24)}${'bytes'.padStart(9)}${'members'.padStart(9)}${'status'.padStart(8)}${'ms'.padStart(8)}`);
for (const [path, { post }] of Object.entries(paths).filter(([path]) => path.startsWith('/api/core/'))) {
  const name = path.split('/').at(-1);
  const schema = post.requestBody.content['application/json'].schema;
  const request = longest(schema, allowed[name]);
  if (!request) {
    console.log(`${name.padEnd(24)} no request is that short`);
    continue;
  }
  let took = Number.POSITIVE_INFINITY;
  let said;
  for (let i = 0; i < 2; i++) {
    const began = performance.now();
    said = await ask('POST', path, request.text);
    took = Math.min(took, performance.now() - began);
  }
  worst = Math.max(worst, took);
  console.log(
    `${name.padEnd(24)}${String(request.text.length).padStart(9)}${String(request.times).padStart(9)}${String(said.status).padStart(8)}${took.toFixed(0).padStart(8)}${took > BUDGET_MS ? '  over the budget' : ''}${said.status === 200 ? '' : `  ${JSON.parse(said.text).detail}`}`,
  );
}
console.log(`worst ${worst.toFixed(0)} ms, budget ${BUDGET_MS} ms`);
await server.kill();
server.end();
process.exit(worst > BUDGET_MS ? 1 : 0);
