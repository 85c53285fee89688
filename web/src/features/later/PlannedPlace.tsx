import { Box } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { staffQuery, teamsQuery } from '../../shared/api';
import { ActButton, Blank, ProblemNote, useAddress, useMe, useTitle } from '../../shared/ui';
import { PlannedLine } from './PlannedLine';
import { allPlannedQuery } from './queries';

/** All texts that go later, in conversations I see: mine, a colleague's, a team's, everyone's. */
export function PlannedPlace() {
  useTitle('Planned texts');
  const me = useMe().staff.id;
  const [params, setParams] = useAddress();
  const staff = (useQuery(staffQuery).data ?? []).filter(({ active }) => active);
  const teams = useQuery(teamsQuery).data ?? [];
  const by = params.get('by') ?? 'everyone';
  const team = params.get('team') ?? 'any';
  const numberOf = (said: string, none: string) => (said === none ? undefined : Number(said));
  const query = useInfiniteQuery(
    allPlannedQuery({ writer: by === 'me' ? me : numberOf(by, 'everyone'), team: numberOf(team, 'any') }),
  );
  const say = (name: string, value: string) => {
    const next = new URLSearchParams(params);
    next.set(name, value);
    setParams(next, { replace: true });
  };
  const pages = query.data?.pages ?? [];
  const held = pages.flatMap((page) => page.held);
  const waiting = pages.flatMap((page) => page.waiting);
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <Box sx={{ maxWidth: '96ch', mx: 'auto', p: { xs: 2, sm: 3 } }}>
        <Box component="h1" sx={{ m: 0, typography: 'title' }}>
          Planned texts
        </Box>
        <Box sx={{ typography: 'body2', color: 'text.secondary', py: 1, lineHeight: 1.7 }}>
          Showing texts planned by{' '}
          <Blank
            name="Planned by"
            value={by}
            options={[
              { value: 'everyone', words: 'everyone' },
              { value: 'me', words: 'me' },
              ...staff.filter(({ id }) => id !== me).map(({ id, name }) => ({ value: String(id), words: name })),
            ]}
            onChange={(next) => say('by', next)}
          />{' '}
          in conversations of{' '}
          <Blank
            name="Team"
            value={team}
            options={[
              { value: 'any', words: 'any team' },
              ...teams.map(({ id, name }) => ({ value: String(id), words: name })),
            ]}
            onChange={(next) => say('team', next)}
          />
          , the next ones first.
        </Box>
        {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
        {held.length > 0 && (
          <Box component="section" aria-label="Not sent">
            <Box component="h2" sx={{ m: 0, pt: 1, typography: 'body1', fontWeight: 700, color: 'error.main' }}>
              Not sent: please decide
            </Box>
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {held.map((plan) => (
                <PlannedLine key={`${plan.id} ${plan.version}`} plan={plan} withCustomer />
              ))}
            </Box>
          </Box>
        )}
        <Box component="section" aria-label="To be sent">
          {held.length > 0 && (
            <Box component="h2" sx={{ m: 0, pt: 2, typography: 'body1', fontWeight: 700 }}>
              To be sent
            </Box>
          )}
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {waiting.map((plan) => (
              <PlannedLine key={`${plan.id} ${plan.version}`} plan={plan} withCustomer />
            ))}
          </Box>
        </Box>
        {query.data && held.length + waiting.length === 0 && (
          <Box sx={{ color: 'text.secondary', py: 2 }}>
            Nothing is planned here. Write a text in a conversation and choose “Later…” (Alt+L) beside Send; it stands
            here until it goes.
          </Box>
        )}
        {query.hasNextPage && (
          <ActButton disabled={query.isFetchingNextPage} onClick={() => void query.fetchNextPage()}>
            Show more
          </ActButton>
        )}
      </Box>
    </Box>
  );
}
