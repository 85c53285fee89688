import { part } from '../../shared/ui';
import { useInfiniteQuery } from '@tanstack/react-query';
import { type Entry, type Hit, keys, type Member } from '../../shared/api';
import { memo, Suspense, useMemo } from 'react';
import { downTo, readScript, scriptQuery } from './queries';
import { EntryLine, firstUnread, type GoTo, printed, ScriptScroll } from '../entries';
import { type ShownPart, standsIn, useReach } from '../find';
import { TakeBack } from './TakeBack';

/** Fetched with the first script. */
const TextMenu = part(() => import('./TextMenu').then((part) => part.TextMenu));

/** Fetched when the first text was not delivered. */
const LostText = part(() => import('./LostText').then((part) => part.LostText));

interface Props {
  id: number;
  zone: string;
  customer: string;
  me: number;
  /** Up to when the user had read it before; what others said since is marked as new. */
  readBefore: string | undefined;
  teamName: (id: number) => string;
  /** Puts the words of a text that was not delivered back onto the paper. */
  onWriteAgain: (words: string, again: number) => void;
  /** Quotes a text in a note. */
  onQuote: (entry: Entry) => void;
  /** Leaves such a text as it is. */
  onLeave: (text: number) => void;
  /** The line of the conversation. */
  line: number;
  /** Other numbers of the customer, in E.164. */
  numbers: string[];
  /** Everybody in a group. */
  members: Member[];
  /** A line to go to. */
  goTo: GoTo | undefined;
  /** What is marked, by line. */
  hits: Map<number, Hit[]>;
  /** Which lines are shown. */
  shownPart: ShownPart;
}

function isText({ kind, words }: Entry): boolean {
  return (kind === 'IN' || kind === 'OUT') && words !== undefined && words !== '';
}

/** The script itself, to the very first text. */
export const Lines = memo(function Lines({
  id,
  onWriteAgain,
  onQuote,
  onLeave,
  line,
  numbers,
  readBefore,
  goTo,
  hits,
  shownPart,
  ...shown
}: Props) {
  const { zone, me } = shown;
  const query = useInfiniteQuery(scriptQuery(id));
  const lines = useMemo(() => {
    const pages = query.data?.pages ?? [];
    const entries = [...pages].reverse().flatMap((page) => page.entries);
    return printed(
      entries.filter((entry) => standsIn(shownPart, entry)),
      zone,
    );
  }, [query.data, zone, shownPart]);
  const isRead = query.data === undefined || lines.some(({ entry }) => entry.id === goTo?.id);
  const notHere = useReach({
    queryKey: keys.script(id),
    line: goTo?.id,
    isRead: isRead || shownPart !== 'all',
    downTo,
    read: (param) => readScript(id, param),
  });
  const firstNew = useMemo(() => firstUnread(lines, readBefore, me), [lines, readBefore, me]);
  return (
    <ScriptScroll label="Script" lines={lines} query={query} goTo={goTo} problem={notHere}>
      {(each) => (
        <EntryLine
          line={each}
          here={each.entry.id === goTo?.id}
          hits={hits.get(each.entry.id)}
          isFirstNew={each.entry.id === firstNew}
          menu={
            isText(each.entry) && (
              <Suspense fallback={null}>
                <TextMenu entry={each.entry} onQuote={onQuote} />
              </Suspense>
            )
          }
          {...shown}
        >
          {each.entry.leavesAt && each.entry.delivery === 'WAITING' && each.entry.speaker?.id === me && (
            <TakeBack text={each.entry.id} />
          )}
          {each.entry.needsHand && (
            <Suspense fallback={null}>
              <LostText
                entry={each.entry}
                line={line}
                numbers={numbers}
                members={shown.members}
                onWriteAgain={onWriteAgain}
                onLeave={onLeave}
              />
            </Suspense>
          )}
        </EntryLine>
      )}
    </ScriptScroll>
  );
});
