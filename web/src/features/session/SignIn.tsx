import { Box, Button, Typography } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { ApiProblem, ask, beginSession } from '../../shared/api';
import { Field, useTitle } from '../../shared/ui';
import { FrontPage } from './FrontPage';

export function SignIn() {
  useTitle('Sign in');
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => first.current?.focus(), []);
  const signIn = useMutation({
    mutationFn: async () => {
      await ask('GET', '/api/session').catch(() => undefined); // brings the token that guards against foreign pages
      return ask('POST', '/api/session', { body: { name, password } });
    },
    onSuccess: (session) => beginSession(queries, session),
    onError: () => setPassword(''),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!signIn.isPending) signIn.mutate();
  };
  const problem =
    signIn.error instanceof ApiProblem
      ? signIn.error.message
      : signIn.error
        ? 'No connection to Fabulum. Check your network and try again.'
        : undefined;
  return (
    <FrontPage>
      <Typography component="p" sx={{ typography: 'aside', color: 'text.secondary' }}>
        Welcome. Please sign in.
      </Typography>
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, mt: 2 }}>
        <Field
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          autoComplete="username"
          inputRef={first}
          required
        />
        <Field
          label="Password"
          type="password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          autoComplete="current-password"
          required
        />
        <Box role="alert" sx={{ color: 'error.main', minHeight: 22 }}>
          {problem}
        </Box>
        <Button type="submit" variant="contained" size="large" disabled={signIn.isPending}>
          Sign in
        </Button>
      </Box>
    </FrontPage>
  );
}
