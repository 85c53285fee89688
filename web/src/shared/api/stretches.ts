import type { InfiniteData } from '@tanstack/react-query';
import type { InboxPage } from './types';

interface Row {
  row: InboxPage['rows'][number];
  at: string;
  seen: InboxPage['seen'][number] | undefined;
}

function rowsOf(page: InboxPage): Row[] {
  const places = new Map(page.places.map((place) => [place.conversationId, place.at]));
  const seen = new Map(page.seen.map((each) => [each.conversationId, each]));
  return page.rows.map((row) => ({ row, at: places.get(row.id) ?? '', seen: seen.get(row.id) }));
}

function pageOf(rows: Row[], like: InboxPage): InboxPage {
  return {
    ...like,
    rows: rows.map(({ row }) => row),
    places: rows.map(({ row, at }) => ({ conversationId: row.id, at })),
    seen: rows.flatMap(({ seen }) => seen ?? []),
  };
}

/** Instants as the server writes them, with or without a fraction of a second. */
function before(a: Row, b: Row, ascending: boolean): boolean {
  const [first, second] = ascending ? [a, b] : [b, a];
  const between = Date.parse(first.at) - Date.parse(second.at);
  return between < 0 || (between === 0 && first.row.id < second.row.id);
}

/**
 * A list of several stretches after some conversations changed: those the list does not show any more leave it, those it shows stand
 * where they belong now. What belongs behind the last stretch that was read is left to that which follows.
 *
 * @param asked which were asked about
 * @param now those of them that the list shows, as they are now
 */
export function withChanges(list: InfiniteData<InboxPage>, asked: number[], now: InboxPage): InfiniteData<InboxPage> {
  const versions = new Map(list.pages.flatMap((page) => page.rows.map((row) => [row.id, row.version] as const)));
  // What a live message has brought meanwhile is newer than the answer.
  const isOld = (id: number, version: number) => (versions.get(id) ?? 0) > version;
  const answered = new Map(now.rows.map((row) => [row.id, row.version]));
  const left = new Set(asked.filter((id) => !isOld(id, answered.get(id) ?? Infinity)));
  const pages = list.pages.map((page) => rowsOf(page).filter(({ row }) => !left.has(row.id)));
  const more = list.pages[list.pages.length - 1]?.next !== undefined;
  for (const added of rowsOf(now)) {
    if (!left.has(added.row.id)) continue;
    const to = pages.findIndex((rows) => rows.some((row) => before(added, row, now.ascending)));
    const rows = to >= 0 ? pages[to] : more ? undefined : pages[pages.length - 1];
    if (!rows) continue;
    const at = rows.findIndex((row) => before(added, row, now.ascending));
    rows.splice(at < 0 ? rows.length : at, 0, added);
  }
  return { ...list, pages: list.pages.map((page, i) => pageOf(pages[i] ?? [], page)) };
}
