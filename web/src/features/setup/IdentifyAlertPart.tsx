import { Box } from '@mui/material';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { ask, keys, staffQuery } from '../../shared/api';
import { Blank, ProblemNote } from '../../shared/ui';
import { Part } from './Part';
import { useSetUpChange } from './useSetUpChange';

const alertQuery = queryOptions({
  queryKey: [...keys.setup, 'identify-alert'] as const,
  queryFn: () => ask('GET', '/api/setup/identify-alert'),
});

const MINUTES = [10, 20, 30, 45, 60, 120, 240, 480];

/** Who is alerted when nobody says for long who writes; saved at once. */
export function IdentifyAlertPart() {
  const alert = useQuery(alertQuery).data;
  const staff = useQuery(staffQuery).data ?? [];
  const change = useSetUpChange();
  const set = (afterMinutes: number, staffId: number | undefined) =>
    change.mutate(() => ask('PUT', '/api/setup/identify-alert', { body: { afterMinutes, staffId } }));
  if (!alert) return null;
  const minutes = [...new Set([...MINUTES, alert.afterMinutes])].sort((a, b) => a - b);
  return (
    <Box sx={{ p: 2, maxWidth: 860 }}>
      <Part title="Unknown numbers">
        <Box sx={{ typography: 'body2' }}>
          When nobody has said who is writing for{' '}
          <Blank
            name="How long"
            value={String(alert.afterMinutes)}
            options={minutes.map((one) => ({ value: String(one), words: `${one} working minutes` }))}
            onChange={(one) => set(Number(one), alert.staffId)}
          />
          , alert{' '}
          <Blank
            name="Whom to alert"
            value={alert.staffId === undefined ? '' : String(alert.staffId)}
            options={[
              { value: '', words: 'nobody' },
              ...staff.map(({ id, name }) => ({ value: String(id), words: name })),
            ]}
            onChange={(one) => set(alert.afterMinutes, one === '' ? undefined : Number(one))}
          />
          .
        </Box>
        {change.error && <ProblemNote problem={change.error} />}
      </Part>
    </Box>
  );
}
