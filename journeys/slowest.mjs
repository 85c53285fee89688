// Prints the ten slowest tests of the last run, those of Java and the journeys together.
import { existsSync, readdirSync, readFileSync } from 'node:fs';

const root = new URL('../', import.meta.url).pathname;
const ran = [];
for (const module of readdirSync(root)) {
  const folder = `${root}${module}/target/surefire-reports`;
  if (!existsSync(folder)) continue;
  for (const file of readdirSync(folder).filter((name) => /^TEST-.*\.xml$/.test(name))) {
    for (const [, name, type, seconds] of readFileSync(`${folder}/${file}`, 'utf8').matchAll(
      /<testcase name="([^"]*)" classname="([^"]*)" time="([\d.]+)"/g,
    )) {
      ran.push({ seconds: Number(seconds), name: `${type.split('.').pop()}.${name}` });
    }
  }
}
const journeys = (suite) => [
  ...(suite.specs ?? []).map(({ title, tests }) => ({ seconds: tests.at(-1).results.at(-1).duration / 1000, name: `journey: ${title}` })),
  ...(suite.suites ?? []).flatMap(journeys),
];
const report = `${root}journeys/test-results/journeys.json`;
if (existsSync(report)) ran.push(...JSON.parse(readFileSync(report, 'utf8')).suites.flatMap(journeys));
console.log('The ten slowest tests:');
for (const { seconds, name } of ran.sort((a, b) => b.seconds - a.seconds).slice(0, 10)) {
  console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`);
}
