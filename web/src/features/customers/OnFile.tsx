import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, customerTermsQuery, type CustomerFile, type DetailKind, type FieldOfCustomer } from '../../shared/api';
import { languageName, LANGUAGES } from '../../shared/format';
import { Blank, BlankText, ProblemNote, useRefusal } from '../../shared/ui';
import { Fact, Facts } from './Fact';
import { useCustomerChange } from './queries';

const HINTS: Record<DetailKind['type'], string> = {
  TEXT: 'add',
  NUMBER: 'add a number',
  DATE: 'add a date',
  CHOICE: '',
};

/** What is on file of a customer. Every blank is filled and changed in place. */
export function OnFile({ file }: { file: CustomerFile }) {
  const terms = useQuery(customerTermsQuery).data;
  const change = useCustomerChange();
  const may = useRefusal('WORK') === '' && file.joinedInto === undefined;
  const path = { id: file.id };
  const set = (field: FieldOfCustomer, was: string | undefined) => (now: string) =>
    change.mutate({ go: () => ask('PUT', '/api/customers/{id}/field', { path, body: { field, was, now } }) });
  const text = (field: FieldOfCustomer, name: string, value: string | undefined, hint: string) =>
    may ? (
      <BlankText name={name} value={value ?? ''} placeholder={hint} onChange={set(field, value)} longest={200} />
    ) : (
      (value ?? '–')
    );
  const site = terms?.sites.find(({ id }) => id === file.siteId);
  return (
    <>
      <Facts>
        <Fact name="Kind">{text('KIND', 'Kind of customer', file.kind, 'add, such as Regular')}</Fact>
        <Fact name="E-mail">{text('EMAIL', 'E-mail', file.email, 'add an address')}</Fact>
        <Fact name="Site">
          {may && terms ? (
            <Blank
              name="Site"
              value={file.siteId === undefined ? '' : String(file.siteId)}
              unsaid="choose"
              options={[
                { value: '', words: 'none' },
                ...terms.sites.map(({ id, name }) => ({ value: String(id), words: name })),
              ]}
              onChange={set('SITE', file.siteId === undefined ? undefined : String(file.siteId))}
            />
          ) : (
            (site?.name ?? '–')
          )}
        </Fact>
        <Fact name="Language">
          {may ? (
            <Blank
              name="Language"
              value={file.language ?? ''}
              unsaid="choose, if it is not ours"
              options={[{ value: '', words: 'not said' }, ...LANGUAGES.map(([value, words]) => ({ value, words }))]}
              onChange={set('LANGUAGE', file.language)}
            />
          ) : (
            languageName(file.language ?? '–')
          )}
        </Fact>
        {terms?.details
          .filter((kind) => !kind.retired || file.details.some(({ kindId }) => kindId === kind.id))
          .map((kind) => (
            <Detail key={kind.id} kind={kind} file={file} may={may} onProblem={change} />
          ))}
        <Contacts file={file} may={may} change={change} />
        <Fact name="Outside id">
          {text('OUTSIDE_ID', 'Outside id', file.outsideId, 'how another program names them')}
        </Fact>
      </Facts>
      {change.error && <ProblemNote problem={change.error} />}
    </>
  );
}

type Change = ReturnType<typeof useCustomerChange>;

interface DetailProps {
  kind: DetailKind;
  file: CustomerFile;
  may: boolean;
  onProblem: Change;
}

function Detail({ kind, file, may, onProblem: change }: DetailProps) {
  const was = file.details.find(({ kindId }) => kindId === kind.id)?.words;
  const path = { id: file.id, kind: kind.id };
  const set = (now: string) =>
    change.mutate({ go: () => ask('PUT', '/api/customers/{id}/details/{kind}', { path, body: { was, now } }) });
  const choices = kind.choices.split('\n').filter(Boolean);
  return (
    <Fact name={kind.name}>
      {!may ? (
        (was ?? '–')
      ) : kind.type === 'CHOICE' ? (
        <Blank
          name={kind.name}
          value={was ?? ''}
          unsaid="choose"
          options={[{ value: '', words: 'not said' }, ...choices.map((words) => ({ value: words, words }))]}
          onChange={set}
        />
      ) : (
        <BlankText
          name={kind.name}
          value={was ?? ''}
          placeholder={HINTS[kind.type]}
          type={kind.type === 'DATE' ? 'date' : 'text'}
          longest={400}
          onChange={set}
        />
      )}
    </Fact>
  );
}

function Contacts({ file, may, change }: { file: CustomerFile; may: boolean; change: Change }) {
  const path = { id: file.id };
  const add = (name: string) =>
    change.mutate({ go: () => ask('POST', '/api/customers/{id}/contacts', { path, body: { name } }) });
  return (
    <Fact name="Contacts">
      {file.contacts.map((contact) => (
        <Box key={contact.id}>
          {may ? (
            <BlankText
              name={`Contact ${contact.name}; leave it empty to remove it`}
              value={contact.name}
              placeholder="remove"
              onChange={(now) => {
                const gone = { ...path, contact: contact.id };
                change.mutate({
                  go: async () => {
                    await ask('DELETE', '/api/customers/{id}/contacts/{contact}', { path: gone });
                    if (now.trim() !== '')
                      await ask('POST', '/api/customers/{id}/contacts', { path, body: { name: now } });
                  },
                });
              }}
            />
          ) : (
            contact.name
          )}
        </Box>
      ))}
      {may ? (
        <BlankText
          key={`add ${file.contacts.length}`}
          name="Another contact person"
          value=""
          placeholder="add a person of the firm"
          onChange={add}
        />
      ) : (
        file.contacts.length === 0 && '–'
      )}
    </Fact>
  );
}
