import type { OfferedFiles } from '../../../shared/api/types';

/** A file that is here already, as it is offered. */
export interface Offered {
  key: string;
  group: string;
  title: string;
  kind: OfferedFiles['earlier'][number]['kind'];
  octets: number;
  /** The address of its picture in small. */
  preview: string | undefined;
  /** What is asked for to put it to a text. */
  ask: { kept: number } | { earlier: number };
}

/** Without accents and in small letters, as one searches. */
function plain(words: string): string {
  return words.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}

/** What is offered, in the order of its groups; each of the words one types begins a word of the title. */
export function offered(files: OfferedFiles, customer: string, typed: string): Offered[] {
  const kept = (group: string) => (file: OfferedFiles['shelf'][number]) => ({
    key: `kept-${file.id}`,
    group,
    title: file.title,
    kind: file.kind,
    octets: file.octets,
    preview: file.preview ? `/api/kept-files/${file.id}/preview` : undefined,
    ask: { kept: file.id },
  });
  const all: Offered[] = [
    ...files.kept.map(kept(`Kept with ${customer}`)),
    ...files.shelf.map(kept('On the shelf')),
    ...files.earlier.map((file) => ({
      key: `earlier-${file.id}`,
      group: 'In earlier texts',
      title: file.words === '' ? file.name : file.words,
      kind: file.kind,
      octets: file.octets,
      preview: file.preview ? `/api/attachments/${file.id}/preview` : undefined,
      ask: { earlier: file.id },
    })),
  ];
  const wanted = plain(typed).split(/\s+/).filter(Boolean);
  return all.filter(({ title }) => {
    const words = plain(title).split(/[^\p{L}\p{N}]+/u);
    return wanted.every((each) => words.some((word) => word.startsWith(each)));
  });
}
