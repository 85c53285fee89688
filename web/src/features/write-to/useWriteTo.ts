import { useMutation } from '@tanstack/react-query';
import { ask } from '../../shared/api';
import { useOpenConversation } from '../../shared/ui';

/**
 * Opens the conversation of a line with a number, a new one where there is none.
 *
 * @param carry what goes onto its paper; none to only look at it
 */
export function useWriteTo(line: number, carry?: object) {
  const open = useOpenConversation();
  return useMutation({
    mutationFn: (number: string) => ask('POST', '/api/write-to', { body: { line, number, makeCustomer: false } }),
    onSuccess: ({ id }) => open(id, carry && { write: true, ...carry }),
  });
}
