import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ApiProblem, ask } from './client';
import type {
  Away,
  AccessChange,
  Escalation,
  TeamEscalation,
  NoteBefore,
  NoticeChoice,
  NoticePage,
  Office,
  Person,
  Plan,
  Receivers,
  KeptText,
  SignInRecord,
  StuckMail,
  Trouble,
  TypedTime,
  SignIns,
  Watched,
  Conversation,
  Dossier,
  Country,
  Group,
  Holiday,
  InboxCounts,
  InboxPage,
  Line,
  LineSetup,
  ListOrder,
  Moments,
  SavedSentence,
  ScriptPage,
  Session,
  SetUpChange,
  Site,
  Staff,
  Team,
  Topic,
} from './types';

/** Which conversations a list shows, and in what order. */
export interface Choice {
  group: Group;
  order: ListOrder;
  /** As addresses carry it. */
  sentence: string;
}

export const keys = {
  session: ['session'] as const,
  lines: ['lines'] as const,
  lists: ['list'] as const,
  counts: ['counts'] as const,
  jump: ['jump'] as const,
  ribbon: ['ribbon'] as const,
  sentences: ['sentences'] as const,
  setup: ['setup'] as const,
  watchers: ['watchers'] as const,
  notices: ['notices'] as const,
  office: ['office'] as const,
  staff: ['staff'] as const,
  me: ['me'] as const,
  dossier: (id: number) => ['dossier', id] as const,
  script: (id: number) => ['script', id] as const,
  /** Why a conversation that was open is no longer to be seen. */
  gone: (id: number) => ['gone', id] as const,
  troubles: ['troubles'] as const,
};

/** Working time runs on without anyone's touch, so what shows it is read again now and then. */
const TIME_RUNS_MS = 30_000;

/** Who is signed in; null for nobody. Read again now and then, for a timetable changes by itself whether one is in. */
export const sessionQuery = queryOptions({
  queryKey: keys.session,
  queryFn: async (): Promise<Session | null> => {
    try {
      return await ask<Session>('GET', '/api/session');
    } catch (problem) {
      if (problem instanceof ApiProblem && problem.status === 401) return null;
      throw problem;
    }
  },
  staleTime: Infinity,
  refetchInterval: 2 * TIME_RUNS_MS,
});

export const linesQuery = queryOptions({
  queryKey: keys.lines,
  queryFn: () => ask<Line[]>('GET', '/api/lines'),
  staleTime: Infinity,
});

export const staffQuery = queryOptions({
  queryKey: keys.staff,
  queryFn: () => ask<Staff[]>('GET', '/api/staff'),
  staleTime: Infinity,
});

/** Who is away now, until when, and who covers. */
export const awayQuery = queryOptions({
  queryKey: [...keys.staff, 'away'] as const,
  queryFn: () => ask<Away[]>('GET', '/api/staff/away'),
  refetchInterval: 2 * TIME_RUNS_MS,
});

export const teamsQuery = queryOptions({
  queryKey: ['teams'] as const,
  queryFn: () => ask<Team[]>('GET', '/api/teams'),
  staleTime: Infinity,
});

/** The lines one can begin a conversation on. */
export const writeLinesQuery = queryOptions({
  queryKey: [...keys.lines, 'to write from'] as const,
  queryFn: () => ask<Line[]>('GET', '/api/write-to/lines'),
  staleTime: Infinity,
});

/** The topics of all teams, also retired ones. */
export const topicsQuery = queryOptions({
  queryKey: ['topics'] as const,
  queryFn: () => ask<Topic[]>('GET', '/api/topics'),
  staleTime: Infinity,
});

export const sitesQuery = queryOptions({
  queryKey: ['sites'] as const,
  queryFn: () => ask<Site[]>('GET', '/api/setup/sites'),
  staleTime: Infinity,
});

export const listQuery = (choice: Choice) =>
  infiniteQueryOptions({
    queryKey: [...keys.lists, choice] as const,
    queryFn: ({ pageParam }) => {
      const params = new URLSearchParams({ ...choice, limit: '100', from: pageParam });
      if (!pageParam) params.delete('from');
      return ask<InboxPage>('GET', `/api/conversations?${params.toString()}`);
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    // Of many stretches only what changes is asked for: read all again they would follow one another without end.
    refetchInterval: ({ state }) =>
      choice.group === 'OUR_TURN' && (state.data?.pages.length ?? 0) < 2 ? TIME_RUNS_MS : false,
  });

const said = (sentence: string) => new URLSearchParams({ sentence }).toString();

export const ribbonQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.ribbon, sentence] as const,
    queryFn: () => ask<Conversation[]>('GET', `/api/conversations/ribbon?${said(sentence)}`),
    refetchInterval: TIME_RUNS_MS,
  });

export const countsQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.counts, sentence] as const,
    queryFn: () => ask<InboxCounts>('GET', `/api/conversations/counts?${said(sentence)}`),
  });

/** My saved sentences and my teams', with how many they mean now. */
export const sentencesQuery = queryOptions({
  queryKey: keys.sentences,
  queryFn: () => ask<SavedSentence[]>('GET', '/api/sentences'),
  refetchInterval: TIME_RUNS_MS,
});

/** The moments a conversation's line offers for setting aside; they move on, so they are asked for anew. */
export const momentsQuery = (id: number, wanted: boolean) =>
  queryOptions({
    queryKey: ['moments', id] as const,
    queryFn: () => ask<Moments>('GET', `/api/conversations/${id}/moments`),
    enabled: wanted,
    staleTime: 0,
  });

/** What the server understands of a time as it was typed, for a conversation's line. */
export const typedTimeQuery = (id: number, words: string) =>
  queryOptions({
    queryKey: ['typed-time', id, words] as const,
    queryFn: () =>
      ask<TypedTime>('GET', `/api/conversations/${id}/moments/read?${new URLSearchParams({ words }).toString()}`),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

export const lineSetupQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.setup, 'line', id] as const,
    queryFn: () => ask<LineSetup>('GET', `/api/setup/lines/${id}`),
  });

export const countriesQuery = queryOptions({
  queryKey: ['countries'] as const,
  queryFn: () => ask<Country[]>('GET', '/api/setup/holidays'),
  staleTime: Infinity,
});

export const holidaysQuery = (country: string | undefined, region: string | undefined) =>
  queryOptions({
    queryKey: ['holidays', country, region] as const,
    queryFn: () => ask<Holiday[]>('GET', `/api/setup/holidays/${country ?? ''}${region ? `?region=${region}` : ''}`),
    enabled: country !== undefined,
    staleTime: Infinity,
  });

export const historyQuery = infiniteQueryOptions({
  queryKey: [...keys.setup, 'history'] as const,
  queryFn: ({ pageParam }) => ask<SetUpChange[]>('GET', `/api/setup/history${pageParam ? `?before=${pageParam}` : ''}`),
  initialPageParam: 0,
  getNextPageParam: (page) => (page.length === 100 ? page[99]?.id : undefined),
  staleTime: 0,
});

export const dossierQuery = (id: number) =>
  queryOptions({ queryKey: keys.dossier(id), queryFn: () => ask<Dossier>('GET', `/api/conversations/${id}`) });

export const scriptQuery = (id: number) =>
  infiniteQueryOptions({
    queryKey: keys.script(id),
    queryFn: ({ pageParam }) => {
      const before = pageParam ? `&before=${encodeURIComponent(pageParam)}` : '';
      return ask<ScriptPage>('GET', `/api/conversations/${id}/script?limit=50${before}`);
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.earlier,
  });

export const jumpQuery = (words: string) =>
  queryOptions({
    queryKey: [...keys.jump, words] as const,
    queryFn: () => ask<Conversation[]>('GET', `/api/conversations/jump?words=${encodeURIComponent(words)}`),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

/** Who is looking at what, and who is writing where; the live stream keeps it up. */
export const watchersQuery = queryOptions({
  queryKey: keys.watchers,
  queryFn: () => ask<Watched[]>('GET', '/api/watchers'),
  staleTime: Infinity,
});

/** To whom a conversation can be handed now. */
export const receiversQuery = (id: number) =>
  queryOptions({
    queryKey: ['receivers', id] as const,
    queryFn: () => ask<Receivers>('GET', `/api/conversations/${id}/hand-to`),
    staleTime: 0,
  });

export const traceQuery = (conversation: number, note: number, wanted: boolean) =>
  queryOptions({
    queryKey: ['trace', conversation, note] as const,
    queryFn: () => ask<NoteBefore[]>('GET', `/api/conversations/${conversation}/notes/${note}/trace`),
    enabled: wanted,
    staleTime: 0,
  });

export const noticesQuery = queryOptions({
  queryKey: keys.notices,
  queryFn: () => ask<NoticePage>('GET', '/api/notices'),
  refetchInterval: TIME_RUNS_MS,
});

export const noticeChoicesQuery = queryOptions({
  queryKey: [...keys.me, 'notices'] as const,
  queryFn: () => ask<NoticeChoice[]>('GET', '/api/notices/choices'),
});

export const mySignInsQuery = queryOptions({
  queryKey: [...keys.me, 'sign-ins'] as const,
  queryFn: () => ask<SignIns>('GET', '/api/me/sign-ins'),
  staleTime: 0,
});

/** The whole front office, for leads. */
export const officeQuery = queryOptions({
  queryKey: keys.office,
  queryFn: () => ask<Office>('GET', '/api/office'),
  refetchInterval: TIME_RUNS_MS,
});

/** What somebody owns that is open. */
export const workQuery = (staff: number) =>
  queryOptions({
    queryKey: [...keys.office, 'work', staff] as const,
    queryFn: () => ask<Conversation[]>('GET', `/api/office/people/${staff}/work`),
    staleTime: 0,
  });

/** All lines, also those whose conversations one does not see; for leads. */
export const allLinesQuery = queryOptions({
  queryKey: [...keys.setup, 'lines'] as const,
  queryFn: () => ask<Line[]>('GET', '/api/setup/lines'),
});

export const peopleQuery = queryOptions({
  queryKey: [...keys.setup, 'people'] as const,
  queryFn: () => ask<Person[]>('GET', '/api/setup/people'),
});

/** When somebody is in, as it is kept at this address. */
export const planQuery = (path: string) =>
  queryOptions({
    queryKey: [...keys.me, 'plan', path] as const,
    queryFn: () => ask<Plan>('GET', path),
  });

/** Whom a line alerts, and when; without steps, those of its team hold. */
export const lineEscalationQuery = (line: number) =>
  queryOptions({
    queryKey: [...keys.setup, 'escalation', line] as const,
    queryFn: () => ask<Escalation>('GET', `/api/setup/lines/${line}/escalation`),
  });

/** Whom teams alert, of all teams that have steps: one request, however many teams there are. */
export const teamEscalationsQuery = queryOptions({
  queryKey: [...keys.setup, 'escalation', 'teams'] as const,
  queryFn: () => ask<TeamEscalation[]>('GET', '/api/setup/teams/escalations'),
});

/** What keeps the program from its work, for leads. */
export const troublesQuery = (leads: boolean) =>
  queryOptions({
    queryKey: keys.troubles,
    queryFn: () => ask<Trouble[]>('GET', '/api/office/troubles'),
    enabled: leads,
    refetchInterval: 2 * TIME_RUNS_MS,
  });

/** Why a conversation that was open is no longer to be seen; told by the live stream only. */
export const goneQuery = (id: number) =>
  queryOptions({ queryKey: keys.gone(id), queryFn: (): string => '', enabled: false, staleTime: Infinity });

export const keptAsideQuery = queryOptions({
  queryKey: [...keys.setup, 'kept-aside'] as const,
  queryFn: () => ask<KeptText[]>('GET', '/api/setup/kept-aside'),
  staleTime: 0,
});

export const stuckMailQuery = queryOptions({
  queryKey: [...keys.setup, 'mail'] as const,
  queryFn: () => ask<StuckMail[]>('GET', '/api/setup/mail'),
  staleTime: 0,
});

const A_PAGE = 100;

export const recordQuery = (words: string) =>
  infiniteQueryOptions({
    queryKey: [...keys.setup, 'record', words] as const,
    queryFn: ({ pageParam }) =>
      ask<AccessChange[]>(
        'GET',
        `/api/setup/record?${new URLSearchParams({ words, before: String(pageParam) }).toString()}`,
      ),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.length === A_PAGE ? page[A_PAGE - 1]?.id : undefined),
    staleTime: 0,
  });

export const signInRecordQuery = infiniteQueryOptions({
  queryKey: [...keys.setup, 'sign-ins'] as const,
  queryFn: ({ pageParam }) => ask<SignInRecord[]>('GET', `/api/setup/sign-ins?before=${pageParam}`),
  initialPageParam: 0,
  getNextPageParam: (page) => (page.length === A_PAGE ? page[A_PAGE - 1]?.id : undefined),
  staleTime: 0,
});
