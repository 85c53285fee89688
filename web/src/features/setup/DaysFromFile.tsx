import { Box } from '@mui/material';
import { useState } from 'react';
import { type ReadDays, upload } from '../../shared/api';
import { UploadArea, useUploads } from '../../shared/upload';

interface Props {
  days: string[];
  onAdd: (days: string[]) => void;
}

const MOST_NAMED = 6;
const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/** "2 days added: 3 Jul 2026 Picnic, 24 Dec 2026. Save to keep them." */
function addedWords(added: ReadDays['days'], known: number): string {
  if (added.length === 0) return known === 0 ? 'No days were added.' : 'All its days are closed days already.';
  const named = added.slice(0, MOST_NAMED).map(({ day, name }) => `${DATE.format(new Date(day))} ${name}`.trim());
  const more = added.length - named.length;
  const count = added.length === 1 ? '1 day added' : `${added.length} days added`;
  return `${count}: ${named.join(', ')}${more > 0 ? ` and ${more} more` : ''}. Save to keep ${added.length === 1 ? 'it' : 'them'}.`;
}

/** Closed days out of a calendar or a table; what was not taken is said with why. */
export function DaysFromFile({ days, onAdd }: Props) {
  const [read, setRead] = useState<{ words: string; leftOut: ReadDays['leftOut'] }>();
  const going = useUploads(
    (file, sending) => upload('/api/setup/closed-days/read', file, sending),
    (answer) => {
      const added = answer.days.filter(({ day }) => !days.includes(day));
      setRead({ words: addedWords(added, answer.days.length), leftOut: answer.leftOut });
      onAdd([...days, ...added.map(({ day }) => day)].sort());
    },
  );
  return (
    <Box sx={{ maxWidth: 560, mb: 1.5 }}>
      <UploadArea
        words="Add days from a calendar (.ics) or CSV file…"
        accept=".ics,.csv,text/calendar,text/csv"
        going={going}
      />
      {read && (
        <Box role="status" sx={{ typography: 'body2', mt: 0.5 }}>
          {read.words}
          {read.leftOut.length > 0 && (
            <Box component="ul" sx={{ m: 0, pl: 2.5, color: 'warning.main' }}>
              {read.leftOut.map(({ entry, why }, i) => (
                <li key={i}>
                  {entry}: {why}
                </li>
              ))}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
