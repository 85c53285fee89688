import { useQuery } from '@tanstack/react-query';
import { staffQuery } from '../../shared/api';
import { awayQuery } from './queries';

/** Who is away, and the first name of who covers, where someone does. */
export function useAway(): Map<number, { cover?: string | undefined }> {
  const away = useQuery(awayQuery).data ?? [];
  const staff = useQuery(staffQuery).data ?? [];
  const first = (id: number | undefined) => staff.find((one) => one.id === id)?.name.split(' ')[0];
  return new Map(away.map(({ staffId, cover }) => [staffId, { cover: first(cover) }]));
}
