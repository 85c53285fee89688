import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Team, teamsQuery, type Topic, topicsQuery } from '../../shared/api';
import { duration } from '../../shared/format';
import { Answered, ProblemNote, TopicMark } from '../../shared/ui';
import { freeColour, setupOf } from './model/topics';
import { type Outcome, outcomeWords } from './outcome';
import { TopicForm } from './TopicForm';
import { useSetUpChange } from './useSetUpChange';

/** Each team's own short list of topics. */
export function TopicsPage() {
  const teams = useQuery(teamsQuery);
  const topics = useQuery(topicsQuery);
  return (
    <Answered query={teams}>
      {(all) => <Answered query={topics}>{(known) => <Lists teams={all} topics={known} />}</Answered>}
    </Answered>
  );
}

function Lists({ teams, topics }: { teams: Team[]; topics: Topic[] }) {
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, maxWidth: 760, alignContent: 'start' }}>
      {teams.map((team) => (
        <TeamTopics key={team.id} team={team} topics={topics.filter((topic) => topic.teamId === team.id)} />
      ))}
    </Box>
  );
}

function TeamTopics({ team, topics }: { team: Team; topics: Topic[] }) {
  const [editing, setEditing] = useState<number | 'new'>();
  const [outcome, setOutcome] = useState<Outcome>();
  const done = (came?: Outcome) => {
    setEditing(undefined);
    setOutcome(came);
  };
  const used = topics.filter((topic) => !topic.retired);
  // What a colleague retires while it is being changed here stays until that is saved or left.
  const rows = topics.filter((topic) => !topic.retired || topic.id === editing);
  const retired = topics.filter((topic) => topic.retired && topic.id !== editing);
  const free = freeColour(used);
  return (
    <Box component="section" aria-label={`Topics of ${team.name}`}>
      <Box component="h3" sx={{ m: 0, mb: 0.5, typography: 'heading' }}>
        {team.name}
      </Box>
      {topics.length === 0 && editing === undefined && (
        <Box sx={{ color: 'text.secondary' }}>No topics yet. A handful is enough: what people write about.</Box>
      )}
      {rows.map((topic) =>
        editing === topic.id ? (
          <TopicForm key={topic.id} topic={topic} team={team} others={used} free={topic.colour} onDone={done} />
        ) : (
          <Box
            key={topic.id}
            sx={{ display: 'flex', gap: 2, alignItems: 'center', borderTop: 1, borderColor: 'divider', py: 0.25 }}
          >
            <Box sx={{ flex: 1 }}>
              <TopicMark topic={topic} />
            </Box>
            <Box className="figures" sx={{ color: 'text.secondary', typography: 'body2' }}>
              {topic.promiseMinutes ? `answered within ${duration(topic.promiseMinutes)}` : 'as the line promises'}
            </Box>
            <Button aria-label={`Change ${topic.name}`} onClick={() => setEditing(topic.id)}>
              Change
            </Button>
          </Box>
        ),
      )}
      {editing === 'new' ? (
        <TopicForm topic={undefined} team={team} others={used} free={free} onDone={done} />
      ) : (
        <Button sx={{ px: 0, mt: 0.5 }} onClick={() => setEditing('new')} aria-label={`Add a topic to ${team.name}`}>
          Add a topic
        </Button>
      )}
      {outcome && (
        <Box role="status" sx={{ typography: 'body2', color: 'text.secondary' }}>
          {outcomeWords(outcome)}
        </Box>
      )}
      {retired.length > 0 && <Retired topics={retired} all={topics} onDone={done} />}
    </Box>
  );
}

interface RetiredProps {
  topics: Topic[];
  all: Topic[];
  onDone: (came: Outcome) => void;
}

function Retired({ topics, all, onDone }: RetiredProps) {
  const change = useSetUpChange();
  const bringBack = ({ id, ...topic }: Topic) =>
    change.mutate(
      () => ask('PUT', '/api/setup/topics/{id}', { path: { id }, body: { ...setupOf(topic), retired: false } }),
      { onSuccess: onDone },
    );
  return (
    <Box sx={{ typography: 'body2', color: 'text.secondary', mt: 0.5 }}>
      Retired; conversations keep them:
      {topics.map((topic) => (
        <Box key={topic.id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          {topic.name}
          {topic.mergedInto && `, now ${all.find((each) => each.id === topic.mergedInto)?.name ?? ''}`}
          <Button sx={{ py: 0 }} onClick={() => bringBack(topic)} aria-label={`Bring back ${topic.name}`}>
            Bring back
          </Button>
        </Box>
      ))}
      {change.error && <ProblemNote problem={change.error} />}
    </Box>
  );
}
