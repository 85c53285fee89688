import { Box, Button } from '@mui/material';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { scriptQuery } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { EntryLine } from './EntryLine';
import { printed } from './model/scene';

interface Props {
  id: number;
  zone: string;
  customer: string;
  me: number;
  teamName: (id: number) => string;
  onWriteAgain: (words: string) => void;
}

/** The script itself, to the very first text. It opens at its end and stays there while new lines come. */
export function Lines({ id, onWriteAgain, ...shown }: Props) {
  const { zone } = shown;
  const query = useInfiniteQuery(scriptQuery(id));
  const lines = useMemo(() => {
    const pages = query.data?.pages ?? [];
    return printed(
      [...pages].reverse().flatMap((page) => page.entries),
      zone,
    );
  }, [query.data, zone]);
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
        {lines.map((line) => (
          <EntryLine key={line.entry.id} line={line} onWriteAgain={onWriteAgain} {...shown} />
        ))}
      </Box>
    </Box>
  );
}
