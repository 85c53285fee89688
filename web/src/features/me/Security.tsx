import { Box, Button, TextField } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, beginSession, keys, linesQuery } from '../../shared/api';
import { mySignInsQuery } from './queries';
import { Moment, ProblemNote, whyOf } from '../../shared/ui';
import { browserWords } from './model/browser';

const heading = { m: 0, mb: 1, typography: 'heading' } as const;

/** My password, and where I am signed in. */
export function Security() {
  return (
    <Box sx={{ display: 'grid', gap: 4, maxWidth: 640 }}>
      <Password />
      <WhereSignedIn />
    </Box>
  );
}

function Password() {
  const queries = useQueryClient();
  const [old, setOld] = useState('');
  const [wanted, setWanted] = useState('');
  const change = useMutation({
    mutationFn: () => ask('PUT', '/api/session/password', { body: { old, wanted } }),
    onSuccess: (session) => {
      setOld('');
      setWanted('');
      beginSession(queries, session);
      void queries.invalidateQueries({ queryKey: keys.me });
    },
  });
  const oldWhy = whyOf(change.error, 'old');
  const wantedWhy = whyOf(change.error, 'wanted');
  return (
    <Box
      component="form"
      aria-label="Change my password"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate();
      }}
      sx={{ display: 'grid', gap: 2, maxWidth: 420 }}
    >
      <Box component="h3" sx={{ ...heading, mb: 0 }}>
        Password
      </Box>
      <TextField
        label="Current password"
        type="password"
        autoComplete="current-password"
        value={old}
        {...oldWhy}
        onChange={(event) => setOld(event.target.value)}
      />
      <TextField
        label="New password"
        type="password"
        autoComplete="new-password"
        value={wanted}
        {...wantedWhy}
        helperText={wantedWhy.helperText ?? 'At least 10 characters. A few words in a row work well.'}
        onChange={(event) => setWanted(event.target.value)}
      />
      {change.error && !oldWhy.error && !wantedWhy.error && <ProblemNote problem={change.error} />}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={change.isPending || old === '' || wanted === ''}>
          Change password
        </Button>
        {change.isSuccess && <Box role="status">Password changed. You are signed out everywhere else.</Box>}
      </Box>
    </Box>
  );
}

function WhereSignedIn() {
  const queries = useQueryClient();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const query = useQuery(mySignInsQuery);
  const end = useMutation({
    mutationFn: () => ask('DELETE', '/api/me/sign-ins'),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.me }),
  });
  const all = query.data?.signIns ?? [];
  return (
    <Box component="section" aria-label="Where I am signed in">
      <Box component="h3" sx={heading}>
        Where I am signed in
      </Box>
      {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {all.map((one) => (
          <Box
            component="li"
            key={one.id}
            sx={{ py: 0.5, borderBottom: 1, borderColor: 'divider', display: 'flex', gap: 2 }}
          >
            <Box sx={{ flex: 1 }}>
              {browserWords(one.agent)}, from {one.address}
              {one.id === query.data?.here && <strong> · here</strong>}
            </Box>
            <Box className="figures" sx={{ color: 'text.secondary' }}>
              since <Moment at={one.at} zone={zone} />
            </Box>
          </Box>
        ))}
      </Box>
      <Button variant="outlined" sx={{ mt: 1 }} disabled={all.length < 2 || end.isPending} onClick={() => end.mutate()}>
        Sign out everywhere else
      </Button>
      {end.error && <ProblemNote problem={end.error} />}
    </Box>
  );
}
