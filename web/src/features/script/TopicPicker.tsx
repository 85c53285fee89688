import { Autocomplete, Box, Popover } from '@mui/material';
import type { Topic } from '../../shared/api';
import { Field, TopicMark } from '../../shared/ui';

interface Props {
  anchor: HTMLElement | null;
  /** Those of the line's team that can be given. */
  topics: Topic[];
  given: number[];
  onClose: () => void;
  onToggle: (topic: Topic) => void;
}

/** What it is about: a few letters and Enter; once more takes it off again. */
export function TopicPicker({ anchor, topics, given, onClose, onToggle }: Props) {
  return (
    <Popover
      open={anchor !== null}
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      transitionDuration={0}
    >
      <Box role="dialog" aria-label="Topics" sx={{ p: 1.5, width: 240 }}>
        <Autocomplete
          open
          disablePortal
          autoHighlight
          value={null}
          options={topics}
          getOptionLabel={(topic) => topic.name}
          getOptionKey={(topic) => topic.id}
          noOptionsText="No topic with that name"
          onClose={(_, reason) => {
            if (reason === 'escape') onClose();
          }}
          onChange={(_, topic) => {
            if (topic) onToggle(topic);
            onClose();
          }}
          renderOption={({ key, ...props }, topic) => (
            <Box component="li" key={key} {...props} sx={{ gap: 1 }}>
              <Box sx={{ flex: 1 }}>
                <TopicMark topic={topic} />
              </Box>
              {given.includes(topic.id) && <Box sx={{ color: 'text.secondary' }}>✓ remove</Box>}
            </Box>
          )}
          slotProps={{
            popper: { sx: { position: 'static !important', transform: 'none !important', width: '100% !important' } },
          }}
          renderInput={(params) => (
            // The person who asked for the picker wants to type.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            <Field {...params} autoFocus label="About" placeholder="type a name" />
          )}
        />
      </Box>
    </Popover>
  );
}
