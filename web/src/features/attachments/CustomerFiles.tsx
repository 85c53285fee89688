import { Box, Button, Link } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type Job, type KeptFile, upload } from '../../shared/api';
import { Answered, Blank, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { UploadArea, useUploads } from '../../shared/upload';
import { kindWords, sizeWords } from './model/files';
import { customerFilesQuery, useKeptChange } from './queries';

const NO_JOB = 0;

interface Props {
  customer: number;
  jobs: Job[];
  zone: string;
}

/** Files that are kept with a customer or one of their jobs, such as estimates and orders, to be sent to them. */
export function CustomerFiles({ customer, jobs, zone }: Props) {
  const query = useQuery(customerFilesQuery(customer));
  const refusal = useRefusal('WORK');
  const { remove, putWithJob, again } = useKeptChange();
  const going = useUploads<KeptFile>(
    (file, sending) => upload('/api/customers/{id}/files', file, { ...sending, path: { id: customer } }),
    () => void again(),
  );
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <Answered query={query}>
        {(files) => (
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {files.map((file) => (
              <Box component="li" key={file.id} sx={{ display: 'flex', gap: 1, alignItems: 'baseline', py: 0.25 }}>
                <Box sx={{ flex: 1, minWidth: 0, typography: 'body2' }}>
                  <Link
                    href={`/api/kept-files/${file.id}${file.shown ? '' : '?save=true'}`}
                    target={file.shown ? '_blank' : undefined}
                    rel="noreferrer"
                    color="info"
                    sx={{ overflowWrap: 'anywhere' }}
                  >
                    {file.name}
                  </Link>
                  <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                    {kindWords(file)}, {sizeWords(file.octets)}, <Moment at={file.putAt} zone={zone} />
                    {refusal === '' && jobs.length > 0 ? (
                      <>
                        , for{' '}
                        <Blank
                          name={`The job of ${file.name}`}
                          value={file.job?.id ?? NO_JOB}
                          options={[
                            { value: NO_JOB, words: 'no job' },
                            ...jobs.map((job) => ({ value: job.id, words: `${job.number ?? ''} ${job.what}`.trim() })),
                          ]}
                          onChange={(job) => putWithJob.mutate({ id: file.id, job: job === NO_JOB ? undefined : job })}
                        />
                      </>
                    ) : (
                      file.job && `, for ${file.job.name}`
                    )}
                  </Box>
                </Box>
                {refusal === '' && (
                  <Button
                    sx={{ p: 0 }}
                    aria-label={`Remove ${file.name}`}
                    disabled={remove.isPending}
                    onClick={() => remove.mutate(file.id)}
                  >
                    Remove
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        )}
      </Answered>
      {remove.error && <ProblemNote problem={remove.error} />}
      {putWithJob.error && <ProblemNote problem={putWithJob.error} />}
      {refusal === '' && <UploadArea words="Add files" accept="" several going={going} />}
    </Box>
  );
}
