import { Box } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, myPlanQuery, type Plan } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { PlanForm } from './PlanForm';

/** When I am in. */
export function MyPlan({ me }: { me: number }) {
  const queries = useQueryClient();
  const plan = useQuery(myPlanQuery);
  const save = useMutation({
    mutationFn: (wanted: Plan) => ask('PUT', '/api/me/plan', wanted),
    onSuccess: () => queries.invalidateQueries(),
  });
  if (plan.error) return <ProblemNote problem={plan.error} onRetry={() => void plan.refetch()} />;
  if (!plan.data) return <Box aria-busy="true" />;
  return (
    <PlanForm
      key={JSON.stringify(plan.data)}
      staff={me}
      first={plan.data}
      problem={save.error}
      saving={save.isPending}
      saved={save.isSuccess}
      onSave={(wanted) => save.mutate(wanted)}
    />
  );
}
