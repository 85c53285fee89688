import { Box, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, linesQuery, sitesQuery } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Answered } from '../../shared/ui';

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
  const form = useForm({
    first: { name },
    names: { name: 'the name' },
    send: (body) =>
      id === undefined
        ? ask('POST', '/api/setup/sites', { body })
        : ask('PUT', '/api/setup/sites/{id}', { path: { id }, body }),
  });
  const why = form.field('name');
  return (
    <Form form={form} label={id === undefined ? 'New site' : name} sx={{ display: 'grid', gap: 1, pb: 1 }}>
      <TextField
        label={id === undefined ? 'New site' : 'Site'}
        value={form.value.name}
        error={why.error}
        helperText={why.helperText ?? hint}
        onChange={(event) => form.change({ name: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      {(form.changed || form.saved) && (
        <SaveBar
          form={form}
          save={id === undefined ? 'Add' : 'Rename'}
          ready={form.changed && form.value.name.trim() !== ''}
          saved={() => 'Saved.'}
        />
      )}
    </Form>
  );
}
