export { Form } from './Form';
export { SaveBar } from './SaveBar';
export { type FormOf, useForm } from './useForm';
