import { Button, ListSubheader, Menu, MenuItem } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { shortWritten } from './model/pieces';
import { placeholdersQuery } from './queries';

const WHOSE: Record<string, string> = {
  customer: 'Customer',
  staff: 'You',
  line: 'Line',
  site: 'Site',
  appointment: 'Next appointment',
  job: 'Open job',
  hours: 'Opening hours',
  link: 'Links',
};

/** Puts a placeholder where the cursor is. */
export function PlaceholderMenu({ onPut }: { onPut: (written: string) => void }) {
  const all = useQuery(placeholdersQuery).data ?? [];
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button sx={{ p: 0 }} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Insert a placeholder…
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        disableRestoreFocus
        slotProps={{ paper: { sx: { maxHeight: 420 } } }}
      >
        {all.flatMap(({ whose, name, written }, i) => [
          ...(whose === all[i - 1]?.whose
            ? []
            : [
                <ListSubheader key={whose} sx={{ bgcolor: 'background.paper', lineHeight: 2 }}>
                  {WHOSE[whose] ?? whose}
                </ListSubheader>,
              ]),
          <MenuItem
            key={written}
            dense
            onClick={() => {
              setAnchor(null);
              onPut(name === 'first name' && whose === 'customer' ? '{first name | there}' : shortWritten(written));
            }}
          >
            {name}
          </MenuItem>,
        ])}
      </Menu>
    </>
  );
}
