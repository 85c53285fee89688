import { Box, Button, Divider, Menu, MenuItem } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { tellEnded } from '../features/session';
import { ask, endSession, keys, type Session } from '../shared/api';
import { part, StaffMark } from '../shared/ui';

/** Fetched when it is first needed. */
const Leaving = part(() => import('../features/office').then((part) => part.Leaving));

const SCHEMES = [
  ['light', 'Light paper'],
  ['dark', 'Dark paper'],
  ['system', 'Same as the system'],
] as const;

/** My name, whether I am in, and what belongs to me. */
export function MyMenu({ session, onHelp }: { session: Session; onHelp: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { mode, setMode } = useColorScheme();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [leaving, setLeaving] = useState(false);
  const close = () => setAnchor(null);
  const setIn = useMutation({
    mutationFn: (isIn: boolean) => ask('PUT', '/api/me/in', { body: { in: isIn } }),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.session });
      void queries.invalidateQueries({ queryKey: keys.office });
    },
  });
  const signOut = useMutation({
    mutationFn: () => ask('DELETE', '/api/session'),
    onSuccess: () => {
      endSession(queries);
      tellEnded();
    },
  });
  const works = session.may.includes('WORK');
  const first = session.staff.name.split(' ')[0];
  return (
    <>
      <Button
        color="inherit"
        aria-haspopup="menu"
        aria-label={`${session.staff.name}, ${session.in ? 'in' : 'away'}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ whiteSpace: 'nowrap', gap: 0.75 }}
      >
        <StaffMark mark={session.staff.mark} />
        {first}
        <Box
          component="span"
          sx={{ color: session.in ? 'text.secondary' : 'warning.main', fontWeight: session.in ? 400 : 700 }}
        >
          {session.in ? 'in' : 'away'}
        </Box>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {works && (
          <MenuItem
            onClick={() => {
              close();
              if (session.in) setLeaving(true);
              else setIn.mutate(true);
            }}
          >
            {session.in ? 'Set as away…' : 'I’m back'}
          </MenuItem>
        )}
        <MenuItem
          onClick={() => {
            close();
            void navigate('/me');
          }}
        >
          Profile, availability, notifications
        </MenuItem>
        <Divider />
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
        {session.handsets && (
          <MenuItem component="a" href={session.handsets} target="_blank" rel="noreferrer" onClick={close}>
            Demonstration handsets
          </MenuItem>
        )}
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
      {leaving && (
        <Suspense fallback={null}>
          <Leaving
            staff={session.staff}
            onClose={() => setLeaving(false)}
            onLeft={() => {
              setLeaving(false);
              setIn.mutate(false);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
