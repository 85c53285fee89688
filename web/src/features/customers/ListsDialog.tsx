import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { ask, customerTermsQuery } from '../../shared/api';
import { ActButton, BlankText, Field, ProblemNote, useRefusal } from '../../shared/ui';
import { useCustomerChange } from './queries';

/** The customer lists there are: made, renamed, removed. */
export function ListsDialog({ onClose }: { onClose: () => void }) {
  const lists = useQuery(customerTermsQuery).data?.lists ?? [];
  const change = useCustomerChange();
  const refusal = useRefusal('WORK');
  const [name, setName] = useState('');
  const [removing, setRemoving] = useState<number>();
  const add = () =>
    change.mutate(
      { go: () => ask('POST', '/api/customer-lists', { body: { name } }) },
      { onSuccess: () => setName('') },
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="lists-title" fullWidth maxWidth="sm">
      <DialogTitle id="lists-title">Customer lists</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1, typography: 'body2' }}>
        {lists.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>
            None yet. A list keeps customers together by hand, such as everyone on the outer berths.
          </Box>
        )}
        {lists.map((list) => (
          <Box
            key={list.id}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              gap: 1.5,
              alignItems: 'baseline',
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box sx={{ flex: 1 }}>
              {refusal === '' ? (
                <BlankText
                  name={`Name of the list ${list.name}`}
                  value={list.name}
                  placeholder="name"
                  onChange={(now) =>
                    change.mutate({
                      go: () => ask('PUT', '/api/customer-lists/{id}', { path: { id: list.id }, body: { name: now } }),
                    })
                  }
                />
              ) : (
                list.name
              )}
            </Box>
            <Button component={Link} to={`/customers?show=list+${list.id}`} onClick={onClose} sx={{ p: 0 }}>
              {list.size === 1 ? '1 customer' : `${list.size} customers`}
            </Button>
            {removing === list.id ? (
              <>
                <ActButton
                  refusal={refusal}
                  color="error"
                  sx={{ p: 0 }}
                  onClick={() =>
                    change.mutate(
                      { go: () => ask('DELETE', '/api/customer-lists/{id}', { path: { id: list.id } }) },
                      { onSuccess: () => setRemoving(undefined) },
                    )
                  }
                >
                  Remove the list; its customers stay
                </ActButton>
                <Button sx={{ p: 0 }} onClick={() => setRemoving(undefined)}>
                  Keep
                </Button>
              </>
            ) : (
              <ActButton
                refusal={refusal}
                sx={{ p: 0 }}
                aria-label={`Remove the list ${list.name}`}
                onClick={() => setRemoving(list.id)}
              >
                Remove…
              </ActButton>
            )}
          </Box>
        ))}
        <Box
          component="form"
          sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <Field
            label="New list"
            value={name}
            placeholder="Outer berths"
            slotProps={{ htmlInput: { maxLength: 80 } }}
            onChange={(event) => setName(event.target.value)}
          />
          <ActButton refusal={refusal} type="submit" disabled={name.trim() === '' || change.isPending}>
            Make the list
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
