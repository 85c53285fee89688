import { ApiProblem } from '../api';

/** What a text field is told of a problem: why it cannot be so, if it is to blame. */
export function whyOf(problem: unknown, field: string): { error: boolean; helperText: string | undefined } {
  const fields = problem instanceof ApiProblem ? problem.fields : [];
  const why = fields.filter((each) => each.field === field).map((each) => each.why);
  return { error: why.length > 0, helperText: why.join(' ') || undefined };
}
