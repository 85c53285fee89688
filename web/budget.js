// Holds what the page fetches before it can show anything to a budget, in kB of gzip. Run after the build.
import { readFileSync, rmSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const DIST = 'dist/inbox';
const BUDGETS = [
  {
    what: 'script before the inbox',
    from: ['index', 'frame', 'inbox'],
    // What one types right after a key must be there at once, so the dialogs that keys open, and the finding of words in a script, are part of it.
    // What charts share with everything else (3 kB) is in it too; they themselves are fetched when there is something to draw.
    most: 270,
  },
  { what: 'script before one can sign in', from: ['index'], most: 200 },
];

const manifest = JSON.parse(readFileSync(`${DIST}/.vite/manifest.json`, 'utf8'));

/** Files of a chunk and of all that it imports before it can run. */
function files(key, seen = new Set()) {
  if (seen.has(key)) return seen;
  seen.add(key);
  manifest[key].imports?.forEach((each) => files(each, seen));
  return seen;
}

let over = false;
for (const { what, from, most } of BUDGETS) {
  const keys = from.map((name) => Object.keys(manifest).find((key) => manifest[key].name === name));
  const chunks = new Set(keys.flatMap((key) => [...files(key)]));
  const octets = [...chunks].reduce(
    (sum, key) => sum + gzipSync(readFileSync(`${DIST}/${manifest[key].file}`)).length,
    0,
  );
  const kilo = Math.round(octets / 1000);
  if (kilo > most) over = true;
  console.log(`${what}: ${kilo} kB of ${most}${kilo > most ? ', TOO MUCH' : ''}`);
}
// It lists the sources and is not for the outside.
rmSync(`${DIST}/.vite`, { recursive: true });
process.exit(over ? 1 : 0);
