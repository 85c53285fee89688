import type { Member } from '../../../shared/api/types';

const STATES: Record<Member['state'], string> = {
  GOOD: '',
  MARKED_WRONG: 'marked as wrong',
  CANNOT_RECEIVE: 'cannot receive texts',
  NO_SUCH_NUMBER: 'no such number',
};

/** Why a member of a group does not get our texts, or that it is not known who they are. */
export function standingWords(member: Member): string {
  if (member.optedOut) return 'opted out';
  return STATES[member.state] || (member.toIdentify ? 'to identify' : '');
}

const reached = (member: Member) => !member.optedOut && member.state === 'GOOD';

/** Who gets what is written here. */
export function reachedWords(members: Member[]): string {
  const out = members.filter((member) => !reached(member)).length;
  const all = members.length;
  if (out === 0) return `All ${all} see each other’s numbers and texts.`;
  if (out === all) return 'Nobody in it can be texted any more.';
  return `${all - out} of ${all} get your texts; they see each other’s numbers and texts.`;
}
