import type { Order } from '../../shared/table';
import { useAddress } from '../../shared/ui';

/** In what order a log is shown; the address keeps it. */
export function useOrder(): [Order, (next: Order) => void] {
  const [params, setParams] = useAddress();
  const order = params.get('order') === 'oldest' ? 'OLDEST' : 'NEWEST';
  return [order, (next) => setParams(next === 'OLDEST' ? { order: 'oldest' } : {}, { replace: true })];
}
