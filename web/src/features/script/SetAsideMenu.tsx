import { Box, Menu, MenuItem } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type MomentKind } from '../../shared/api';
import { momentsQuery } from './queries';
import { moment } from '../../shared/format';
import { TimeDialog, useNow } from '../../shared/ui';

interface Props {
  id: number;
  zone: string;
  anchor: HTMLElement | null;
  onClose: () => void;
  onChoose: (kind: MomentKind, at?: string) => void;
}

/** Until when: the moments the line's own calendar gives, until the customer writes, or a time of the person's own. */
export function SetAsideMenu({ id, zone, anchor, onClose, onChoose }: Props) {
  const now = useNow();
  const [ownTime, setOwnTime] = useState(false);
  const offered = useQuery(momentsQuery(id, anchor !== null)).data;
  const choose = (kind: MomentKind, at?: string) => {
    onClose();
    setOwnTime(false);
    onChoose(kind, at);
  };
  const item = (kind: MomentKind, words: string, at: string | undefined) => (
    <MenuItem
      key={kind}
      disabled={offered !== undefined && at === undefined}
      onClick={() => choose(kind)}
      sx={{ gap: 3 }}
    >
      <Box sx={{ flex: 1 }}>{words}</Box>
      <Box className="figures" sx={{ color: 'text.secondary' }}>
        {at ? moment(new Date(at), now, zone) : offered ? 'closed then' : ''}
      </Box>
    </MenuItem>
  );
  return (
    <>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={onClose} aria-label="Set aside until">
        {item('LATER_TODAY', 'Later today', offered?.laterToday)}
        {item('TOMORROW', 'Tomorrow, at opening', offered?.tomorrow)}
        {item('NEXT_MONDAY', 'Next Monday, at opening', offered?.nextMonday)}
        <MenuItem onClick={() => choose('WHEN_THEY_WRITE')}>Until they write</MenuItem>
        <MenuItem
          onClick={() => {
            onClose();
            setOwnTime(true);
          }}
        >
          At a time…
        </MenuItem>
      </Menu>
      {ownTime && (
        <TimeDialog
          title="Set aside until"
          act="Set aside"
          conversation={id}
          zone={zone}
          now={now}
          onClose={() => setOwnTime(false)}
          onChoose={(at) => choose('AT', at)}
        />
      )}
    </>
  );
}
