import { Box, Button, ButtonBase, TextField } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  ask,
  type Team,
  teamsQuery,
  type Topic,
  type TopicColour,
  type TopicSetup,
  topicsQuery,
  readAllAgain,
} from '../../shared/api';
import { Blank, ProblemNote, TopicMark } from '../../shared/ui';
import { bookSerif } from '../../theme';
import { type Outcome, outcomeWords } from './outcome';

const COLOURS: TopicColour[] = ['PINE', 'MOSS', 'REED', 'SLATE', 'LAKE', 'PLUM', 'ROSE', 'CLAY', 'UMBER', 'STONE'];

/** Each team's own short list of topics. */
export function TopicsPage() {
  const teams = useQuery(teamsQuery).data ?? [];
  const topics = useQuery(topicsQuery).data ?? [];
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, maxWidth: 760, alignContent: 'start' }}>
      {teams.map((team) => (
        <TeamTopics key={team.id} team={team} topics={topics.filter((topic) => topic.teamId === team.id)} />
      ))}
    </Box>
  );
}

function useChange() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ method, path, body }: { method: 'POST' | 'PUT'; path: string; body: unknown }) =>
      ask<Outcome>(method, `/api/setup/${path}`, body),
    onSuccess: () => readAllAgain(queries),
  });
}

function TeamTopics({ team, topics }: { team: Team; topics: Topic[] }) {
  const [editing, setEditing] = useState<number | 'new'>();
  const [outcome, setOutcome] = useState<Outcome>();
  const done = (came?: Outcome) => {
    setEditing(undefined);
    setOutcome(came);
  };
  const used = topics.filter((topic) => !topic.retired);
  const retired = topics.filter((topic) => topic.retired);
  const free = COLOURS.find((colour) => !used.some((topic) => topic.colour === colour)) ?? 'STONE';
  return (
    <Box component="section" aria-label={`Topics of ${team.name}`}>
      <Box component="h3" sx={{ m: 0, mb: 0.5, fontFamily: bookSerif, fontSize: '1.0625rem', fontWeight: 600 }}>
        {team.name}
      </Box>
      {topics.length === 0 && editing === undefined && (
        <Box sx={{ color: 'text.secondary' }}>
          No topics yet. A handful of words is enough: what people write about.
        </Box>
      )}
      {used.map((topic) =>
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
              {topic.promiseMinutes ? `answered within ${topic.promiseMinutes} min` : 'as its line promises'}
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
  const change = useChange();
  const bringBack = ({ id, name, colour, promiseMinutes }: Topic) =>
    change.mutate(
      { method: 'PUT', path: `topics/${id}`, body: { name, colour, promiseMinutes, retired: false } },
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

interface FormProps {
  topic: Topic | undefined;
  team: Team;
  others: Topic[];
  free: TopicColour;
  /** Told what it came to, if anything was changed. */
  onDone: (came?: Outcome) => void;
}

function TopicForm({ topic, team, others, free, onDone }: FormProps) {
  const change = useChange();
  const [setup, setSetup] = useState<TopicSetup>({
    name: topic?.name ?? '',
    colour: topic?.colour ?? free,
    promiseMinutes: topic?.promiseMinutes,
    retired: false,
  });
  const send = (body: TopicSetup) =>
    change.mutate(
      topic
        ? { method: 'PUT', path: `topics/${topic.id}`, body }
        : { method: 'POST', path: `teams/${team.id}/topics`, body },
      { onSuccess: onDone },
    );
  const targets = others.filter((each) => each.id !== topic?.id);
  return (
    <Box
      component="form"
      aria-label={topic ? `Change ${topic.name}` : 'New topic'}
      onSubmit={(event) => {
        event.preventDefault();
        send(setup);
      }}
      sx={{ borderTop: 1, borderColor: 'divider', py: 1, display: 'grid', gap: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <TextField
          label="Topic"
          value={setup.name}
          // Whoever asked for the form wants to write the word.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          onChange={(event) => setSetup({ ...setup, name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 30 } }}
        />
        <TextField
          label="Promise in working minutes"
          type="number"
          placeholder="as its line"
          value={setup.promiseMinutes ?? ''}
          onChange={(event) => {
            const { value } = event.target;
            setSetup({ ...setup, promiseMinutes: value === '' ? undefined : Math.trunc(Number(value)) });
          }}
        />
        <Box role="radiogroup" aria-label="Colour" sx={{ display: 'flex', gap: 0.5, alignItems: 'end', pb: 0.5 }}>
          {COLOURS.map((colour) => (
            <ButtonBase
              key={colour}
              role="radio"
              aria-checked={setup.colour === colour}
              aria-label={colour.toLowerCase()}
              onClick={() => setSetup({ ...setup, colour })}
              sx={{
                width: 22,
                height: 22,
                bgcolor: (t) => t.vars?.palette.inks.topics[colour],
                outline: setup.colour === colour ? '2px solid' : 'none',
                outlineOffset: 2,
              }}
            />
          ))}
        </Box>
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={change.isPending || setup.name.trim() === ''}>
          {topic ? 'Save' : 'Add'}
        </Button>
        <Button onClick={() => onDone()}>Cancel</Button>
        {topic && <Button onClick={() => send({ ...setup, retired: true })}>Retire</Button>}
        {topic && targets.length > 0 && (
          <Box sx={{ typography: 'body2' }}>
            {'or merge it into '}
            <Blank
              name="Merge into"
              value={undefined as number | undefined}
              unsaid="another…"
              options={targets.map((each) => ({ value: each.id, words: each.name }))}
              onChange={(into) =>
                change.mutate(
                  { method: 'POST', path: `topics/${topic.id}/merge`, body: { into } },
                  { onSuccess: onDone },
                )
              }
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}
