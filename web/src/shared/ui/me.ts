import { createContext, useContext } from 'react';
import type { Act, Session } from '../api';

/** Who is signed in. */
export const MeContext = createContext<Session | undefined>(undefined);

export function useMe(): Session {
  const me = useContext(MeContext);
  if (!me) throw new Error('Nobody is signed in here');
  return me;
}

const WORDS: Record<Act, string> = {
  WORK: 'change conversations',
  TEXT: 'text customers',
  SEND_TO_MANY: 'text many customers at once',
  EXPORT: 'export',
  CHANGE_TEMPLATES: 'change templates',
  REMOVE_FOR_GOOD: 'delete for good',
  LEAD: 'do what a lead can do',
};

/** Why someone may not, and who can allow it; empty when they may. */
export function refusal(me: Pick<Session, 'may' | 'leads'>, act: Act): string {
  if (me.may.includes(act)) return '';
  const who = me.leads.length === 0 || me.leads.length > 2 ? 'A lead' : me.leads.join(' or ');
  return `You may not ${WORDS[act]}. ${who} can allow it.`;
}

/** Why the user may not do something; empty when they may. */
export function useRefusal(act: Act): string {
  return refusal(useMe(), act);
}
