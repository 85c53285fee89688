import { Box, ButtonBase } from '@mui/material';
import type { Group, InboxCounts, Line } from '../../shared/api';
import { Blank } from '../../shared/ui';
import type { ListAddress } from './model/choice';

interface Props {
  address: ListAddress;
  counts: InboxCounts | undefined;
  lines: Line[];
  toIdentify: boolean;
  onChange: (address: ListAddress) => void;
}

const GROUPS: { group: Group; words: string; count: (counts: InboxCounts) => number }[] = [
  { group: 'OUR_TURN', words: 'Our turn', count: (c) => c.ourTurn },
  { group: 'THEIR_TURN', words: 'Their turn', count: (c) => c.theirTurn },
  { group: 'DONE', words: 'Done', count: (c) => c.done },
];

/** The groups with their counts, and the sentence that says which conversations these are. */
export function ListHead({ address, counts, lines, toIdentify, onChange }: Props) {
  return (
    <Box sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <Box component="nav" aria-label="Groups" sx={{ display: 'flex', px: 1.5, gap: 2, pt: 0.75 }}>
        {GROUPS.map(({ group, words, count }) => {
          const chosen = group === address.group;
          return (
            <ButtonBase
              key={group}
              aria-pressed={chosen}
              onClick={() => onChange({ ...address, group })}
              sx={{
                py: 0.75,
                borderRadius: 0,
                gap: 0.75,
                fontSize: '0.9375rem',
                fontWeight: chosen ? 700 : 500,
                color: chosen ? 'text.primary' : 'text.secondary',
                borderBottom: 2,
                borderColor: chosen ? 'primary.main' : 'transparent',
              }}
            >
              {words}
              <Box component="span" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                {counts ? count(counts) : '·'}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      <Box sx={{ px: 1.5, py: 1, typography: 'body2', color: 'text.secondary' }}>
        {toIdentify ? 'To identify, ' : 'Showing '}
        <Blank
          name="Whose"
          value={address.whose}
          options={[
            { value: 'EVERYONE', words: 'everyone’s' },
            { value: 'MINE', words: 'mine' },
            { value: 'NOBODY', words: 'nobody’s' },
          ]}
          onChange={(whose) => onChange({ ...address, whose })}
        />
        {' on '}
        <Blank
          name="Line"
          value={address.line}
          options={[
            { value: undefined, words: 'any line' },
            ...lines.map((line) => ({ value: line.id, words: line.name })),
          ]}
          onChange={(line) => onChange({ ...address, line })}
        />
        {address.group === 'OUR_TURN' ? ', least time left first' : ', newest first'}
      </Box>
    </Box>
  );
}
