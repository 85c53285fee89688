import { useQuery } from '@tanstack/react-query';
import { Answered } from '../../shared/ui';
import { PlanForm } from './PlanForm';
import { planQuery } from './queries';

/** When someone is in: the signed-in person, or for a lead another one. */
export function PlanOf({ staff, mine = false }: { staff: number; mine?: boolean }) {
  const plan = useQuery(planQuery(mine ? 'me' : staff));
  return <Answered query={plan}>{(first) => <PlanForm staff={staff} mine={mine} first={first} />}</Answered>;
}
