import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem, ask, type CustomerPageData, linesQuery } from '../../shared/api';
import { BlankText, Moment, part, ProblemNote, useRefusal, useTitle } from '../../shared/ui';
import { Appointments } from './Appointments';
import { Changes } from './Changes';
import { Section } from './Fact';
import { Jobs } from './Jobs';
import { Lists } from './Lists';
import { Notes } from './Notes';
import { Numbers } from './Numbers';
import { OnFile } from './OnFile';
import { customerQuery, storyQuery, useCustomerChange } from './queries';
import { RemoveForGood } from './RemoveForGood';
import { Story } from './Story';
import { Twins } from './Twins';
import { useWriteTo, WriteBar } from './WriteBar';

/** Fetched with the first customer's page. */
const CustomerFiles = part(() => import('../attachments').then((part) => part.CustomerFiles));

/** A customer’s page: who they are on the left, their whole story on the right. */
export function CustomerPage() {
  const id = Number(useParams().id);
  const page = useQuery(customerQuery(id));
  useTitle(page.data?.file.name, 'Customers');
  if (page.error && !page.data) {
    const missing = page.error instanceof ApiProblem && page.error.status === 404;
    return (
      <Box component="main" sx={{ p: 3 }}>
        {missing ? (
          <>
            There is no such customer; perhaps a colleague took back that they were added.{' '}
            <Button component={Link} to="/customers">
              All customers
            </Button>
          </>
        ) : (
          <ProblemNote problem={page.error} onRetry={() => void page.refetch()} />
        )}
      </Box>
    );
  }
  return page.data ? <Page key={id} page={page.data} /> : <Box component="main" aria-busy="true" />;
}

function Page({ page }: { page: CustomerPageData }) {
  const { file, work } = page;
  const lines = useQuery(linesQuery).data ?? [];
  const zone = lines[0]?.zone ?? 'UTC';
  const story = useInfiniteQuery(storyQuery(file.id)).data;
  const newest = story?.pages[0];
  const last = newest?.entries[newest.entries.length - 1]?.conversationId;
  const usual = newest?.where.find(({ conversationId }) => conversationId === last)?.lineId;
  const [line, setLine] = useState<number>();
  const write = useWriteTo();
  const to = page.numbers.find(({ until, address }) => until === undefined && address.startsWith('+'));
  const from = line ?? usual ?? lines.find(({ inUse }) => inUse)?.id;
  const mayText = useRefusal('TEXT') === '';
  const onWrite =
    to && from !== undefined && mayText && file.joinedInto === undefined
      ? (about: Parameters<typeof write.mutate>[0]['about']) => write.mutate({ line: from, number: to.address, about })
      : undefined;
  const open = file.joinedInto === undefined;
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '380px minmax(0, 1fr)' },
        gridTemplateRows: { xs: 'auto auto', md: 'minmax(0, 1fr)' },
        overflowY: { xs: 'auto', md: 'hidden' },
      }}
    >
      <Box
        component="section"
        aria-label="On file"
        sx={{ minHeight: 0, overflowY: { md: 'auto' }, borderRight: { md: 1 }, borderColor: { md: 'divider' }, p: 2 }}
      >
        <Button component={Link} to="/customers" sx={{ p: 0 }}>
          ← All customers
        </Button>
        <Name page={page} zone={zone} />
        {!open && (
          <Box role="note" sx={{ my: 1, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
            They are on file as{' '}
            <Button component={Link} to={`/customers/${file.joinedInto ?? 0}`} sx={{ p: 0 }}>
              {page.joinedIntoName}
            </Button>{' '}
            now. What was theirs stands there.
          </Box>
        )}
        <Twins file={file} />
        <OnFile file={file} />
        <Numbers page={page} zone={zone} />
        <Appointments id={file.id} work={work} zone={zone} open={open} onWrite={onWrite} />
        <Jobs id={file.id} work={work} zone={zone} open={open} onWrite={onWrite} />
        {open && (
          <Section title="Files">
            <Suspense fallback={null}>
              <CustomerFiles customer={file.id} jobs={work.jobs} zone={zone} />
            </Suspense>
          </Section>
        )}
        <Notes file={file} zone={zone} />
        <Lists file={file} />
        <Changes id={file.id} zone={zone} />
        <RemoveForGood id={file.id} name={file.name} />
      </Box>
      <Box
        component="section"
        aria-label="Story"
        sx={{ minHeight: { xs: 480, md: 0 }, display: 'flex', flexDirection: 'column' }}
      >
        <Story
          id={file.id}
          name={file.name}
          zone={zone}
          shown={(address) => page.numbers.find((one) => one.address === address)?.local ?? address}
        />
        {open && <WriteBar page={page} usual={usual} write={write} line={line} onLine={setLine} />}
      </Box>
    </Box>
  );
}

function Name({ page: { file, heardAt }, zone }: { page: CustomerPageData; zone: string }) {
  const change = useCustomerChange();
  const may = useRefusal('WORK') === '' && file.joinedInto === undefined;
  const set = (now: string) =>
    change.mutate({
      go: () =>
        ask('PUT', '/api/customers/{id}/field', {
          path: { id: file.id },
          body: { field: 'NAME', was: file.name, now },
        }),
    });
  return (
    <Box sx={{ mb: 1 }}>
      <Box component="h2" sx={{ m: 0, typography: 'title', overflowWrap: 'anywhere' }}>
        {may ? (
          <BlankText name="Name" value={file.name} placeholder="name" longest={160} onChange={set} plain />
        ) : (
          file.name
        )}
      </Box>
      <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
        {heardAt ? (
          <>
            Last heard from <Moment at={heardAt} zone={zone} />
          </>
        ) : (
          'Not heard from yet'
        )}
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
    </Box>
  );
}
