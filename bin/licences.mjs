// Prints the licences of the libraries that ship: jars with their POMs, and the packages the page is built from.
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const [libraries, repository] = process.argv.slice(2);
const web = join(dirname(fileURLToPath(import.meta.url)), '../web');
const NAMES = /^meta-inf\/(license|licence|notice)[^/]*$|^(license|licence|notice)(\.txt|\.md)?$/i;

const texts = new Map();
function keep(text, of) {
  const clean = text.replace(/\r/g, '').trim();
  if (clean.length < 40) return;
  texts.set(clean, [...(texts.get(clean) ?? []), of]);
}

function poms() {
  const found = new Map();
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else if (entry.name.endsWith('.pom')) found.set(entry.name.slice(0, -4), path);
    }
  };
  walk(repository);
  return found;
}

function licenceOf(pom, all) {
  if (pom === undefined) return undefined;
  const xml = readFileSync(pom, 'utf8');
  const names = [...xml.matchAll(/<license>[\s\S]*?<name>([\s\S]*?)<\/name>/g)].map((found) => found[1].trim());
  if (names.length > 0) return [...new Set(names)].join(' or ');
  const parent = /<parent>[\s\S]*?<artifactId>(.*?)<\/artifactId>[\s\S]*?<version>(.*?)<\/version>/.exec(xml);
  return parent === null ? undefined : licenceOf(all.get(`${parent[1]}-${parent[2]}`), all);
}

const all = poms();
const rows = [];
for (const jar of readdirSync(libraries).filter((name) => name.endsWith('.jar') && !name.startsWith('fabulum')).sort()) {
  const name = jar.slice(0, -4);
  rows.push([name, licenceOf(all.get(name), all) ?? 'see its text below']);
  const path = join(libraries, jar);
  const inside = execFileSync('unzip', ['-Z1', path], { encoding: 'utf8' }).split('\n');
  for (const entry of inside.filter((each) => NAMES.test(each))) {
    keep(execFileSync('unzip', ['-p', path, entry], { encoding: 'utf8' }), name);
  }
}

const lock = JSON.parse(readFileSync(join(web, 'package-lock.json'), 'utf8'));
for (const [path, found] of Object.entries(lock.packages)) {
  const folder = join(web, path);
  if (path === '' || found.dev || found.optional || !existsSync(folder)) continue;
  const name = `${path.replace(/^.*node_modules\//, '')} ${found.version}`;
  rows.push([name, found.license ?? 'see its text below']);
  for (const file of readdirSync(folder).filter((each) => /^(license|licence|notice|ofl)/i.test(each))) {
    keep(readFileSync(join(folder, file), 'utf8'), name);
  }
}

const line = '='.repeat(78);
console.log('What Fabulum is built on, and under which licences\n');
const wide = Math.max(...rows.map(([name]) => name.length));
rows.forEach(([name, licence]) => console.log(`${name.padEnd(wide)}  ${licence}`));
for (const [text, names] of texts) console.log(`\n${line}\n${[...new Set(names)].join(', ')}\n${line}\n\n${text}`);
