import { Box, Button } from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import { ask, customerTermsQuery } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';

/** Has the numbers of chosen customers checked, after saying how many and what it costs. */
export function CheckNumbers({ customers }: { customers: number[] }) {
  const refusal = useRefusal('WORK');
  const canCheck = useQuery(customerTermsQuery).data?.canCheckNumbers ?? false;
  const estimate = useMutation({
    mutationFn: () => ask('POST', '/api/number-checks/estimate', { body: { customers } }),
  });
  const run = useMutation({
    mutationFn: (numbers: number) => ask('POST', '/api/number-checks/all', { body: { customers, numbers } }),
    onSettled: () => estimate.reset(),
  });
  if (!canCheck) return null;
  const found = estimate.data;
  const problem = estimate.error ?? run.error;
  return (
    <>
      {found && found.numbers > 0 ? (
        <>
          <Box>
            {found.numbers === 1 ? '1 number was' : `${found.numbers.toLocaleString('en-US')} numbers were`} never
            checked.
            {found.cost !== '' && ` Checking costs ${found.cost}.`}
          </Box>
          <Button variant="outlined" disabled={run.isPending} onClick={() => run.mutate(found.numbers)}>
            {found.numbers === 1 ? 'Check it' : `Check all ${found.numbers.toLocaleString('en-US')}`}
          </Button>
          <Button onClick={() => estimate.reset()}>Cancel</Button>
        </>
      ) : (
        <ActButton refusal={refusal} disabled={estimate.isPending} onClick={() => estimate.mutate()}>
          Check numbers…
        </ActButton>
      )}
      <Box role="status">
        {found?.numbers === 0 && 'All their numbers were checked already.'}
        {run.data && `${run.data.numbers.toLocaleString('en-US')} being checked; what is found appears on their pages.`}
      </Box>
      {problem && <ProblemNote problem={problem} />}
    </>
  );
}
