import type { WayToWrite } from '../../../shared/api/types';
import { moment } from '../../../shared/format';

/** What is different when the text goes that way. */
export function wayWords(way: WayToWrite, now: Date, zone: string): string {
  const where = way.here
    ? 'this conversation'
    : way.conversation === undefined
      ? 'new conversation'
      : 'another conversation';
  const may =
    way.agreement === 'OPTED_OUT' ? 'opted out of texts' : way.agreement === 'AGREED' ? 'agreed to texts' : '';
  const hours = way.opensAt ? `closed until ${moment(new Date(way.opensAt), now, zone)}` : '';
  return [where, may, hours].filter((each) => each !== '').join(' · ');
}
