import { Box, Button, Popover } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { ask, keys } from '../../shared/api';
import { noticesQuery } from './queries';
import { part, ProblemNote, useKeys, useOpenConversation } from '../../shared/ui';

/** Fetched when the list is first opened. */
const NoticeLine = part(() => import('./NoticeLine').then((part) => part.NoticeLine));

/** The list holds no more; beyond it one only knows that there are more. */
const MOST_COUNTED = 100;

/** How many notices wait to be seen, and the list of them. G opens it. */
export function NoticesMenu() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const open = useOpenConversation();
  const query = useQuery(noticesQuery);
  const button = useRef<HTMLButtonElement>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const seen = useMutation({
    mutationFn: (ids: number[] | undefined) => ask('POST', '/api/notices/seen', { body: ids ? { ids } : {} }),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.notices }),
  });
  useKeys({ g: () => setAnchor(button.current) });
  const notices = query.data?.notices ?? [];
  const unseen = query.data?.unseen ?? 0;
  return (
    <>
      <Button
        ref={button}
        color="inherit"
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ whiteSpace: 'nowrap', fontWeight: unseen > 0 ? 700 : 500 }}
      >
        Notices
        <Box
          component="span"
          className="figures"
          sx={{ ml: 0.75, color: unseen > 0 ? 'primary.main' : 'text.secondary' }}
        >
          {unseen < MOST_COUNTED ? unseen : `${MOST_COUNTED - 1}+`}
        </Box>
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box
          role="dialog"
          aria-label="Notices"
          sx={{ width: 'min(460px, 94vw)', maxHeight: '75vh', overflowY: 'auto' }}
        >
          <Box
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              px: 2,
              py: 0.75,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box component="h2" sx={{ m: 0, typography: 'body1', fontWeight: 700, flex: 1 }}>
              Notices
            </Box>
            <Button
              onClick={() => {
                setAnchor(null);
                void navigate('/me/notices');
              }}
            >
              Notifications
            </Button>
            <Button disabled={unseen === 0} onClick={() => seen.mutate(undefined)}>
              Mark all as seen
            </Button>
          </Box>
          {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
          {query.data && notices.length === 0 && (
            <Box sx={{ p: 3, color: 'text.secondary' }}>
              No notices. New texts for you, notes that name you and answers that are due soon appear here.
            </Box>
          )}
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            <Suspense fallback={null}>
              {notices.map((notice) => (
                <NoticeLine
                  key={notice.id}
                  notice={notice}
                  onSeen={() => !notice.seen && seen.mutate([notice.id])}
                  onOpen={() => {
                    seen.mutate([notice.id]);
                    setAnchor(null);
                    open(notice.conversation.id);
                  }}
                />
              ))}
            </Suspense>
          </Box>
        </Box>
      </Popover>
    </>
  );
}
