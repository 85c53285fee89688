import { Box, Button, Typography } from '@mui/material';
import { Field, whyOf } from '../../shared/ui';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { ApiProblem, ask, beginSession } from '../../shared/api';
import { FrontPage } from './FrontPage';

/** Before anything else, a password given for one use is replaced. */
export function ChangePassword() {
  const queries = useQueryClient();
  const [old, setOld] = useState('');
  const [wanted, setWanted] = useState('');
  const change = useMutation({
    mutationFn: () => ask('PUT', '/api/session/password', { body: { old, wanted } }),
    onSuccess: (session) => beginSession(queries, session),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  const problem = change.error instanceof ApiProblem ? change.error : undefined;
  const why = (field: string) => whyOf(problem, field);
  return (
    <FrontPage>
      <Typography>The password you were given was for one use. Choose your own.</Typography>
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, mt: 2 }}>
        <Field
          label="The password you were given"
          type="password"
          value={old}
          onChange={(e) => setOld(e.target.value)}
          autoComplete="current-password"
          {...why('old')}
          required
        />
        <Field
          label="Your own password"
          type="password"
          value={wanted}
          onChange={(e) => setWanted(e.target.value)}
          autoComplete="new-password"
          error={why('wanted').error}
          helperText={why('wanted').helperText ?? 'At least 10 characters. A few words in a row work well.'}
          required
        />
        {problem && problem.fields.length === 0 && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {problem.message}
          </Box>
        )}
        <Button type="submit" variant="contained" size="large" disabled={change.isPending}>
          Use this password
        </Button>
      </Box>
    </FrontPage>
  );
}
