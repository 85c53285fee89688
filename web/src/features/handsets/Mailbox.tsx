import { Box } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { call, type Mail } from './api';

const LINK = /(https?:\/\/\S+)/;

/** The stand-in's mailbox: everything that was mailed, whomever it was for. */
export function Mailbox() {
  const queries = useQueryClient();
  const mails = useQuery({ queryKey: ['mailbox'], queryFn: () => call<Mail[]>('GET', '/mailbox') });
  const [chosen, setChosen] = useState<string>();
  useEffect(() => {
    const source = new EventSource('/live');
    source.onmessage = () => void queries.invalidateQueries({ queryKey: ['mailbox'] });
    return () => source.close();
  }, [queries]);
  const all = mails.data ?? [];
  const open = all.find((mail) => mail.id === chosen) ?? all[0];
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100dvh',
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '360px minmax(0, 1fr)' },
        alignContent: 'start',
      }}
    >
      <Box
        component="section"
        aria-label="Mail"
        sx={{ borderRight: { md: 1 }, borderColor: { md: 'divider' }, minHeight: { md: '100dvh' } }}
      >
        <Box sx={{ p: 2, borderBottom: 1, borderColor: 'divider' }}>
          <Box component="h1" sx={{ m: 0, typography: 'title' }}>
            Mailbox
          </Box>
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
            A stand-in mailbox: all mail that Fabulum sends arrives here. <a href="/handsets.html">Handsets</a>
          </Box>
        </Box>
        {mails.error && (
          <Box role="alert" sx={{ p: 2, color: 'error.main' }}>
            The mailbox does not answer.
          </Box>
        )}
        {mails.data && all.length === 0 && (
          <Box sx={{ p: 3, color: 'text.secondary' }}>No mail yet. Invitations and notices arrive here.</Box>
        )}
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {all.map((mail) => (
            <Box
              component="li"
              key={mail.id}
              sx={{
                borderBottom: 1,
                borderColor: 'divider',
                bgcolor: mail === open ? 'inks.pineWash' : 'transparent',
              }}
            >
              <Box
                component="button"
                type="button"
                aria-current={mail === open ? 'true' : undefined}
                onClick={() => setChosen(mail.id)}
                sx={{
                  display: 'block',
                  width: '100%',
                  textAlign: 'left',
                  font: 'inherit',
                  color: 'inherit',
                  border: 0,
                  bgcolor: 'transparent',
                  px: 2,
                  py: 0.75,
                  cursor: 'pointer',
                }}
              >
                <Box sx={{ fontWeight: 600 }}>{mail.subject}</Box>
                <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                  to {mail.to}, {new Date(mail.at).toLocaleString()}
                </Box>
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      {open && (
        <Box component="article" aria-label={open.subject} sx={{ p: { xs: 2, md: 4 }, maxWidth: '72ch' }}>
          <Box component="h2" sx={{ m: 0, typography: 'title' }}>
            {open.subject}
          </Box>
          <Box sx={{ typography: 'body2', color: 'text.secondary', mb: 2 }}>
            from {open.from} to {open.to}
          </Box>
          <Box sx={{ typography: 'words', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
            {open.words.split(LINK).map((piece, i) =>
              i % 2 === 1 ? (
                <Box component="a" key={i} href={piece} sx={{ color: 'info.main' }}>
                  {piece}
                </Box>
              ) : (
                piece
              ),
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}
