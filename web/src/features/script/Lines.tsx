import { part } from '../../shared/ui';
import { useInfiniteQuery } from '@tanstack/react-query';
import type { Entry, Member } from '../../shared/api';
import { memo, Suspense, useMemo } from 'react';
import { scriptQuery } from './queries';
import { EntryLine, firstUnread, printed, ScriptScroll } from '../entries';
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
  /** Up to when one had read it before; what others said since is marked as new. */
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
  ...shown
}: Props) {
  const { zone, me } = shown;
  const query = useInfiniteQuery(scriptQuery(id));
  const lines = useMemo(() => {
    const pages = query.data?.pages ?? [];
    return printed(
      [...pages].reverse().flatMap((page) => page.entries),
      zone,
    );
  }, [query.data, zone]);
  const firstNew = useMemo(() => firstUnread(lines, readBefore, me), [lines, readBefore, me]);
  return (
    <ScriptScroll label="Script" lines={lines} query={query}>
      {(each) => (
        <EntryLine
          line={each}
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
