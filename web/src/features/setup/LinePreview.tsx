import { Box } from '@mui/material';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ask, type LineSetup } from '../../shared/api';
import { instantOf, localOf, moment } from '../../shared/format';
import { useNow } from '../../shared/ui';

const A_MINUTE_MS = 60_000;

/** When an answer would be due that comes now, tonight, or on Saturday: as the line is drawn here, saved or not. */
export function LinePreview({ line }: { line: LineSetup }) {
  const now = useNow();
  const minute = Math.floor(now.getTime() / A_MINUTE_MS) * A_MINUTE_MS;
  return (
    <Box
      component="ul"
      aria-label="When an answer would be due"
      className="figures"
      sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 0.25 }}
    >
      <Due line={line} said="A text now" at={undefined} minute={minute} />
      <Due line={line} said="One tonight at 22:00" at={{ days: 0, time: '22:00' }} minute={minute} />
      <Due line={line} said="One on Saturday at noon" at={{ days: 'saturday', time: '12:00' }} minute={minute} />
    </Box>
  );
}

interface DueProps {
  line: LineSetup;
  said: string;
  at: { days: number | 'saturday'; time: string } | undefined;
  minute: number;
}

function when(at: NonNullable<DueProps['at']>, now: Date, zone: string): Date | undefined {
  try {
    const today = new Date(`${localOf(now, zone).slice(0, 10)}T00:00:00Z`);
    const days = at.days === 'saturday' ? (6 - today.getUTCDay() + 7) % 7 || 7 : at.days;
    const date = new Date(today.getTime() + days * 86_400_000).toISOString().slice(0, 10);
    return instantOf(`${date}T${at.time}`, zone);
  } catch {
    // A zone that is only half typed.
    return undefined;
  }
}

function Due({ line, said, at, minute }: DueProps) {
  const now = new Date(minute);
  const then = at && when(at, now, line.zone);
  const preview = useQuery({
    queryKey: ['preview', said, minute, line],
    queryFn: () => ask('POST', '/api/setup/lines/preview', { query: { at: then?.toISOString() }, body: line }),
    enabled: at === undefined || then !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const due = preview.data?.due;
  const words = preview.error
    ? 'not known yet'
    : due
      ? `would be due ${moment(new Date(due), now, line.zone)}`
      : preview.data
        ? 'never due: the line does not open'
        : '…';
  return (
    <li>
      {said} <strong>{words}</strong>
      {preview.data && !preview.error && !preview.data.open && ' (closed then)'}
    </li>
  );
}
