import { useSearchParams } from 'react-router';
import type { Order } from '../../shared/table';

/** In what order a log is shown; the address keeps it. */
export function useOrder(): [Order, (next: Order) => void] {
  const [params, setParams] = useSearchParams();
  const order = params.get('order') === 'oldest' ? 'OLDEST' : 'NEWEST';
  return [order, (next) => setParams(next === 'OLDEST' ? { order: 'oldest' } : {}, { replace: true })];
}
