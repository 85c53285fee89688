import type { Conversation } from '../../../shared/api/types';

/** Whither work can go: to a person, to a team, or to nobody. */
export interface Whither {
  person?: number;
  team?: number;
}

export function whitherOf(key: string): Whither {
  const id = Number(key.split(' ')[1]);
  return key.startsWith('person') ? { person: id } : key.startsWith('team') ? { team: id } : {};
}

interface Moved {
  moved: number;
  nobodys: number;
}

/** "3 moved, 1 of them to nobody: Wen may not see it." */
export function movedWords({ moved, nobodys }: Moved, to: string): string {
  if (moved === 0) return 'Nothing moved.';
  const how = moved === 1 ? '1 conversation moved' : `${moved} conversations moved`;
  if (nobodys === 0) return `${how} to ${to}.`;
  return `${how}; ${nobodys} of them to nobody, for ${to} may not see ${nobodys === 1 ? 'it' : 'them'}.`;
}

const GROUPS: Conversation['group'][] = ['OUR_TURN', 'THEIR_TURN', 'SET_ASIDE', 'DONE', 'BLANK'];

/** What waits on us first, and of that what has least time left. */
export function byUrgency(rows: Conversation[]): Conversation[] {
  return [...rows].sort(
    (a, b) =>
      GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group) || (a.secondsLeft ?? 0) - (b.secondsLeft ?? 0) || a.id - b.id,
  );
}
