import { useQuery } from '@tanstack/react-query';
import { client, unwrap, type Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import { useWords } from '../../ui/words';

/** How each rubber would do for this mould, best first; open while none is picked. */
export function Rubbers({ job, picked }: { job: Job; picked: boolean }) {
  const desk = useWords();
  const { data, error, refetch } = useQuery({
    // what locks is found out later than the version changes
    queryKey: ['rubbers', job.id, job.version, job.figures['locks.stretch']?.value],
    queryFn: () =>
      unwrap(client.GET('/api/jobs/{id}/rubbers', { params: { path: { id: job.id } } })),
    placeholderData: (before) => before,
  });
  if (!data) {
    return <NotRead what="The comparison of rubbers" error={error} again={refetch} />;
  }
  if (data.length === 0) {
    return null;
  }
  const now = job.words['rubber.product'];
  return (
    <details className="rubbers" open={!picked}>
      <summary>Which rubber: {data.length} compared for this mould</summary>
      <table className="compare">
        <thead>
          <tr>
            <th scope="col">Rubber</th>
            <th scope="col">For and against</th>
            <th scope="col" className="n">
              A cast
            </th>
          </tr>
        </thead>
        <tbody>
          {data.map((c) => (
            <tr key={c.product} className={c.fits ? '' : 'out'}>
              <th scope="row">
                {now?.text === c.product ? (
                  <strong>✓ {c.name}</strong>
                ) : (
                  <button
                    type="button"
                    className="figure"
                    aria-label={`Choose ${c.name}`}
                    onClick={() => void desk.write('rubber.product', c.product)}
                  >
                    {c.name}
                  </button>
                )}
              </th>
              <td>
                {!c.fits && <span className="count STOP">Unsuitable: </span>}
                {c.text}
              </td>
              <td className="n">
                <FigureText figure={c.costOfCast} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
