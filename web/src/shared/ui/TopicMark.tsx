import { Box } from '@mui/material';
import type { Topic } from '../api';

/** A colour square and the word; the word says it all. */
export function TopicMark({ topic }: { topic: Topic }) {
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.5, whiteSpace: 'nowrap' }}>
      <Box
        component="span"
        aria-hidden
        sx={{ width: 9, height: 9, flex: 'none', bgcolor: `inks.topics.${topic.colour}` }}
      />
      {topic.name}
      {topic.retired && ' (retired)'}
    </Box>
  );
}
