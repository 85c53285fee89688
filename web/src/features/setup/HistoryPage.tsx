import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { historyQuery, linesQuery } from '../../shared/api';
import { Answered } from '../../shared/ui';
import { ChangeLine } from './ChangeLine';

/** Who changed what, and when; the newest first. */
export function HistoryPage() {
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const history = useInfiniteQuery(historyQuery);
  return (
    <Answered query={history}>
      {({ pages }) =>
        pages.flat().length === 0 ? (
          <Box sx={{ p: 3, color: 'text.secondary' }}>
            Nothing was changed yet. Every change appears here, with who made it.
          </Box>
        ) : (
          <Box component="ol" aria-label="Changes" sx={{ listStyle: 'none', m: 0, p: 2, maxWidth: 900 }}>
            {pages.flat().map((change) => (
              <ChangeLine
                key={change.id}
                at={change.at}
                zone={zone}
                who={change.who?.name}
                about={change.subject}
                what={change.what}
                before={change.before}
                after={change.after}
              />
            ))}
            {history.hasNextPage && <Button onClick={() => void history.fetchNextPage()}>Earlier changes</Button>}
          </Box>
        )
      }
    </Answered>
  );
}
