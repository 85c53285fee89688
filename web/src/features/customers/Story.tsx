import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { Suspense, useCallback, useMemo } from 'react';
import { Link } from 'react-router';
import { linesQuery, teamsQuery } from '../../shared/api';
import { useMe } from '../../shared/ui';
import { EntryLine, ScriptScroll } from '../entries';
import { ExportButton } from '../exports';
import { FindBar, standsIn, useFind, useFindKey, useReach } from '../find';
import { told, type Told } from './told';
import { readStory, storyQuery } from './queries';

interface Props {
  id: number;
  name: string;
  zone: string;
  /** A number as people at home write it. */
  shown: (address: string) => string;
}

/** All that was said with a customer, over every line and number, as one script; it says each time where it goes on. */
export function Story({ id, name, zone, shown }: Props) {
  const story = useInfiniteQuery(storyQuery(id));
  const lines = useQuery(linesQuery).data ?? [];
  const teams = useQuery(teamsQuery).data;
  const me = useMe().staff.id;
  const find = useFind(useMemo(() => ({ customer: id }), [id]));
  useFindKey(find);
  const { part, goTo } = find;
  const all = useMemo(
    () => told(story.data?.pages ?? [], zone, (entry) => standsIn(part, entry)),
    [story.data, zone, part],
  );
  const isRead = story.data === undefined || all.some(({ entry }) => entry.id === goTo?.id);
  const notHere = useReach({
    queryKey: storyQuery(id).queryKey,
    line: goTo?.id,
    isRead: isRead || part !== 'all',
    downTo: (entry: number) => -entry,
    read: (param) => readStory(id, param),
  });
  const teamName = useCallback((team: number) => teams?.find((one) => one.id === team)?.name ?? 'a team', [teams]);
  if (story.data && all.length === 0 && part === 'all') {
    return (
      <Box sx={{ flex: 1, p: 3, color: 'text.secondary', bgcolor: 'background.paper' }}>
        Nothing was said with {name} yet, on the lines you see. Write to them below.
      </Box>
    );
  }
  return (
    <>
      {find.isOpen && (
        <Suspense fallback={null}>
          <FindBar find={find} label="this story" plans={false}>
            <ExportButton
              said={`everything; ever; customer ${id}`}
              title={`All that was said with ${name}`}
              zone={zone}
            />
          </FindBar>
        </Suspense>
      )}
      <ScriptScroll label={`All that was said with ${name}`} lines={all} query={story} goTo={goTo} problem={notHere}>
        {(line) => {
          const { place } = line as Told;
          return (
            <>
              {place && (
                <Box
                  sx={{
                    display: 'flex',
                    alignItems: 'baseline',
                    gap: 1,
                    px: 2,
                    mt: 1.5,
                    typography: 'caption',
                    color: 'info.main',
                    fontWeight: 700,
                    '&::after': { content: '""', flex: 1, borderTop: 1, borderColor: 'divider' },
                  }}
                >
                  <Box component="span" className="figures">
                    {lines.find((one) => one.id === place.lineId)?.name ?? 'Another line'},{' '}
                    {place.group ? 'a group' : shown(place.address)}
                  </Box>
                  <Button
                    component={Link}
                    to={`/inbox/${place.conversationId}`}
                    sx={{ p: 0, fontSize: 'inherit' }}
                    aria-label="Open this conversation"
                  >
                    Open
                  </Button>
                </Box>
              )}
              <EntryLine
                line={line}
                here={line.entry.id === goTo?.id}
                hits={find.hits.get(line.entry.id)}
                isFirstNew={false}
                zone={zone}
                customer={name}
                me={me}
                teamName={teamName}
              />
            </>
          );
        }}
      </ScriptScroll>
    </>
  );
}
