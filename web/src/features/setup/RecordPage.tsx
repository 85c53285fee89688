import { Box, Button, TextField } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { linesQuery, recordQuery } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { ChangeLine } from './ChangeLine';

/** Who may see or do what, and who changed that. Nobody can change the record. */
export function RecordPage() {
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const record = useInfiniteQuery(recordQuery(words));
  const refusal = useRefusal('EXPORT');
  const changes = record.data?.pages.flat() ?? [];
  return (
    <Box sx={{ p: 2, maxWidth: 980 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'end', mb: 1.5, flexWrap: 'wrap' }}>
        <TextField
          label="That mention"
          placeholder="a name, a permission, a team"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          sx={{ width: 280 }}
        />
        <ActButton
          refusal={refusal}
          variant="outlined"
          href={`/api/setup/record.csv?${new URLSearchParams({ words }).toString()}`}
        >
          Save as a file (CSV)
        </ActButton>
        <Box sx={{ color: 'text.secondary', typography: 'body2' }}>Entries cannot be changed.</Box>
      </Box>
      {record.error && <ProblemNote problem={record.error} onRetry={() => void record.refetch()} />}
      {record.data && changes.length === 0 && (
        <Box sx={{ color: 'text.secondary' }}>
          {words === '' ? 'Nothing was changed yet.' : 'No entries mention this.'}
        </Box>
      )}
      <Box component="ol" aria-label="Access log" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {changes.map((change) => (
          <ChangeLine
            key={change.id}
            {...change}
            zone={zone}
            who={change.by ?? 'Fabulum'}
            before={change.before}
            after={change.after}
          />
        ))}
      </Box>
      {record.hasNextPage && <Button onClick={() => void record.fetchNextPage()}>Earlier changes</Button>}
    </Box>
  );
}
