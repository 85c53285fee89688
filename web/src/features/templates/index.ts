export { TemplatesPlace } from './TemplatesPlace';
export { TemplateSheet } from './TemplateSheet';
export { TemplateDialog } from './TemplateDialog';
export { MakeTemplate } from './MakeTemplate';
