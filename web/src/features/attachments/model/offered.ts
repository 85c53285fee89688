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

const APART = /[^\p{L}\p{N}]+/u;

/** Without accents and in small letters, as one searches. */
function plain(words: string): string {
  return words.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}

/** Those of one job together, the job of the newest file first; then those of none. */
function byJob(files: OfferedFiles['kept']): OfferedFiles['kept'] {
  const jobs = [...new Set(files.map(({ job }) => job?.id).filter((id) => id !== undefined))];
  const of = (wanted: number | undefined) => files.filter(({ job }) => job?.id === wanted);
  return [...jobs.flatMap(of), ...of(undefined)];
}

/** What is offered, in the order of its groups; each of the typed words begins a word of the title or of the job. */
export function offered(files: OfferedFiles, customer: string, typed: string): Offered[] {
  const kept = (group: string) => (file: OfferedFiles['shelf'][number]) => ({
    key: `kept-${file.id}`,
    group: file.job ? `For ${file.job.name}` : group,
    title: file.title,
    kind: file.kind,
    octets: file.octets,
    preview: file.preview ? `/api/kept-files/${file.id}/preview` : undefined,
    ask: { kept: file.id },
  });
  const all: Offered[] = [
    ...byJob(files.kept).map(kept(`Kept with ${customer}`)),
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
  const wanted = plain(typed).split(APART).filter(Boolean);
  return all.filter(({ title, group }) => {
    const words = plain(`${title} ${group}`).split(APART);
    return wanted.every((each) => words.some((word) => word.startsWith(each)));
  });
}
