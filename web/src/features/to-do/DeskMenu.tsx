import { Box, Button, Popover } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { part, useMe } from '../../shared/ui';
import { deskQuery } from './queries';

/** Fetched when it is first opened. */
const DeskList = part(() => import('./DeskList').then((part) => part.DeskList));

/** How much I am to do, and the list of it, with what I have begun to write. */
export function DeskMenu() {
  const desk = useQuery(deskQuery);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { staff, page, may } = useMe();
  // What I can look at is as due as what I am to do now.
  const mayLook = may.includes('TEXT') && !page.secondLook;
  const toLookAt = mayLook ? (desk.data?.looks.filter((look) => look.staff !== staff.id).length ?? 0) : 0;
  const due = desk.data?.toDos.filter(({ toDo }) => toDo.broughtAt !== undefined).length ?? 0;
  const urgent = due + toLookAt;
  const open = (desk.data?.toDos.length ?? 0) + toLookAt;
  return (
    <>
      <Button
        color="inherit"
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ whiteSpace: 'nowrap', fontWeight: urgent > 0 ? 700 : 500 }}
      >
        To do
        {open > 0 && (
          <Box
            component="span"
            className="figures"
            sx={{ ml: 0.75, color: urgent > 0 ? 'primary.main' : 'text.secondary' }}
          >
            {open}
          </Box>
        )}
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box
          role="dialog"
          aria-label="To do and drafts"
          sx={{ width: 'min(460px, 94vw)', maxHeight: '75vh', overflowY: 'auto' }}
        >
          <Suspense fallback={null}>
            <DeskList onGo={() => setAnchor(null)} />
          </Suspense>
        </Box>
      </Popover>
    </>
  );
}
