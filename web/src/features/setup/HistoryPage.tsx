import { Box } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { linesQuery, type SetUpChange } from '../../shared/api';
import { historyQuery } from './queries';
import { DataTable } from '../../shared/table';
import { changeColumns } from './changeColumns';
import { useOrder } from './useOrder';

/** Who changed what, and when; the newest first. */
export function HistoryPage() {
  const [order, setOrder] = useOrder();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const history = useInfiniteQuery(historyQuery(order));
  const rows = useMemo(() => history.data?.pages.flat() ?? [], [history.data]);
  const columns = useMemo(
    () => changeColumns<SetUpChange>(zone, (change) => ({ ...change, who: change.who?.name, about: change.subject })),
    [zone],
  );
  return (
    <Box sx={{ p: 2, maxWidth: 1100, display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
      <DataTable
        label="Change log"
        name="change-log"
        columns={columns}
        rows={rows}
        keyOf={(change) => change.id}
        query={history}
        order={order}
        onOrder={setOrder}
        empty="No changes yet. Every change to the set-up appears here, with who made it."
      />
    </Box>
  );
}
