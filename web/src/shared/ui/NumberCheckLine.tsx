import { Box, Button } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { ask, type NumberCheck } from '../api';
import { Moment } from './Moment';
import { ProblemNote } from './ProblemNote';

const REACH: Record<NonNullable<NumberCheck['reach']>, string> = {
  MOBILE: 'mobile',
  LANDLINE: 'landline, cannot receive texts',
  UNREACHABLE: 'nobody can be reached at it',
};

interface Props {
  address: string;
  check: NumberCheck | undefined;
  zone: string;
  /** Whether it can be asked about, and the person may. */
  may: boolean;
  onAsked: () => void;
}

/** What an outside service said of a number, and asking it. */
export function NumberCheckLine({ address, check, zone, may, onAsked }: Props) {
  const asking = useMutation({
    mutationFn: () => ask('POST', '/api/number-checks', { body: { number: address } }),
    onSettled: onAsked,
  });
  if (!check && !may) return null;
  const said = check?.reach && [REACH[check.reach], check.carrier].filter(Boolean).join(', ');
  return (
    <Box sx={{ color: 'text.secondary' }}>
      {said && check.checkedAt && (
        <>
          Number check <Moment at={check.checkedAt} zone={zone} />: {said}
          {check.registeredTo && `, registered to ${check.registeredTo}`}.{' '}
        </>
      )}
      {check?.asked === true ? (
        <span role="status">Number is being checked …</span>
      ) : (
        may && (
          <Button sx={{ p: 0 }} disabled={asking.isPending} onClick={() => asking.mutate()}>
            {said ? 'Check it again' : 'Check this number'}
          </Button>
        )
      )}
      {asking.error && <ProblemNote problem={asking.error} />}
    </Box>
  );
}
