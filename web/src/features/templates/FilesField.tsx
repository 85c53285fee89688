import { Autocomplete, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { shelfQuery } from '../../shared/api';

interface Props {
  chosen: number[];
  error: boolean;
  helperText?: string | undefined;
  onChange: (files: number[]) => void;
}

/** Files of the shelf that go with a template. */
export function FilesField({ chosen, error, helperText, onChange }: Props) {
  const shelf = useQuery(shelfQuery).data ?? [];
  const options = shelf.filter(({ id, retired }) => !retired || chosen.includes(id));
  return (
    <Autocomplete
      multiple
      size="small"
      options={options}
      getOptionLabel={({ title, retired }) => (retired ? `${title} (retired)` : title)}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      value={options.filter(({ id }) => chosen.includes(id))}
      onChange={(_, files) => onChange(files.map(({ id }) => id))}
      noOptionsText="Put files on the shelf first: Templates, Shelf."
      renderInput={(params) => (
        <TextField
          {...params}
          label="Attachments, from the shelf"
          placeholder={chosen.length === 0 ? 'none' : ''}
          error={error}
          helperText={helperText}
        />
      )}
    />
  );
}
