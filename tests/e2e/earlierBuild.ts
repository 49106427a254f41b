import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MANIFEST = 'UpperStill.Server.staticwebassets.endpoints.json';
const COMPRESSED = /\.(br|gz)$/;
const TEXT = /\.(js|css|html|json|webmanifest)$/;

/** The same application as another build would be for a device: every file has another address, and the pages another content. */
export function earlierBuild(app: string): string {
  const earlier = mkdtempSync(join(tmpdir(), 'upper-still-earlier-'));
  // What is compressed ahead would still be the newer build; the server sends the plain files where there is nothing else.
  cpSync(app, earlier, { recursive: true, filter: (file) => !COMPRESSED.test(file) });
  const assets = join(earlier, 'wwwroot', 'assets');
  const named = new Map<string, string>();
  for (const file of readdirSync(assets)) {
    const hash = /-([\w-]{8})\.\w+$/.exec(file)?.[1];
    if (hash) {
      named.set(file, file.replace(hash, [...hash].reverse().join('')));
    }
  }
  for (const [file, other] of named) {
    renameSync(join(assets, file), join(assets, other));
  }
  const other = (text: string) => text.replace(/[\w.-]+-[\w-]{8}\.\w+/g, (name) => named.get(name) ?? name);
  for (const file of readdirSync(join(earlier, 'wwwroot'), { recursive: true, encoding: 'utf8' }).filter(
    (name) => TEXT.test(name) && !name.startsWith('core'),
  )) {
    const path = join(earlier, 'wwwroot', file);
    writeFileSync(path, other(readFileSync(path, 'utf8')));
  }
  // What has no hash in its address is told apart by its revision on the device, and by its tag on the way.
  const backwards = (_: string, before: string, tag: string, after: string) => before + [...tag].reverse().join('') + after;
  const worker = join(earlier, 'wwwroot', 'sw.js');
  writeFileSync(worker, readFileSync(worker, 'utf8').replace(/("revision":")(\w{32})(")/g, backwards));
  const tags = join(earlier, MANIFEST);
  const manifest = JSON.parse(readFileSync(tags, 'utf8')) as { Endpoints: { AssetFile: string }[] };
  manifest.Endpoints = manifest.Endpoints.filter(({ AssetFile }) => !COMPRESSED.test(AssetFile));
  writeFileSync(tags, other(JSON.stringify(manifest)).replace(/("Value":"\\")([\w+/=]+)(\\"")/g, backwards));
  return earlier;
}
