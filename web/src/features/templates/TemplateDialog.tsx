import { Dialog, DialogContent, DialogTitle } from '@mui/material';
import type { Template, TemplateForm as Wanted } from '../../shared/api';
import { TemplateForm } from './TemplateForm';

interface Props {
  template?: Template | undefined;
  first?: Partial<Wanted>;
  onDone: (saved?: Template) => void;
}

/** A template made or changed without leaving the conversation. */
export function TemplateDialog({ template, first, onDone }: Props) {
  const title = template ? `Change “${template.title}”` : 'New template';
  return (
    <Dialog open onClose={() => onDone()} aria-labelledby="template-title" maxWidth="md" fullWidth>
      <DialogTitle id="template-title">{title}</DialogTitle>
      <DialogContent sx={{ pt: '8px !important' }}>
        <TemplateForm template={template} {...(first && { first })} onDone={onDone} />
      </DialogContent>
    </Dialog>
  );
}
