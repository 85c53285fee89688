import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, customerTermsQuery, linesQuery } from '../../shared/api';
import { Answered, Blank, Moment, ProblemNote, ShownOnce } from '../../shared/ui';
import { calendarAddressesQuery } from './queries';

/** Addresses at which a calendar program reads the appointments. */
export function CalendarDialog({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const addresses = useQuery(calendarAddressesQuery);
  const sites = useQuery(customerTermsQuery).data?.sites ?? [];
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const [site, setSite] = useState('');
  const again = () => queries.invalidateQueries({ queryKey: calendarAddressesQuery.queryKey });
  const make = useMutation({
    mutationFn: () =>
      ask('POST', '/api/calendar-addresses', { body: { siteId: site === '' ? undefined : Number(site) } }),
    onSettled: again,
  });
  const end = useMutation({
    mutationFn: (id: number) => ask('DELETE', '/api/calendar-addresses/{id}', { path: { id } }),
    onSettled: again,
  });
  const options = [
    { value: '', words: 'all sites' },
    ...sites.map(({ id, name }) => ({ value: String(id), words: `the site ${name}` })),
  ];
  return (
    <Dialog open onClose={onClose} aria-labelledby="calendar-title" fullWidth maxWidth="sm">
      <DialogTitle id="calendar-title">Appointments in your calendar program</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, typography: 'body2' }}>
        <Box>
          Give your calendar program an address of yours, and it shows the appointments of the last 60 days and all that
          are to come, and keeps them up to date. Whoever knows the address can read them, so keep it to yourself.
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
          <Box sx={{ flex: 1 }}>
            Show appointments with customers of <Blank name="Site" value={site} options={options} onChange={setSite} />.
          </Box>
          <Button variant="contained" disabled={make.isPending} onClick={() => make.mutate()}>
            Make an address
          </Button>
        </Box>
        {make.data && (
          <ShownOnce
            key={make.data.id}
            name="The new address"
            secret={`${window.location.origin}${make.data.path}`}
            words="Your new address"
          />
        )}
        <Answered query={addresses}>
          {(rows) => (
            <Box component="ul" aria-label="Your addresses" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {rows.map((one) => (
                <Box
                  component="li"
                  key={one.id}
                  sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', borderTop: 1, borderColor: 'divider' }}
                >
                  <Box sx={{ flex: 1 }}>
                    {one.siteId === undefined ? 'All sites' : sites.find(({ id }) => id === one.siteId)?.name}, made{' '}
                    <Moment at={one.madeAt} zone={zone} />
                    {one.lastUsedAt === undefined ? (
                      ', not read yet'
                    ) : (
                      <>
                        , last read <Moment at={one.lastUsedAt} zone={zone} />
                      </>
                    )}
                  </Box>
                  <Button disabled={end.isPending} onClick={() => end.mutate(one.id)}>
                    End it
                  </Button>
                </Box>
              ))}
            </Box>
          )}
        </Answered>
        {(make.error ?? end.error) && <ProblemNote problem={make.error ?? end.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
