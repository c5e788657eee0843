import type { Job } from '../api/client';
import { Missing } from '../ui/Missing';

/** What of a plan is not known, and whether it ever will be. */
export function Parts({ job }: { job: Job }) {
  const texts = (state: Job['parts'][number]['state']) =>
    job.parts.filter((p) => p.state === state).map((p) => p.text);
  const open = texts('BEING_WORKED_OUT');
  const never = texts('CANNOT_BE_KNOWN');
  const why = [...new Set(job.parts.map((p) => p.why).filter(Boolean))];
  return (
    <Missing
      missing={[
        ...(open.length > 0 ? [`Being worked out: ${open.join(', ')}.`] : []),
        ...(never.length > 0 ? [`Not known: ${never.join(', ')}. ${why.join(' ')}`] : []),
      ]}
    />
  );
}
