import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { staffQuery } from '../../shared/api';
import { moment } from '../../shared/format';
import { Blank, TimeDialog, useNow } from '../../shared/ui';

export interface ToDo {
  staff: number;
  at: string;
}

interface Props {
  conversation: number;
  zone: string;
  me: number;
  toDo: ToDo | undefined;
  onChange: (toDo: ToDo | undefined) => void;
}

/** Makes a note something to do: for whom, and when its conversation comes back. */
export function ToDoChoice({ conversation, zone, me, toDo, onChange }: Props) {
  const staff = (useQuery(staffQuery).data ?? []).filter(({ active }) => active);
  const now = useNow();
  const [choosing, setChoosing] = useState(false);
  return (
    <Box sx={{ typography: 'body2', pt: 0.5 }}>
      {toDo === undefined ? (
        <Button sx={{ p: 0 }} onClick={() => setChoosing(true)}>
          Make it a to-do…
        </Button>
      ) : (
        <>
          To do for{' '}
          <Blank
            name="To do for"
            value={toDo.staff}
            options={staff.map(({ id, name }) => ({ value: id, words: id === me ? `me (${name})` : name }))}
            onChange={(who) => onChange({ ...toDo, staff: who })}
          />
          ,{' '}
          <Button sx={{ p: 0, verticalAlign: 'baseline' }} onClick={() => setChoosing(true)}>
            {moment(new Date(toDo.at), now, zone)}
          </Button>
          {'. The conversation comes back then. '}
          <Button sx={{ p: 0, verticalAlign: 'baseline' }} onClick={() => onChange(undefined)}>
            Only a note
          </Button>
        </>
      )}
      {choosing && (
        <TimeDialog
          title="To do when?"
          act="Set the time"
          conversation={conversation}
          zone={zone}
          now={now}
          onClose={() => setChoosing(false)}
          onChoose={(at) => {
            setChoosing(false);
            onChange({ staff: toDo?.staff ?? me, at });
          }}
        />
      )}
    </Box>
  );
}
