import { Button, Divider, Menu, MenuItem } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type Session } from '../shared/api';

const SCHEMES = [
  ['light', 'Light paper'],
  ['dark', 'Dark paper'],
  ['system', 'As the system has it'],
] as const;

/** My name, and what belongs to me. */
export function MyMenu({ session, onHelp }: { session: Session; onHelp: () => void }) {
  const queries = useQueryClient();
  const { mode, setMode } = useColorScheme();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  const signOut = useMutation({
    mutationFn: () => ask('DELETE', '/api/session'),
    onSuccess: () => {
      queries.clear();
      queries.setQueryData(keys.session, null);
    },
  });
  return (
    <>
      <Button
        color="inherit"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ whiteSpace: 'nowrap' }}
      >
        {session.staff.name}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {SCHEMES.map(([scheme, words]) => (
          <MenuItem
            key={scheme}
            selected={mode === scheme}
            onClick={() => {
              setMode(scheme);
              close();
            }}
          >
            {words}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem
          onClick={() => {
            close();
            onHelp();
          }}
        >
          Keys
        </MenuItem>
        <MenuItem onClick={() => signOut.mutate()}>Sign out</MenuItem>
      </Menu>
    </>
  );
}
