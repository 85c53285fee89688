import { Box, Button, TextField } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, linesQuery, sitesQuery, readAllAgain } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';

/** Places of business and the lines that belong to them. */
export function SitesPage() {
  const sites = useQuery(sitesQuery).data ?? [];
  const lines = useQuery(linesQuery).data ?? [];
  return (
    <Box sx={{ p: 2, maxWidth: 640, display: 'grid', gap: 1.5, alignContent: 'start' }}>
      {sites.map((site) => (
        <NameForm
          key={`${site.id} ${site.name}`}
          id={site.id}
          name={site.name}
          hint={
            lines
              .filter((line) => line.siteId === site.id)
              .map((line) => line.name)
              .join(', ') || 'no lines yet'
          }
        />
      ))}
      <NameForm key={`new ${sites.length}`} id={undefined} name="" hint="another place of business" />
    </Box>
  );
}

function NameForm({ id, name, hint }: { id: number | undefined; name: string; hint: string }) {
  const queries = useQueryClient();
  const [words, setWords] = useState(name);
  const save = useMutation({
    mutationFn: () =>
      ask(id === undefined ? 'POST' : 'PUT', `/api/setup/sites${id === undefined ? '' : `/${id}`}`, { name: words }),
    onSuccess: () => readAllAgain(queries),
  });
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end' }}>
        <TextField
          label={id === undefined ? 'New site' : 'Site'}
          value={words}
          helperText={hint}
          onChange={(event) => setWords(event.target.value)}
          sx={{ flex: 1 }}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <Button type="submit" variant="outlined" disabled={words.trim() === '' || words === name || save.isPending}>
          {id === undefined ? 'Add' : 'Rename'}
        </Button>
      </Box>
      {save.error && <ProblemNote problem={save.error} />}
    </Box>
  );
}
