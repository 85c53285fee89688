import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { linesQuery, type WebForm } from '../../shared/api';
import { Answered } from '../../shared/ui';
import { FormAddress } from './FormAddress';
import { FormEditor } from './FormEditor';
import { NEW_FORM, asksWords } from './model/forms';
import { formsQuery } from './queries';

/** Forms that the business's web site links to or shows in a frame. What is sent by them becomes a text conversation. */
export function FormsPage() {
  const forms = useQuery(formsQuery);
  const lines = useQuery(linesQuery).data ?? [];
  const [editing, setEditing] = useState<number>();
  return (
    <Box sx={{ p: 2, maxWidth: 980, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box>
        A form on your web site where people ask you something. What they send becomes a text conversation on the line
        you choose, once they have confirmed their number with a code. You can also make a form that only asks whether
        you may text someone, to show how people agree.
      </Box>
      {editing === 0 ? (
        <FormEditor key="new" had={NEW_FORM} lines={lines} onClose={() => setEditing(undefined)} />
      ) : (
        <Box>
          <Button variant="contained" onClick={() => setEditing(0)}>
            Add a form
          </Button>
        </Box>
      )}
      <Answered query={forms}>
        {(rows) =>
          rows.length === 0 ? (
            <Box sx={{ color: 'text.secondary' }}>
              No form yet. Each appears here with its address and what your web site needs to show it.
            </Box>
          ) : (
            rows.map((form) =>
              editing === form.id ? (
                <FormEditor key={form.id} had={form} lines={lines} onClose={() => setEditing(undefined)} />
              ) : (
                <Row key={form.id} form={form} lineName={nameOf(lines)} onEdit={() => setEditing(form.id)} />
              ),
            )
          )
        }
      </Answered>
    </Box>
  );
}

const nameOf = (lines: { id: number; name: string }[]) => (id: number) =>
  lines.find((line) => line.id === id)?.name ?? 'a line';

function Row({ form, lineName, onEdit }: { form: WebForm; lineName: (id: number) => string; onEdit: () => void }) {
  return (
    <Box
      component="section"
      aria-label={form.name}
      sx={{
        border: 1,
        borderColor: 'divider',
        borderLeft: 4,
        borderLeftColor: form.inUse ? 'primary.main' : 'divider',
        bgcolor: 'background.paper',
        p: 1.5,
        display: 'grid',
        gap: 0.5,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Box component="h2" sx={{ m: 0, typography: 'title', flex: 1, overflowWrap: 'anywhere' }}>
          {form.name}
        </Box>
        <Button sx={{ p: 0 }} onClick={onEdit}>
          Change {form.name}
        </Button>
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {asksWords(form)}
        {' Goes to '}
        {form.lines.map(lineName).join(', ')}.
      </Box>
      {form.inUse && <FormAddress address={form.address} heading={form.heading} />}
    </Box>
  );
}
