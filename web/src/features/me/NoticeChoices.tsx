import { Box, Button, Checkbox } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Channel, type NoticeChoice, type NoticeKind } from '../../shared/api';
import { noticeChoicesQuery } from './queries';
import { ProblemNote } from '../../shared/ui';

const KINDS: [NoticeKind, string][] = [
  ['MINE', 'my conversations'],
  ['NOBODYS', 'conversations nobody owns'],
  ['MENTION', 'notes that mention me'],
  ['UNDELIVERED', 'texts that were not delivered'],
  ['SOON', 'my answers due soon'],
  ['LATE', 'my late answers'],
  ['TO_IDENTIFY', 'unknown numbers that wait too long'],
];
const WAYS: [Channel, string][] = [
  ['HERE', 'here, in Notices'],
  ['DESKTOP', 'desktop'],
  ['SOUND', 'sound'],
  ['MAIL', 'mail'],
];

/** How I am told of what. */
export function NoticeChoices() {
  const queries = useQueryClient();
  const query = useQuery(noticeChoicesQuery);
  const [permission, setPermission] = useState('Notification' in window ? Notification.permission : 'denied');
  const choose = useMutation({
    mutationFn: (choice: { kind: NoticeKind; channel: Channel; wanted: boolean }) =>
      ask('PUT', '/api/notices/choices', { body: choice }),
    onMutate: ({ kind, channel, wanted }) =>
      queries.setQueryData<NoticeChoice[]>(noticeChoicesQuery.queryKey, (all) =>
        all?.map((one) =>
          one.kind === kind
            ? { ...one, by: wanted ? [...one.by, channel] : one.by.filter((each) => each !== channel) }
            : one,
        ),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: noticeChoicesQuery.queryKey }),
  });
  const has = (kind: NoticeKind, channel: Channel) =>
    query.data?.find((one) => one.kind === kind)?.by.includes(channel) ?? false;
  return (
    <Box>
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', '& th, & td': { py: 0.5, px: 1.5, borderBottom: 1, borderColor: 'divider' } }}
      >
        <thead>
          <tr>
            <Box
              component="th"
              scope="col"
              sx={{ textAlign: 'left', fontWeight: 500, color: 'text.secondary', pl: '0 !important' }}
            >
              Notify me of
            </Box>
            {WAYS.map(([channel, words]) => (
              <Box component="th" scope="col" key={channel} sx={{ fontWeight: 500, color: 'text.secondary' }}>
                {words}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {KINDS.map(([kind, words]) => (
            <tr key={kind}>
              <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 600, pl: '0 !important' }}>
                {words}
              </Box>
              {WAYS.map(([channel, way]) => (
                <Box component="td" key={channel} sx={{ textAlign: 'center' }}>
                  <Checkbox
                    size="small"
                    sx={{ p: 0.25 }}
                    checked={has(kind, channel)}
                    onChange={(_, wanted) => choose.mutate({ kind, channel, wanted })}
                    slotProps={{ input: { 'aria-label': `${words}, ${way}` } }}
                  />
                </Box>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      {(query.error ?? choose.error) && <ProblemNote problem={query.error ?? choose.error} />}
      <Box component="p" sx={{ color: 'text.secondary', maxWidth: '62ch' }}>
        You get one notification when a customer starts waiting, not one for each text, and none while you have the
        conversation open. Alerts that a lead has set up for you always appear in Notices.
      </Box>
      {permission === 'default' && (
        <Button
          variant="outlined"
          onClick={() => void Notification.requestPermission().then((answer) => setPermission(answer))}
        >
          Allow desktop notifications in this browser
        </Button>
      )}
      {permission === 'denied' && (
        <Box sx={{ color: 'text.secondary' }}>This browser does not allow Fabulum desktop notifications.</Box>
      )}
    </Box>
  );
}
