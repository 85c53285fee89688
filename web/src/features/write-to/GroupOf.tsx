import { Box, Button, Chip } from '@mui/material';

export interface Chosen {
  /** In E.164. */
  address: string;
  name: string;
}

interface Props {
  chosen: Chosen[];
  /** How many numbers a group of the line may have. */
  limit: number;
  busy: boolean;
  onRemove: (address: string) => void;
  onOpen: () => void;
}

/** Who is in a group so far. */
export function GroupOf({ chosen, limit, busy, onRemove, onOpen }: Props) {
  const tooMany = chosen.length > limit;
  return (
    <Box role="group" aria-label="In the group" sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ typography: 'body2', color: tooMany ? 'error.main' : 'text.secondary' }}>
        {tooMany
          ? `A group on this line has at most ${limit} numbers. Please remove ${chosen.length - limit}.`
          : chosen.length < 2
            ? 'Add two people or more. All of them see each other’s numbers and texts.'
            : `All ${chosen.length} see each other’s numbers and texts.`}
      </Box>
      {chosen.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {chosen.map(({ address, name }) => (
            <Chip
              key={address}
              label={name}
              variant="outlined"
              onDelete={() => onRemove(address)}
              deleteIcon={
                <button
                  type="button"
                  aria-label={`Remove ${name}`}
                  style={{ border: 0, background: 'none', font: 'inherit', cursor: 'pointer', color: 'inherit' }}
                >
                  ×
                </button>
              }
              sx={{ borderRadius: 1 }}
            />
          ))}
        </Box>
      )}
      <Button variant="contained" disabled={busy || tooMany || chosen.length < 2} onClick={onOpen}>
        {chosen.length < 2 ? 'Write to the group' : `Write to these ${chosen.length} as a group`}
      </Button>
    </Box>
  );
}
