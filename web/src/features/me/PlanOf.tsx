import { useQuery } from '@tanstack/react-query';
import { planQuery } from '../../shared/api';
import { Answered } from '../../shared/ui';
import { PlanForm } from './PlanForm';

/** When somebody is in: oneself, or for a lead somebody else. */
export function PlanOf({ staff, mine = false }: { staff: number; mine?: boolean }) {
  const path = mine ? '/api/me/plan' : `/api/setup/people/${staff}/plan`;
  const plan = useQuery(planQuery(path));
  return (
    <Answered query={plan}>{(first) => <PlanForm staff={staff} mine={mine} first={first} path={path} />}</Answered>
  );
}
