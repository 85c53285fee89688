import { Box, Tooltip } from '@mui/material';
import { memo, type ReactNode, Suspense } from 'react';
import type { Entry, Hit, Member } from '../../shared/api';
import { day, fullMoment, money } from '../../shared/format';
import { Moment, part, StaffMark, useNow } from '../../shared/ui';
import { hereEdge, notePaper } from '../../theme';
import { deliveryOfEach, deliveryWords, direction, type Printed, writerName } from './model/scene';
import { LinkedWords } from './LinkedWords';
import { NoteWords } from './NoteWords';

/** Fetched with the first attachment. */
const Attached = part(() => import('../attachments').then((part) => part.Attached));

interface Props {
  line: Printed;
  /** The first that the user has not read. */
  isFirstNew: boolean;
  zone: string;
  customer: string;
  me: number;
  teamName: (id: number) => string;
  /** Everybody in a group; not needed where there is one number. */
  members?: Member[];
  /** What is marked in its words. */
  hits?: Hit[] | undefined;
  /** It is the one that was gone to. */
  here?: boolean;
  /** What can be done with a text that was not delivered. */
  children?: ReactNode;
  /** What can be done with any text; it shows while the pointer or the focus is on it. */
  menu?: ReactNode;
}

const NOBODY: Member[] = [];

const MARGINS = { xs: '44px 1fr 28px', sm: '56px 112px minmax(0, 68ch) 28px' };

function speakerName(entry: Entry, customer: string): string {
  if (entry.kind === 'IN') {
    const name = customer;
    return /^[\d+(]/.test(name) ? name : (name.split(' ')[0] ?? name);
  }
  if (!entry.speaker) return entry.author ?? (entry.kind === 'OUT' && !entry.automatic ? 'Our office' : 'Fabulum');
  const { name, initials } = entry.speaker;
  // A note's margin says as well that it is one.
  return entry.kind === 'NOTE' ? initials : `${name.split(' ')[0] ?? ''} ${initials}`;
}

/** What the text cost, where that is known. */
function costWords({ cost, currency }: Entry): string {
  return cost === undefined || currency === undefined ? '' : `It cost ${money({ amount: cost, currency })}.`;
}

function Aside({ children }: { children: ReactNode }) {
  return <Box sx={{ typography: 'caption', color: 'text.secondary', fontStyle: 'italic' }}>{children}</Box>;
}

/** One line: the time margin, the speaker margin, the words. */
export const EntryLine = memo(function EntryLine(props: Props) {
  const { line, isFirstNew, zone, me, teamName, members = NOBODY, children, menu, hits, here = false } = props;
  const now = useNow();
  const { entry, newDay, named } = line;
  const customer = writerName(entry, members, props.customer);
  const note = entry.kind === 'NOTE';
  return (
    <>
      {newDay && (
        <Box
          component="h3"
          sx={{
            font: 'inherit',
            typography: 'caption',
            color: 'text.secondary',
            textAlign: 'center',
            my: 1.5,
            mx: 0,
            letterSpacing: '0.02em',
          }}
        >
          — <time dateTime={entry.at}>{day(new Date(entry.at), now, zone)}</time> —
        </Box>
      )}
      {isFirstNew && (
        <Box
          role="separator"
          aria-label="New since you were here"
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            px: { xs: 1, sm: 2 },
            my: 0.5,
            typography: 'caption',
            color: 'primary.main',
            fontWeight: 700,
            '&::before, &::after': { content: '""', flex: 1, borderTop: 1, borderColor: 'primary.main' },
          }}
        >
          new since you were here
        </Box>
      )}
      <Box
        data-entry={entry.kind}
        {...(here ? { 'aria-current': 'true' as const } : {})}
        sx={[
          {
            display: 'grid',
            gridTemplateColumns: MARGINS,
            columnGap: 1.5,
            px: { xs: 1, sm: 2 },
            py: note ? 0.75 : 0.25,
            mt: named && !newDay ? 1 : 0,
            alignItems: 'baseline',
            // Out of the way until the pointer or the focus is on the text; where nothing can point, always there.
            '@media (hover: hover)': {
              '& .text-menu': { opacity: 0 },
              '&:hover .text-menu, & .text-menu:focus-visible, & .text-menu[aria-expanded=true]': { opacity: 1 },
            },
          },
          note ? notePaper : {},
          here ? { boxShadow: hereEdge } : {},
          note ? { backgroundPositionY: '7px', pl: { xs: '4px', sm: '12px' } } : {},
        ]}
      >
        <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', textAlign: 'right' }}>
          <Moment at={entry.at} zone={zone} short />
        </Box>
        {entry.kind === 'EVENT' ? (
          <Box
            sx={{
              gridColumn: { xs: '2 / 4', sm: '2 / 5' },
              typography: 'aside',
              color: 'text.secondary',
            }}
          >
            ({direction(entry, now, zone, teamName, customer)})
          </Box>
        ) : (
          <>
            <Tooltip title={entry.speaker?.name ?? entry.author ?? customer}>
              <Box
                sx={{
                  typography: 'caption',
                  fontWeight: 700,
                  letterSpacing: '0.03em',
                  textAlign: { sm: 'right' },
                  color: entry.kind === 'IN' ? 'info.main' : 'text.primary',
                  overflow: 'hidden',
                  textOverflow: 'ellipsis',
                  whiteSpace: 'nowrap',
                }}
              >
                {named && entry.speaker && (
                  <>
                    <StaffMark mark={entry.speaker.mark} />{' '}
                  </>
                )}
                {named ? speakerName(entry, customer) : ''}
                {entry.automatic && (
                  <Box component="span" sx={{ fontWeight: 400 }}>
                    {', automatic'}
                  </Box>
                )}
                {named && note && (
                  <Box component="span" sx={{ fontWeight: 400 }}>
                    {', note'}
                  </Box>
                )}
              </Box>
            </Tooltip>
            <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
              {note ? (
                <NoteWords note={entry} mine={entry.speaker?.id === me} zone={zone} hits={hits} />
              ) : (
                (entry.words !== '' || !entry.attachments) && (
                  <Box
                    sx={{
                      typography: 'words',
                      lineHeight: 1.5,
                      whiteSpace: 'pre-wrap',
                      overflowWrap: 'anywhere',
                    }}
                  >
                    <LinkedWords words={entry.words ?? ''} hits={hits} />
                  </Box>
                )
              )}
              {entry.attachments && (
                <Suspense fallback={<Box sx={{ height: 132 }} />}>
                  <Attached list={entry.attachments} conversation={entry.conversationId} />
                </Suspense>
              )}
              {entry.delivery && (
                <Tooltip title={[...deliveryOfEach(entry, members), costWords(entry)].filter(Boolean).join(' ')}>
                  <Box
                    className="figures"
                    sx={{
                      typography: 'caption',
                      width: 'fit-content',
                      color: entry.delivery === 'NOT_DELIVERED' ? 'error.main' : 'text.secondary',
                    }}
                  >
                    {deliveryWords(entry, members)}
                    {entry.parts !== undefined && entry.parts > 1 && ` · ${entry.parts} parts`}
                  </Box>
                </Tooltip>
              )}
              {children}
              {entry.claimedAt && (
                <Aside>The network gave an impossible time: {fullMoment(new Date(entry.claimedAt), zone)}.</Aside>
              )}
              {entry.arrivedAt && (
                <Aside>
                  Arrived <Moment at={entry.arrivedAt} zone={zone} />, too late to count as waiting for an answer.
                </Aside>
              )}
            </Box>
            {menu}
          </>
        )}
      </Box>
    </>
  );
});
