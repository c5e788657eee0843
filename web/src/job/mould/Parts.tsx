import type { Job } from '../../api/client';
import { Missing } from '../../ui/Missing';

interface Props {
  job: Job;
  /** Whether to say what cannot be known, too. */
  all: boolean;
}

/** What of a plan is not known yet, and what never will be. */
export function Parts({ job, all }: Props) {
  const texts = (state: Job['parts'][number]['state']) =>
    job.parts.filter((p) => p.state === state).map((p) => p.text);
  const open = texts('BEING_WORKED_OUT');
  const never = texts('CANNOT_BE_KNOWN');
  const why = [...new Set(job.parts.map((p) => p.why).filter(Boolean))];
  return (
    <Missing
      missing={[
        ...(open.length > 0 ? [`Being worked out: ${open.join(', ')}.`] : []),
        ...(all && never.length > 0 ? [`Not known: ${never.join(', ')}. ${why.join(' ')}`] : []),
      ]}
    />
  );
}
