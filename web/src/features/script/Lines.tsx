import { Box, Button } from '@mui/material';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { scriptQuery } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { EntryLine } from './EntryLine';
import { LostText } from './LostText';
import { firstUnread, printed } from './model/scene';

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
  /** Leaves such a text as it is. */
  onLeave: (text: number) => void;
  /** The line of the conversation. */
  line: number;
  /** Other numbers of the customer, in E.164. */
  numbers: string[];
}

/** The script itself, to the very first text. It opens at its end and stays there while new lines come. */
export function Lines({ id, onWriteAgain, onLeave, line, numbers, readBefore, ...shown }: Props) {
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
  if (query.error && !query.data) return <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />;
  return (
    <Box
      role="region"
      aria-label="Script"
      // A scrolling region must be reachable by keyboard.
      tabIndex={0}
      sx={{
        flex: 1,
        minHeight: 0,
        overflowY: 'auto',
        display: 'flex',
        flexDirection: 'column-reverse',
        bgcolor: 'background.paper',
      }}
    >
      <Box sx={{ pb: 2, pt: 1, mb: 'auto' }}>
        {query.hasNextPage && (
          <Box sx={{ textAlign: 'center' }}>
            <Button onClick={() => void query.fetchNextPage()} disabled={query.isFetchingNextPage}>
              Earlier lines
            </Button>
          </Box>
        )}
        {lines.map((each) => (
          <EntryLine key={each.entry.id} line={each} isFirstNew={each.entry.id === firstNew} {...shown}>
            {each.entry.needsHand && (
              <LostText
                entry={each.entry}
                line={line}
                numbers={numbers}
                onWriteAgain={onWriteAgain}
                onLeave={onLeave}
              />
            )}
          </EntryLine>
        ))}
      </Box>
    </Box>
  );
}
