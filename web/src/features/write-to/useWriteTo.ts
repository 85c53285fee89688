import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { ask } from '../../shared/api';

/**
 * Opens the conversation of a line with a number, a new one where there is none.
 *
 * @param carry what goes onto its paper; none to only look at it
 */
export function useWriteTo(line: number, carry?: object) {
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (number: string) => ask('POST', '/api/write-to', { body: { line, number, makeCustomer: false } }),
    onSuccess: ({ id }) => void navigate(`/inbox/${id}`, carry && { state: { write: true, ...carry } }),
  });
}
