import { Box, Button, ButtonBase, TextField } from '@mui/material';
import { ask, type Team, type Topic, type TopicColour, type TopicSetup } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Blank, ProblemNote } from '../../shared/ui';
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
  const form = useForm<TopicSetup, Outcome>({
    first: topic ? setupOf(topic) : { name: '', colour: free, retired: false },
    names: FIELDS,
    send: (body) =>
      topic
        ? ask('PUT', '/api/setup/topics/{id}', { path: { id: topic.id }, body })
        : ask('POST', '/api/setup/teams/{team}/topics', { path: { team: team.id }, body }),
    onSaved: onDone,
  });
  const merge = useSetUpChange();
  const setup = form.value;
  const targets = others.filter((each) => each.id !== topic?.id);
  return (
    <Form
      form={form}
      label={topic ? `Change ${topic.name}` : 'New topic'}
      sx={{ borderTop: 1, borderColor: 'divider', py: 1, display: 'grid', gap: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <TextField
          label="Topic"
          value={setup.name}
          {...form.field('name')}
          // The person who asked for the form wants to write the word.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          onChange={(event) => form.change({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 30 } }}
        />
        <TextField
          label="Promise in working minutes"
          type="number"
          placeholder="as the line"
          value={setup.promiseMinutes ?? ''}
          {...form.field('promiseMinutes')}
          onChange={(event) => {
            const { value } = event.target;
            form.change({ promiseMinutes: value === '' ? undefined : Math.trunc(Number(value)) });
          }}
        />
        <Box role="radiogroup" aria-label="Colour" sx={{ display: 'flex', gap: 0.5, alignItems: 'end', pb: 0.5 }}>
          {COLOURS.map((colour) => (
            <ButtonBase
              key={colour}
              role="radio"
              aria-checked={setup.colour === colour}
              aria-label={colour.toLowerCase()}
              onClick={() => form.change({ colour })}
              sx={{
                width: 22,
                height: 22,
                bgcolor: `inks.topics.${colour}`,
                outline: setup.colour === colour ? '2px solid' : 'none',
                outlineOffset: 2,
              }}
            />
          ))}
        </Box>
      </Box>
      {topic?.retired && (
        <Box role="status" sx={{ color: 'warning.main' }}>
          A colleague has retired this topic. Saving keeps it retired; you can bring it back below.
        </Box>
      )}
      {merge.error && <ProblemNote problem={merge.error} />}
      <SaveBar form={form} save={topic ? 'Save' : 'Add'} ready={setup.name.trim() !== ''} onCancel={() => onDone()}>
        {topic && !topic.retired && <Button onClick={() => form.save({ retired: true })}>Retire</Button>}
        {topic && !topic.retired && targets.length > 0 && (
          <Box sx={{ typography: 'body2' }}>
            {'or merge it into '}
            <Blank
              name="Merge into"
              value={undefined as number | undefined}
              unsaid="another…"
              options={targets.map((each) => ({ value: each.id, words: each.name }))}
              onChange={(into) =>
                merge.mutate(
                  () =>
                    ask('POST', '/api/setup/topics/{id}/merge', { path: { id: topic.id }, body: { into: into ?? 0 } }),
                  { onSuccess: onDone },
                )
              }
            />
          </Box>
        )}
      </SaveBar>
    </Form>
  );
}
