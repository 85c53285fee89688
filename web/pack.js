// Packs the inbox's page. What is fetched before the inbox is there goes into three files instead of thirty: each file is packed by
// itself, and many small ones take a tenth more. Which modules those are is known only when all that is not used is gone; so the page
// is packed twice, the first time to look.
import { build } from 'vite';

const first = await build({ logLevel: 'error', build: { write: false, minify: false, reportCompressedSize: false } });
const chunks = new Map(first.output.filter((file) => file.type === 'chunk').map((chunk) => [chunk.fileName, chunk]));
const places = [...chunks.values()].filter((chunk) => chunk.isEntry || chunk.isDynamicEntry);
const place = (module) => places.find((chunk) => chunk.facadeModuleId?.endsWith(module));
const entry = place('/index.html');
const frame = place('/src/app/Frame.tsx');
const inbox = place('/src/features/inbox/index.ts');

/** A chunk and all that it needs before it can run. */
function needs(chunk, found = new Set()) {
  if (found.has(chunk)) return found;
  found.add(chunk);
  chunk.imports.forEach((each) => needs(chunks.get(each), found));
  return found;
}

const elsewhere = new Set(
  places.filter((each) => ![entry, frame, inbox].includes(each)).flatMap((each) => [...needs(each)]),
);

/** What signing in needs; what every place needs, or the inbox shares with another; what the inbox alone needs. */
function name(chunk) {
  if (needs(entry).has(chunk)) return 'start';
  if (needs(frame).has(chunk)) return 'frame';
  if (!needs(inbox).has(chunk)) return null;
  return elsewhere.has(chunk) ? 'frame' : 'inbox';
}

const names = new Map();
for (const chunk of chunks.values()) {
  for (const module of chunk.moduleIds) names.set(module, name(chunk));
}
// With these the page begins.
entry.moduleIds.filter((module) => /\/(index\.html|main\.tsx)$/.test(module)).forEach((module) => names.delete(module));

await build({
  logLevel: 'warn',
  build: {
    rolldownOptions: {
      output: {
        codeSplitting: {
          // What they need is in the same file or in one before it; nothing that is not used comes with them.
          includeDependenciesRecursively: false,
          groups: [{ debugName: 'before the inbox', name: (module) => names.get(module) ?? null }],
        },
      },
    },
  },
});
