import { Box, TextField } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { type AccessChange, linesQuery } from '../../shared/api';
import { recordQuery } from './queries';
import { DataTable } from '../../shared/table';
import { ActButton, useRefusal } from '../../shared/ui';
import { changeColumns } from './changeColumns';
import { useOrder } from './useOrder';

/** Who may see or do what, and who changed that. Nobody can change the log. */
export function RecordPage() {
  const [order, setOrder] = useOrder();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const record = useInfiniteQuery(recordQuery(words, order));
  const refusal = useRefusal('EXPORT');
  const rows = useMemo(() => record.data?.pages.flat() ?? [], [record.data]);
  const columns = useMemo(
    () => changeColumns<AccessChange>(zone, (change) => ({ ...change, who: change.by ?? 'Fabulum' })),
    [zone],
  );
  return (
    <Box sx={{ p: 2, maxWidth: 1100, display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'end', mb: 1.5, flexWrap: 'wrap' }}>
        <TextField
          label="Entries that mention"
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
      <DataTable
        label="Access log"
        name="access-log"
        columns={columns}
        rows={rows}
        keyOf={(change) => change.id}
        query={record}
        order={order}
        onOrder={setOrder}
        empty={words === '' ? 'No changes yet.' : 'No entries mention this.'}
      />
    </Box>
  );
}
