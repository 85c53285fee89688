import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { Answered } from '../../shared/ui';
import { Appointments } from './Appointments';
import { Jobs } from './Jobs';
import { Lists } from './Lists';
import { Notes } from './Notes';
import { Numbers } from './Numbers';
import { OnFile } from './OnFile';
import { customerQuery } from './queries';
import { Twins } from './Twins';

/** A customer beside a script: the same as on their page, but for the story. */
export function CustomerInSheet({ id, conversation, zone }: { id: number; conversation: number; zone: string }) {
  const page = useQuery(customerQuery(id));
  return (
    <Answered query={page}>
      {(data) => (
        <Box>
          <Button component={Link} to={`/customers/${id}`} sx={{ p: 0, mb: 0.5 }}>
            Their page and whole story
          </Button>
          <Twins file={data.file} />
          <OnFile file={data.file} />
          <Appointments id={id} work={data.work} zone={zone} open conversation={conversation} />
          <Jobs id={id} work={data.work} zone={zone} open conversation={conversation} />
          <Numbers page={data} zone={zone} />
          <Notes file={data.file} zone={zone} />
          <Lists file={data.file} />
        </Box>
      )}
    </Answered>
  );
}
