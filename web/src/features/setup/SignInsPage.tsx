import { Box } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { linesQuery, type SignInRecord, staffQuery } from '../../shared/api';
import { signInRecordQuery } from './queries';
import { type Column, DataTable } from '../../shared/table';
import { fullMoment } from '../../shared/format';
import { Moment } from '../../shared/ui';
import { useOrder } from './useOrder';

const OUTCOMES: Record<SignInRecord['outcome'], string> = {
  IN: 'signed in',
  WRONG: '× wrong name or password',
  SLOWED: '× blocked after too many tries',
};

/** Refused attempts are counted by the hour; what else is shown is of the last of them. */
function times(one: SignInRecord): string {
  return one.tries > 1 ? `, ${one.tries} times within the hour` : '';
}

/** Who signed in, and attempts that were refused; the newest first. */
export function SignInsPage() {
  const [order, setOrder] = useOrder();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const staff = useQuery(staffQuery).data;
  const record = useInfiniteQuery(signInRecordQuery(order));
  const rows = useMemo(() => record.data?.pages.flat() ?? [], [record.data]);
  const columns = useMemo<Column<SignInRecord>[]>(() => {
    const nameOf = (one: SignInRecord) => staff?.find((each) => each.id === one.staffId)?.name ?? 'unknown name';
    return [
      {
        name: 'When',
        width: '150px',
        always: true,
        orders: true,
        text: (one) => fullMoment(new Date(one.at), zone),
        cell: (one) => (
          <span className="figures">
            <Moment at={one.at} zone={zone} />
          </span>
        ),
      },
      {
        name: 'Who',
        width: '190px',
        always: true,
        cell: (one) => nameOf(one),
        text: nameOf,
      },
      {
        name: 'What happened',
        width: 'minmax(220px, 1fr)',
        always: true,
        text: (one) => OUTCOMES[one.outcome] + times(one),
        cell: (one) => (
          <Box component="span" sx={{ color: one.outcome === 'IN' ? 'text.primary' : 'error.main' }}>
            {OUTCOMES[one.outcome]}
            {times(one)}
          </Box>
        ),
      },
      {
        name: 'Until',
        width: '150px',
        cell: (one) => one.endedAt && <Moment at={one.endedAt} zone={zone} />,
        text: (one) => (one.endedAt ? fullMoment(new Date(one.endedAt), zone) : ''),
      },
      { name: 'From', width: '180px', cell: (one) => one.address, text: (one) => one.address },
    ];
  }, [zone, staff]);
  return (
    <Box sx={{ p: 2, maxWidth: 1100, display: 'flex', flexDirection: 'column', flex: 1, minHeight: 0 }}>
      <Box component="p" sx={{ mt: 0, color: 'text.secondary' }}>
        Kept for 90 days. Refused attempts are counted by the hour and account.
      </Box>
      <DataTable
        label="Sign-ins"
        name="sign-ins"
        columns={columns}
        rows={rows}
        keyOf={(one) => one.id}
        query={record}
        order={order}
        onOrder={setOrder}
        empty="Nobody has signed in yet."
      />
    </Box>
  );
}
