import { hashKey, type InfiniteData, type QueryClient, type QueryKey } from '@tanstack/react-query';
import {
  changeLists,
  type Conversation,
  type Dossier,
  type Entry,
  type InboxPage,
  keys,
  type LiveMessage,
  type NoticePage,
  readAllAgain,
  readListsAgain,
  readNoticesAgain,
  readPeopleAgain,
  type ScriptPage,
  type Watched,
  withPages,
} from '../shared/api';

/** Applies one live message to what the page has read. The only place where that is done. */
export function applyLive(queries: QueryClient, message: LiveMessage): void {
  switch (message.type) {
    case 'READ_AGAIN':
      void readAllAgain(queries);
      return;
    case 'BEAT':
      return;
    case 'CONVERSATION':
      if (message.conversation) applyConversation(queries, message.conversation, message.entries);
      return;
    case 'GONE':
      if (message.gone !== undefined) applyGone(queries, message.gone, message.why ?? '');
      return;
    case 'WATCHED':
      if (message.watched) applyWatched(queries, message.watched);
      return;
    case 'NOTICE':
      readNoticesAgain(queries);
      return;
    case 'TROUBLES':
      void queries.invalidateQueries({ queryKey: keys.troubles });
      return;
    case 'TEMPLATES':
      void queries.invalidateQueries({ queryKey: keys.templates });
      return;
    case 'DESKS':
      void queries.invalidateQueries({ queryKey: keys.desk });
      return;
    case 'PEOPLE':
      readPeopleAgain(queries);
      return;
    case 'SET_UP':
      void queries.invalidateQueries({ queryKey: keys.setup });
  }
}

/** What is no longer for us to see leaves the page at once, with a sentence why. */
function applyGone(queries: QueryClient, id: number, why: string): void {
  queries.setQueryData(keys.gone(id), why);
  changeLists(queries, (list) => withoutRow(list, id));
  queries.removeQueries({ queryKey: keys.dossier(id) });
  queries.removeQueries({ queryKey: keys.script(id) });
  readNoticesAgain(queries);
  void queries.invalidateQueries({ queryKey: keys.lines });
  readListsAgain(queries);
}

function applyWatched(queries: QueryClient, watched: Watched): void {
  if (isBeingRead(queries, keys.watchers)) void queries.invalidateQueries({ queryKey: keys.watchers });
  queries.setQueryData<Watched[]>(keys.watchers, (all) => all && withWatched(all, watched));
}

/** Who is where, with one conversation as it is now; where nobody is any more it is left out. */
export function withWatched(all: Watched[], watched: Watched): Watched[] {
  const others = all.filter((each) => each.conversationId !== watched.conversationId);
  return watched.watchers.length === 0 ? others : [...others, watched];
}

/** The list without a row. */
export function withoutRow(list: InfiniteData<InboxPage>, id: number): InfiniteData<InboxPage> {
  return withPages(list, (page) =>
    page.rows.some((row) => row.id === id) ? { ...page, rows: page.rows.filter((row) => row.id !== id) } : page,
  );
}

function applyConversation(queries: QueryClient, row: Conversation, entries: Entry[]): void {
  // What we are told of is ours to see, if not before.
  queries.removeQueries({ queryKey: keys.gone(row.id) });
  applyEntries(queries, row.id, entries);
  if (onlyGotFurther(queries, row, entries)) return;
  changeLists(queries, (list) => withRow(list, row));
  readListsAgain(queries, row);
  void queries.invalidateQueries({ queryKey: keys.jump });
  const notices = queries.getQueryData<NoticePage>(keys.notices);
  if (notices?.notices.some((notice) => notice.conversation.id === row.id)) readNoticesAgain(queries);
  queries.setQueryData<Dossier>(keys.dossier(row.id), (dossier) =>
    dossier && dossier.conversation.version < row.version ? { ...dossier, conversation: row } : dossier,
  );
  if (entries.some((entry) => entry.kind !== 'IN') || isBeingRead(queries, keys.dossier(row.id))) {
    void queries.invalidateQueries({ queryKey: keys.dossier(row.id) });
  }
}

function applyEntries(queries: QueryClient, id: number, entries: Entry[]): void {
  if (isBeingRead(queries, keys.script(id))) {
    void queries.invalidateQueries({ queryKey: keys.script(id) });
  } else {
    queries.setQueryData<InfiniteData<ScriptPage>>(keys.script(id), (pages) => pages && withEntries(pages, entries));
  }
}

/**
 * Whether texts of ours got further and nothing else happened, as it does two or three times for each text: then nothing but the script
 * shows it.
 */
function onlyGotFurther(queries: QueryClient, row: Conversation, entries: Entry[]): boolean {
  const shown = rowsShown(queries, row.id);
  return (
    entries.length > 0 &&
    entries.every(({ kind, delivery, needsHand }) => kind === 'OUT' && delivery !== 'NOT_DELIVERED' && !needsHand) &&
    shown.length > 0 &&
    shown.every((had) => had.version < row.version && asShown(had) === asShown(row))
  );
}

/** A conversation wherever the page has it. */
function rowsShown(queries: QueryClient, id: number): Conversation[] {
  const lists = queries.getQueriesData<InfiniteData<InboxPage>>({ queryKey: keys.lists });
  const rows = lists.flatMap(([, list]) => list?.pages.flatMap((page) => page.rows) ?? []);
  const dossier = queries.getQueryData<Dossier>(keys.dossier(id));
  return [...rows.filter((row) => row.id === id), ...(dossier ? [dossier.conversation] : [])];
}

/** All of a conversation but what is different at each asking. */
const asShown = (row: Conversation) => hashKey([{ ...row, version: 0, secondsLeft: 0 }]);

/** What is being read just now may be older than the message that comes in meanwhile, so it has to be read once more. */
function isBeingRead(queries: QueryClient, key: QueryKey): boolean {
  return queries.getQueryState(key)?.fetchStatus === 'fetching';
}

/** The list with the row replaced where it stands; an older row never replaces a newer one. */
export function withRow(list: InfiniteData<InboxPage>, row: Conversation): InfiniteData<InboxPage> {
  const isOlder = (had: Conversation) => had.id === row.id && had.version < row.version;
  return withPages(list, (page) =>
    page.rows.some(isOlder) ? { ...page, rows: page.rows.map((had) => (isOlder(had) ? row : had)) } : page,
  );
}

/** The script with entries added or replaced, in order. The newest stretch is the first page. */
export function withEntries(script: InfiniteData<ScriptPage>, entries: Entry[]): InfiniteData<ScriptPage> {
  const known = new Set(script.pages.flatMap((page) => page.entries.map((entry) => entry.id)));
  const changed = new Map(entries.map((entry) => [entry.id, entry]));
  const added = entries.filter((entry) => !known.has(entry.id));
  const pages = script.pages.map((page, index) => {
    const replaced = page.entries.map((entry) => changed.get(entry.id) ?? entry);
    return { ...page, entries: index === 0 ? inOrder([...replaced, ...added]) : replaced };
  });
  return { ...script, pages };
}

function inOrder(entries: Entry[]): Entry[] {
  return entries.sort((a, b) => a.at.localeCompare(b.at) || a.id - b.id);
}
