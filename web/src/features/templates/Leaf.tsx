import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, linesQuery, teamsQuery, type Template } from '../../shared/api';
import { Answered, Moment, ProblemNote } from '../../shared/ui';
import { usageWords } from './model/book';
import { languageName } from '../../shared/format';
import { usageQuery, useBookChange, versionsQuery } from './queries';
import { Sample } from './Sample';
import { TemplateForm, wantedOf } from './TemplateForm';
import { TemplateWords } from './TemplateWords';

interface Props {
  template: Template;
  zone: string;
}

/** Where it is offered, in words. */
function useWhere({ lines, sites, teams }: Template): string {
  const allLines = useQuery(linesQuery).data ?? [];
  const allTeams = useQuery(teamsQuery).data ?? [];
  const names = [
    ...lines.map((id) => allLines.find((line) => line.id === id)?.name ?? 'another line'),
    ...sites.map((id) => allLines.find((line) => line.siteId === id)?.site ?? 'another site'),
    ...teams.map((id) => `the team ${allTeams.find((team) => team.id === id)?.name ?? ''}`),
  ];
  return names.length === 0 ? 'all lines' : names.join(', ');
}

/** One page of the book. */
export function Leaf({ template, zone }: Props) {
  const [changing, setChanging] = useState(false);
  const change = useBookChange();
  const usage = useQuery(usageQuery(template.id)).data;
  const where = useWhere(template);
  const { id, version, retired } = template;
  if (changing) return <TemplateForm template={template} onDone={() => setChanging(false)} />;
  const set = (more: Partial<Template>) =>
    change.mutate(() =>
      ask('PUT', '/api/templates/{id}', {
        path: { id },
        query: { seen: version },
        body: { ...wantedOf(template), ...more },
      }),
    );
  const like = () =>
    change.mutate(() =>
      ask('PUT', '/api/templates/{id}/favourite', { path: { id }, body: { favourite: !template.favourite } }),
    );
  return (
    <Box component="article" aria-label={template.title} sx={{ display: 'grid', gap: 2, maxWidth: '72ch' }}>
      <Box>
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          {[template.folder, retired ? 'retired' : ''].filter(Boolean).join(' · ')}
        </Box>
        <Box component="h2" sx={{ m: 0, typography: 'title', overflowWrap: 'anywhere' }}>
          {template.title}
        </Box>
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          {template.shortName !== '' && (
            <>
              Type{' '}
              <Box component="b" sx={{ color: 'text.primary' }}>
                {template.shortName}
              </Box>{' '}
              and Tab to insert it.{' '}
            </>
          )}
          Offered on {where}
          {template.language !== '' && `, in ${languageName(template.language)}`}
          {template.guarded && '; only leads may change it'}.
        </Box>
      </Box>
      <TemplateWords words={template.words} />
      <Sample words={template.words} />
      {usage && (
        <Box sx={{ typography: 'body2' }}>
          {usageWords(usage)}
          {usage.last && (
            <>
              {' '}
              Last <Moment at={usage.last} zone={zone} />.
            </>
          )}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {template.mayChange && (
          <Button variant="outlined" onClick={() => setChanging(true)}>
            Change
          </Button>
        )}
        <Button onClick={like} aria-pressed={template.favourite}>
          {template.favourite ? 'Remove from my favourites' : 'Add to my favourites'}
        </Button>
        {template.mayChange && (
          <Button onClick={() => set({ retired: !retired })}>{retired ? 'Bring back into use' : 'Retire'}</Button>
        )}
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
      <Versions key={id} template={template} zone={zone} />
    </Box>
  );
}

function Versions({ template, zone }: Props) {
  const [open, setOpen] = useState(false);
  const { id, version } = template;
  const versions = useQuery({ ...versionsQuery(id), enabled: open });
  const back = useBookChange();
  if (version === 1) return null;
  return (
    <Box component="section" aria-label="Earlier versions" sx={{ borderTop: 1, borderColor: 'divider', pt: 1 }}>
      <Button sx={{ p: 0 }} aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide earlier versions' : 'Show earlier versions'}
      </Button>
      {open && (
        <Answered query={versions}>
          {(all) =>
            all
              .filter((one) => one.version !== version)
              .map((one) => (
                <Box key={one.version} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
                  <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
                    {one.by}, <Moment at={one.at} zone={zone} />
                    {one.title !== template.title && `, as “${one.title}”`}
                  </Box>
                  <TemplateWords words={one.words} />
                  {template.mayChange && (
                    <Button
                      sx={{ p: 0 }}
                      onClick={() =>
                        back.mutate(() =>
                          ask('POST', '/api/templates/{id}/versions/{version}/bring-back', {
                            path: { id, version: one.version },
                            query: { seen: version },
                          }),
                        )
                      }
                    >
                      Bring this version back
                    </Button>
                  )}
                </Box>
              ))
          }
        </Answered>
      )}
      {back.error && <ProblemNote problem={back.error} />}
    </Box>
  );
}
