import type { Attachment } from '../../../shared/api/types';

/** In the decimal units of IEC 80000-13, as they are said elsewhere: "84 kB", "2.4 MB". */
export function sizeWords(octets: number): string {
  return octets < 1_000_000 ? `${Math.ceil(octets / 1_000)} kB` : `${(Math.ceil(octets / 100_000) / 10).toFixed(1)} MB`;
}

/** "1.2 MB, was 4.8 MB" */
export function sizesWords({ octets, cameOctets }: Attachment): string {
  const now = sizeWords(octets);
  const came = cameOctets === undefined ? now : sizeWords(cameOctets);
  return came === now ? now : `${now}, was ${came}`;
}

const KINDS: Record<Attachment['kind'], string> = {
  PICTURE: 'Picture',
  SOUND: 'Sound',
  VIDEO: 'Video',
  PDF: 'PDF',
  DOCUMENT: 'Document',
  CONTACT: 'Contact card',
  OTHER: 'File',
};

/** "PDF", "Picture" */
export function kindWords({ kind }: Pick<Attachment, 'kind'>): string {
  return KINDS[kind];
}

/** What is said of it to those who do not see it. */
export function description(one: Attachment): string {
  return one.words === '' ? `${kindWords(one)} ${one.name}` : one.words;
}

export function addressOfFile(id: number, save = false): string {
  return `/api/attachments/${id}${save ? '?save=true' : ''}`;
}

/** Whether it can be opened large in the page. */
export function opensLarge({ state, kind, shown, preview }: Attachment): boolean {
  return state === 'HERE' && ((kind === 'PICTURE' && (shown || preview)) || (kind === 'VIDEO' && shown));
}

const HEIGHT = 120;
const NARROWEST = 64;
const WIDEST = 260;

/** How large a picture stands in a script: all of one height, so that nothing moves when they come. */
export function boxOf({ width, height }: Attachment): { width: number; height: number } {
  const wide = width && height ? Math.round((HEIGHT * width) / height) : HEIGHT;
  return { width: Math.min(WIDEST, Math.max(NARROWEST, wide)), height: HEIGHT };
}

/** Which comes after another by so many steps; stays at the ends. */
export function step<T extends { id: number }>(all: T[], now: number, by: number): T | undefined {
  const at = all.findIndex(({ id }) => id === now);
  return all[Math.min(all.length - 1, Math.max(0, at + by))];
}
