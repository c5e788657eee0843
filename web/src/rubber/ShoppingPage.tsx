import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router-dom';
import { client, unwrap } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { FigureText } from '../ui/FigureText';
import { Missing } from '../ui/Missing';
import { NotRead } from '../ui/NotRead';

/** How long to leave between two looks while amounts are worked out. */
const LOOK_MS = 1000;

/** What to buy for the open jobs, or for one of them. */
export function ShoppingPage() {
  useTitle('What to buy');
  const [search] = useSearchParams();
  const job = search.get('job') ?? '';
  const { data, error, refetch } = useQuery({
    queryKey: ['shopping', job],
    queryFn: () => unwrap(client.GET('/api/shopping', { params: { query: job ? { job } : {} } })),
    // what some jobs need is being worked out: the list is whole in a moment
    refetchInterval: (q) => (q.state.data?.working ? LOOK_MS : false),
  });
  const query = job ? `?job=${job}` : '';
  const toBuy = data?.lines.some((l) => l.toBuy.value > 0) ?? false;
  return (
    <div className="page">
      <PageHead />
      <main className="shopping">
        <h1>What to buy</h1>
        <p className="sentence">
          For {job ? 'one job' : 'all open jobs'}, less what is mixed already and what is on the{' '}
          <Link to="/rubber">rubber shelf</Link>; the cheapest packs that cover it.
          {job && (
            <>
              {' '}
              <Link to="/shopping">All open jobs</Link>
            </>
          )}
        </p>
        <NotRead what="The list" error={error} again={refetch} />
        <Missing missing={data?.missing} />
        {data && data.lines.length === 0 && data.missing.length === 0 && (
          <p className="quiet">No open job needs anything that can be weighed yet.</p>
        )}
        {data && data.lines.length > 0 && (
          <>
            <table className="compare">
              <thead>
                <tr>
                  <th scope="col">Product</th>
                  <th scope="col" className="n">
                    Needed
                  </th>
                  <th scope="col" className="n">
                    On the shelf
                  </th>
                  <th scope="col" className="n">
                    To buy
                  </th>
                  <th scope="col">Packs</th>
                  <th scope="col" className="n">
                    Price
                  </th>
                  <th scope="col" className="n">
                    Left over
                  </th>
                </tr>
              </thead>
              <tbody>
                {data.lines.map((l) => (
                  <tr key={l.name}>
                    <th scope="row">
                      <Link to={`/rubber/${l.product}`}>{l.name}</Link>
                      <br />
                      <span className="small quiet">{l.jobs.join(', ')}</span>
                    </th>
                    <td className="n" data-label="Needed">
                      <FigureText figure={l.needed} />
                    </td>
                    <td className="n" data-label="On the shelf">
                      {l.there.value > 0 ? <FigureText figure={l.there} /> : 'none'}
                    </td>
                    <td className="n" data-label="To buy">
                      {l.toBuy.value > 0 ? <FigureText figure={l.toBuy} /> : 'nothing'}
                    </td>
                    <td data-label="Packs">
                      {[l.packs, l.unknown].filter(Boolean).join('; ') || '–'}
                    </td>
                    <td className="n" data-label="Price">
                      <FigureText figure={l.price} />
                    </td>
                    <td className="n" data-label="Left over">
                      {l.left || '–'}
                    </td>
                  </tr>
                ))}
              </tbody>
              {toBuy && (
                <tfoot>
                  <tr>
                    <th scope="row" colSpan={5}>
                      Together
                    </th>
                    <td className="n">
                      <FigureText figure={data.price} />
                    </td>
                    <td />
                  </tr>
                </tfoot>
              )}
            </table>
            <p>
              <a className="btn btn-primary" href={`/api/shopping/list.pdf${query}`}>
                Print the list
              </a>{' '}
              <a className="btn btn-outline-primary" href={`/api/shopping/list.csv${query}`}>
                Save as CSV
              </a>
            </p>
          </>
        )}
      </main>
    </div>
  );
}
