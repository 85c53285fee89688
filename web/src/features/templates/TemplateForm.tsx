import { Autocomplete, Box, Checkbox, FormControlLabel, MenuItem, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useRef } from 'react';
import { flushSync } from 'react-dom';
import { ask, type Template, type TemplateForm as Wanted } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { useMe } from '../../shared/ui';
import { LANGUAGES } from '../../shared/format';
import { FilesField } from './FilesField';
import { PlaceholderMenu } from './PlaceholderMenu';
import { templatesQuery } from './queries';
import { Sample } from './Sample';
import { ScopeField } from './ScopeField';
import { WordsField } from './WordsField';

const NAMES: Partial<Record<keyof Wanted, string>> = {
  title: 'the title',
  shortName: 'the short name',
  words: 'the words',
  folder: 'the folder',
  language: 'the language',
  lines: 'where it is offered',
  files: 'its attachments',
  guarded: 'who may change it',
};

interface Props {
  /** The one that is changed; none for a new one. */
  template: Template | undefined;
  /** What a new one begins with. */
  first?: Partial<Wanted>;
  onDone: (saved?: Template) => void;
}

export function wantedOf(template: Template): Wanted {
  const { title, shortName, words, folder, language, guarded, retired, lines, sites, teams, files } = template;
  return { title, shortName, words, folder, language, guarded, retired, lines, sites, teams, files };
}

const EMPTY: Wanted = { title: '', shortName: '', words: '', folder: '', language: '', guarded: false, retired: false };

/** A template: what it says, how it is found, where it is offered. */
export function TemplateForm({ template, first, onDone }: Props) {
  const leads = useMe().may.includes('LEAD');
  const folders = [...new Set((useQuery(templatesQuery).data ?? []).map(({ folder }) => folder).filter(Boolean))];
  const seen = template?.version;
  const form = useForm<Wanted, Template>({
    first: template ? wantedOf(template) : { ...EMPTY, ...first },
    names: NAMES,
    send: (body) =>
      template && seen !== undefined
        ? ask('PUT', '/api/templates/{id}', { path: { id: template.id }, query: { seen }, body })
        : ask('POST', '/api/templates', { body }),
    onSaved: onDone,
  });
  const wanted = form.value;
  const field = useRef<HTMLTextAreaElement>(null);
  const shown = useDeferredValue(wanted.words);
  const put = (written: string) => {
    const from = field.current?.selectionStart ?? wanted.words.length;
    const to = field.current?.selectionEnd ?? from;
    flushSync(() => form.change({ words: wanted.words.slice(0, from) + written + wanted.words.slice(to) }));
    field.current?.focus();
    field.current?.setSelectionRange(from + written.length, from + written.length);
  };
  return (
    <Form form={form} label={template ? `Change ${template.title}` : 'New template'} sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' } }}>
        <TextField
          label="Title"
          value={wanted.title}
          placeholder="Free lift slots"
          {...form.field('title')}
          // The person who asked for the form wants to write.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          slotProps={{ htmlInput: { maxLength: 80 } }}
          onChange={(event) => form.change({ title: event.target.value })}
        />
        <TextField
          label="Short name, typed with Tab"
          value={wanted.shortName ?? ''}
          placeholder="lift"
          {...form.field('shortName')}
          slotProps={{ htmlInput: { maxLength: 24, spellCheck: false } }}
          onChange={(event) => form.change({ shortName: event.target.value })}
        />
      </Box>
      <WordsField
        ref={field}
        words={wanted.words}
        {...form.field('words')}
        onWrite={(words) => form.change({ words })}
      />
      <Box>
        <PlaceholderMenu onPut={put} />
      </Box>
      {/* What is offered for words of a moment ago would undo what was written since. */}
      <Sample words={shown} onUnquote={shown === wanted.words ? (words) => form.change({ words }) : undefined} />
      <FilesField chosen={wanted.files ?? []} {...form.field('files')} onChange={(files) => form.change({ files })} />
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        <Autocomplete
          freeSolo
          size="small"
          options={folders}
          inputValue={wanted.folder ?? ''}
          onInputChange={(_, folder) => form.change({ folder })}
          renderInput={(params) => (
            <TextField {...params} label="Folder" placeholder="Berths" {...form.field('folder')} />
          )}
        />
        <TextField
          select
          label="Language"
          value={wanted.language ?? ''}
          {...form.field('language')}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          onChange={(event) => form.change({ language: event.target.value })}
        >
          <MenuItem value="">any</MenuItem>
          {LANGUAGES.map(([code, name]) => (
            <MenuItem key={code} value={code}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <ScopeField scope={wanted} {...form.field('lines')} onChange={form.change} />
      {leads && (
        <FormControlLabel
          control={
            <Checkbox size="small" checked={wanted.guarded} onChange={(_, guarded) => form.change({ guarded })} />
          }
          label="Only leads may change it"
        />
      )}
      <SaveBar
        form={form}
        save={template ? 'Save' : 'Add the template'}
        ready={wanted.title.trim() !== '' && wanted.words.trim() !== '' && (form.changed || !template)}
        onCancel={() => onDone()}
      />
    </Form>
  );
}
