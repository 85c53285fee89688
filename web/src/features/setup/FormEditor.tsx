import { Box, Button, Checkbox, FormControlLabel, FormGroup, FormLabel } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Line, readAllAgain, type WebForm } from '../../shared/api';
import { Blank, Field, ProblemNote } from '../../shared/ui';

interface Props {
  had: WebForm;
  lines: Line[];
  onClose: () => void;
}

/** Makes or changes a form of the web site. */
export function FormEditor({ had, lines, onClose }: Props) {
  const [form, setForm] = useState(had);
  const put = (more: Partial<WebForm>) => setForm({ ...form, ...more });
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: () =>
      form.id === 0
        ? ask('POST', '/api/setup/forms', { body: form })
        : ask('PUT', '/api/setup/forms/{id}', { path: { id: form.id }, body: form }),
    onSuccess: onClose,
    onSettled: () => readAllAgain(queries),
  });
  const words = (name: 'name' | 'business' | 'heading' | 'intro' | 'wording' | 'colour', label: string, rows = 1) => (
    <Field
      label={label}
      value={form[name]}
      multiline={rows > 1}
      minRows={rows}
      onChange={({ target }) => put({ [name]: target.value })}
    />
  );
  return (
    <Box
      component="form"
      aria-label={had.id === 0 ? 'Add a form' : `Change ${had.name}`}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate();
      }}
      sx={{ display: 'grid', gap: 1.25, maxWidth: 640, p: 1.5, border: 1, borderColor: 'divider' }}
    >
      <Box>
        The form is{' '}
        <Blank
          name="In use"
          value={form.inUse ? 1 : 0}
          options={[
            { value: 1, words: 'in use' },
            { value: 0, words: 'switched off' },
          ]}
          onChange={(on) => put({ inUse: on === 1 })}
        />
        . It{' '}
        <Blank
          name="What it asks for"
          value={form.asks}
          options={[
            { value: 'ENQUIRY', words: 'takes enquiries' },
            { value: 'AGREEMENT', words: 'asks only whether you may text them' },
          ]}
          onChange={(asks) => put({ asks })}
        />
        , and the number{' '}
        <Blank
          name="Confirmation"
          value={form.confirms ? 1 : 0}
          options={[
            { value: 1, words: 'must be confirmed with a code' },
            { value: 0, words: 'need not be confirmed' },
          ]}
          onChange={(on) => put({ confirms: on === 1 })}
        />
        .
      </Box>
      {!form.confirms && (
        <Box role="note" sx={{ typography: 'body2', color: 'warning.main' }}>
          Anyone can then enter someone else’s number. No agreement is noted, and nothing is sent by itself.
        </Box>
      )}
      {words('name', 'Name, for the staff')}
      {words('business', 'Name of the business, as customers know it')}
      {words('heading', 'Heading')}
      {words('intro', 'Introduction, if you want one', 2)}
      {words('wording', 'What people agree to when they tick the box', 3)}
      {words('colour', 'Colour of the business, for example #1f5c50')}
      <Box>
        <FormLabel component="div" id="form-lines">
          Lines (with several, people choose one)
        </FormLabel>
        <FormGroup aria-labelledby="form-lines">
          {lines.map(({ id, name }) => (
            <FormControlLabel
              key={id}
              label={name}
              control={
                <Checkbox
                  size="small"
                  checked={form.lines.includes(id)}
                  onChange={(_, on) =>
                    put({ lines: on ? [...form.lines, id] : form.lines.filter((one) => one !== id) })
                  }
                />
              }
            />
          ))}
        </FormGroup>
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={change.isPending}>
          Save
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </Box>
    </Box>
  );
}
