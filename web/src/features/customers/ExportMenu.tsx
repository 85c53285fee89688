import { Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { ActButton, useRefusal } from '../../shared/ui';

const FORMATS = [
  ['csv', 'As CSV, for a spreadsheet'],
  ['vcf', 'As vCards, for an address book'],
  ['jobs.csv', 'Their jobs as CSV'],
] as const;

/** Takes the customers that are shown out in an open format. */
export function ExportMenu({ sentence }: { sentence: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
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
      </Menu>
    </>
  );
}
