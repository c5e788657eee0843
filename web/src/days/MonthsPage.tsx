import { queryOptions, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router-dom';
import { client, unwrap } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { NotRead } from '../ui/NotRead';

const monthsQuery = queryOptions({
  queryKey: ['months'],
  queryFn: () => unwrap(client.GET('/api/months')),
  staleTime: 0,
});

/** What the workshop did, month by month. */
export function MonthsPage() {
  const { data: months, error, refetch } = useQuery(monthsQuery);
  useTitle('By month');
  const most = Math.max(1, ...(months ?? []).map((m) => m.rubberG));
  return (
    <div className="page">
      <PageHead />
      <main>
        <div className="bar">
          <h1>By month</h1>
          {months && months.length > 0 && (
            <a
              className="btn btn-outline-primary"
              style={{ marginLeft: 'auto' }}
              href="/api/months/table.csv"
            >
              All as CSV
            </a>
          )}
        </div>
        <NotRead what="What was done" error={error} again={refetch} />
        {months?.length === 0 && (
          <p>
            Nothing is on record yet. What is made at the bench and every cast that is counted will
            stand here, month by month.
          </p>
        )}
        {months && months.length > 0 && (
          <table className="compare months">
            <thead>
              <tr>
                <th scope="col">Month</th>
                <th scope="col">Rubber used at the bench</th>
                <th scope="col" className="n">
                  Thrown away
                </th>
                <th scope="col" className="n">
                  Moulds
                </th>
                <th scope="col" className="n">
                  Casts to use
                </th>
                <th scope="col" className="n">
                  Scrap
                </th>
                <th scope="col" className="n">
                  Work at the bench
                </th>
                <th scope="col">What went otherwise</th>
              </tr>
            </thead>
            <tbody>
              {months.map((m) => (
                <tr key={m.month}>
                  <th scope="row">{m.month}</th>
                  <td data-label="Rubber">
                    {m.rubberG > 0 && (
                      <span className="poured" style={{ width: `${(5 * m.rubberG) / most}rem` }} />
                    )}
                    {m.rubberG > 0 ? m.rubber : <span className="quiet">none</span>}
                  </td>
                  <td className="n" data-label="Thrown away">
                    {m.thrown}
                  </td>
                  <td className="n" data-label="Moulds">
                    {m.moulds}
                  </td>
                  <td className="n" data-label="Casts to use">
                    {m.usable}
                  </td>
                  <td className="n" data-label="Scrap">
                    {m.scrap}
                    {m.scrap > 0 && ` (${m.scrapShare})`}
                  </td>
                  <td className="n" data-label="Work">
                    {m.hands}
                  </td>
                  <td data-label="Otherwise">
                    {m.otherwise
                      .map((o) => (o.times > 1 ? `${o.what} (${o.times} times)` : o.what))
                      .join('; ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="quiet">
          What went when and why stands on the log of each job. <Link to="/moulds">Moulds</Link> ·{' '}
          <Link to="/days">Days</Link>
        </p>
      </main>
    </div>
  );
}
