import { Box, Button, ButtonBase, TextField } from '@mui/material';
import type { Team, Topic, TopicColour, TopicSetup } from '../../shared/api';
import { Blank, Crossed, ProblemNote, useEdits } from '../../shared/ui';
import type { Outcome } from './outcome';
import { COLOURS, setupOf } from './model/topics';
import { useSetUpChange } from './useSetUpChange';

const FIELDS: Partial<Record<keyof TopicSetup, string>> = {
  name: 'the name',
  colour: 'the colour',
  promiseMinutes: 'the promise',
};

interface Props {
  topic: Topic | undefined;
  team: Team;
  others: Topic[];
  free: TopicColour;
  /** Told what it came to, if anything was changed. */
  onDone: (came?: Outcome) => void;
}

/** A topic's word, colour and promise; or its end. */
export function TopicForm({ topic, team, others, free, onDone }: Props) {
  const change = useSetUpChange();
  const edits = useEdits<TopicSetup>(topic ? setupOf(topic) : { name: '', colour: free, retired: false });
  const setup = edits.now;
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
          onChange={(event) => edits.change({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 30 } }}
        />
        <TextField
          label="Promise in working minutes"
          type="number"
          placeholder="as the line"
          value={setup.promiseMinutes ?? ''}
          onChange={(event) => {
            const { value } = event.target;
            edits.change({ promiseMinutes: value === '' ? undefined : Math.trunc(Number(value)) });
          }}
        />
        <Box role="radiogroup" aria-label="Colour" sx={{ display: 'flex', gap: 0.5, alignItems: 'end', pb: 0.5 }}>
          {COLOURS.map((colour) => (
            <ButtonBase
              key={colour}
              role="radio"
              aria-checked={setup.colour === colour}
              aria-label={colour.toLowerCase()}
              onClick={() => edits.change({ colour })}
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
      <Crossed what={edits.crossed.flatMap((field) => FIELDS[field] ?? [])} leave="Cancel" />
      {topic?.retired && (
        <Box role="status" sx={{ color: 'warning.main' }}>
          A colleague has retired this topic. Saving keeps it retired; you can bring it back below.
        </Box>
      )}
      {change.error && <ProblemNote problem={change.error} />}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={change.isPending || setup.name.trim() === ''}>
          {topic ? 'Save' : 'Add'}
        </Button>
        <Button onClick={() => onDone()}>Cancel</Button>
        {topic && !topic.retired && <Button onClick={() => send({ ...setup, retired: true })}>Retire</Button>}
        {topic && !topic.retired && targets.length > 0 && (
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
