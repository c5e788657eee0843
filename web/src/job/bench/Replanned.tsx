import { useQuery } from '@tanstack/react-query';
import { glued } from '../../ui/glued';
import { changesQuery } from '../../run/runQueries';

/** What was planned otherwise since a mould was begun, which goes on as it was. */
export function Replanned({ run }: { run: string }) {
  const { data: changes } = useQuery(changesQuery(run));
  if (!changes || changes.length === 0) {
    return null;
  }
  return (
    <section className="replanned" aria-label="Planned otherwise since">
      <p>
        The plan was changed after this mould was begun. The mould goes on by the plan it was begun
        by; the next one goes by the new plan:
      </p>
      <ul>
        {changes.map((c) => (
          <li key={c}>{glued(c)}</li>
        ))}
      </ul>
    </section>
  );
}
