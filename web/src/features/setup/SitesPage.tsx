import { Box, Button, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { linesQuery, sitesQuery } from '../../shared/api';
import { Answered, Crossed, ProblemNote, useEdits } from '../../shared/ui';
import { useSetUpChange } from './useSetUpChange';

/** Places of business and the lines that belong to them. */
export function SitesPage() {
  const sites = useQuery(sitesQuery);
  const lines = useQuery(linesQuery).data ?? [];
  return (
    <Box sx={{ p: 2, maxWidth: 640, display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <Answered query={sites}>
        {(all) =>
          all.map((site) => (
            <NameForm
              key={site.id}
              id={site.id}
              name={site.name}
              hint={
                lines
                  .filter((line) => line.siteId === site.id)
                  .map((line) => line.name)
                  .join(', ') || 'no lines yet'
              }
            />
          ))
        }
      </Answered>
      <NameForm id={undefined} name="" hint="name of the site" />
    </Box>
  );
}

function NameForm({ id, name, hint }: { id: number | undefined; name: string; hint: string }) {
  const edits = useEdits({ name });
  const words = edits.now.name;
  const save = useSetUpChange();
  const send = () =>
    save.mutate(
      id === undefined
        ? { method: 'POST', path: 'sites', body: { name: words } }
        : { method: 'PUT', path: `sites/${id}`, body: { name: words } },
      { onSuccess: edits.asItWas },
    );
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end' }}>
        <TextField
          label={id === undefined ? 'New site' : 'Site'}
          value={words}
          helperText={hint}
          onChange={(event) => edits.change({ name: event.target.value })}
          sx={{ flex: 1 }}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <Button type="submit" variant="outlined" disabled={words.trim() === '' || !edits.changed || save.isPending}>
          {id === undefined ? 'Add' : 'Rename'}
        </Button>
        {id !== undefined && edits.changed && <Button onClick={edits.asItWas}>Undo changes</Button>}
      </Box>
      <Crossed what={edits.crossed.map(() => 'the name')} />
      {save.error && <ProblemNote problem={save.error} />}
    </Box>
  );
}
