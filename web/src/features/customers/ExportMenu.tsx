import { Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { ActButton, useRefusal } from '../../shared/ui';
import { CalendarDialog } from './CalendarDialog';

const FORMATS = [
  ['csv', 'As CSV, for a spreadsheet'],
  ['vcf', 'As vCards, for an address book'],
  ['jobs.csv', 'Their jobs as CSV'],
  ['appointments.ics', 'Their appointments as a calendar file'],
] as const;

/** Takes the customers that are shown out in an open format. */
export function ExportMenu({ sentence }: { sentence: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [calendar, setCalendar] = useState(false);
  const refusal = useRefusal('EXPORT');
  return (
    <>
      <ActButton refusal={refusal} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Export…
      </ActButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {FORMATS.map(([format, words]) => (
          <MenuItem
            key={format}
            component="a"
            href={`/api/customers/export/${format}?${new URLSearchParams({ sentence }).toString()}`}
            onClick={() => setAnchor(null)}
          >
            {words}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setCalendar(true);
          }}
        >
          Appointments in your calendar program…
        </MenuItem>
      </Menu>
      {calendar && <CalendarDialog onClose={() => setCalendar(false)} />}
    </>
  );
}
