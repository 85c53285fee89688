import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { ask } from '../../shared/api';
import { ActButton, Field, ProblemNote, useRefusal, whyOf } from '../../shared/ui';
import { linksQuery, useBookChange } from './queries';

/** The addresses of the business that texts point to. */
export function LinksDialog({ onClose }: { onClose: () => void }) {
  const links = useQuery(linksQuery).data ?? [];
  const change = useBookChange();
  const refusal = useRefusal('LEAD');
  const [name, setName] = useState('');
  const [address, setAddress] = useState('');
  const add = (event: FormEvent) => {
    event.preventDefault();
    change.mutate(() => ask('POST', '/api/links', { body: { name, address } }), {
      onSuccess: () => {
        setName('');
        setAddress('');
      },
    });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="links-title" fullWidth maxWidth="sm">
      <DialogTitle id="links-title">Links</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1, typography: 'body2' }}>
        <Box sx={{ color: 'text.secondary' }}>
          Your web site, booking page or agreement page. A template that has the placeholder of a link always points to
          the address as it is now.
        </Box>
        {links.map((link) => (
          <Box
            key={link.id}
            sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', borderBottom: 1, borderColor: 'divider' }}
          >
            <Box sx={{ fontWeight: 650 }}>{link.name}</Box>
            <Box sx={{ flex: 1, overflowWrap: 'anywhere', color: 'text.secondary' }}>{link.address}</Box>
            <ActButton
              refusal={refusal}
              sx={{ p: 0 }}
              aria-label={`Remove the link ${link.name}`}
              onClick={() => change.mutate(() => ask('DELETE', '/api/links/{id}', { path: { id: link.id } }))}
            >
              Remove
            </ActButton>
          </Box>
        ))}
        <Box
          component="form"
          noValidate
          onSubmit={add}
          sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', pt: 1 }}
        >
          <Field
            label="Name"
            value={name}
            placeholder="booking"
            {...whyOf(change.error, 'name')}
            onChange={(event) => setName(event.target.value)}
          />
          <Field
            label="Address"
            value={address}
            placeholder="https://quillhaven.example/book"
            {...whyOf(change.error, 'address')}
            sx={{ flex: 1 }}
            onChange={(event) => setAddress(event.target.value)}
          />
          <ActButton
            refusal={refusal}
            type="submit"
            sx={{ alignSelf: 'center' }}
            disabled={name.trim() === '' || address.trim() === '' || change.isPending}
          >
            Add
          </ActButton>
        </Box>
        {change.error && <ProblemNote problem={change.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
