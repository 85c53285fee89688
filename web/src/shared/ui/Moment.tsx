import { clock, fullMoment, moment } from '../format';
import { useNow } from './now';

interface Props {
  at: string;
  zone: string;
  /** Only the time of day. */
  short?: boolean;
}

/** A time as people say it, with the full one on hover. */
export function Moment({ at, zone, short = false }: Props) {
  const now = useNow();
  const when = new Date(at);
  return (
    <time dateTime={at} title={fullMoment(when, zone)}>
      {short ? clock(when, zone) : moment(when, now, zone)}
    </time>
  );
}
