import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router-dom';
import { client, Problem, unwrap, type PourGroup } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { FigureText } from '../ui/FigureText';
import { Missing } from '../ui/Missing';
import { NotRead } from '../ui/NotRead';
import { Pick } from '../ui/Pick';

/** Moulds of several jobs poured of the same batches. */
export function TogetherPage() {
  useTitle('Pour together');
  const [search] = useSearchParams();
  const { data, error, refetch } = useQuery({
    queryKey: ['together'],
    queryFn: () => unwrap(client.GET('/api/together')),
  });
  const [chosen, setChosen] = useState(search.get('rubber') ?? '');
  const [said, setSaid] = useState<Said | null>(null);
  const groups = data?.groups;
  const several = groups?.filter((g) => g.moulds.length > 1) ?? [];
  const group = several.find((g) => g.product === chosen) ?? several[0];
  return (
    <div className="page">
      <PageHead />
      <main className="shopping">
        <h1>Pour together</h1>
        <NotRead what="The list" error={error} again={refetch} />
        <Missing missing={data?.missing} />
        {said && (
          <p role={said.well ? 'status' : 'alert'} className={said.well ? undefined : 'refusal'}>
            {said.text}
          </p>
        )}
        {groups && !group && (
          <p className="quiet">
            No two open jobs are poured of the same rubber. When they are, they can share a batch
            here.
          </p>
        )}
        {group && (
          <>
            <p className="sentence">
              Of{' '}
              <Pick
                name="rubber"
                options={several.map((g) => g.product)}
                text={(id) => several.find((g) => g.product === id)?.name ?? ''}
                value={group.product}
                choose={setChosen}
              />{' '}
              these are poured in one session:
            </p>
            <Moulds key={group.product} group={group} say={setSaid} />
          </>
        )}
      </main>
    </div>
  );
}

interface Said {
  text: string;
  well: boolean;
}

function Moulds({ group, say }: { group: PourGroup; say: (said: Said) => void }) {
  const [left, setLeft] = useState<string[]>([]);
  const queries = useQueryClient();
  const jobs = group.moulds.map((m) => m.id).filter((id) => !left.includes(id));
  const { data } = useQuery({
    queryKey: ['together', group.product, jobs],
    queryFn: () =>
      unwrap(
        client.GET('/api/together/{product}', {
          params: { path: { product: group.product }, query: { jobs } },
        }),
      ),
    enabled: jobs.length > 0,
    placeholderData: keepPreviousData,
  });
  const record = async () => {
    try {
      const answer = await unwrap(
        client.POST('/api/together/{product}/mixed', {
          params: { path: { product: group.product } },
          body: { jobs },
        }),
      );
      say({ text: answer.said, well: true });
    } catch (e) {
      say({ text: e instanceof Problem ? e.message : '', well: false });
    }
    await queries.invalidateQueries({ queryKey: ['together'] });
  };
  const marked = data?.batches.some((_, i) => data.figures[`batch.${i + 1}.fill`]) ?? false;
  return (
    <>
      {group.moulds.map((m) => (
        <p key={m.id} className="ticked">
          <label>
            <input
              type="checkbox"
              checked={!left.includes(m.id)}
              onChange={(e) =>
                setLeft(e.target.checked ? left.filter((id) => id !== m.id) : [...left, m.id])
              }
            />{' '}
            {m.name}
          </label>
          , <FigureText figure={m.volume} />
        </p>
      ))}
      {jobs.length === 0 && <p className="quiet">Pick a mould to pour.</p>}
      {data && jobs.length > 0 && (
        <>
          <table className="compare">
            <thead>
              <tr>
                <th scope="col">Batch</th>
                <th scope="col" className="n">
                  Weigh
                </th>
                {marked && (
                  <th scope="col" className="n">
                    Fill mark
                  </th>
                )}
                <th scope="col" className="into">
                  Pour, in turn
                </th>
              </tr>
            </thead>
            <tbody>
              {data.batches.map((b, i) => (
                <tr key={b.key}>
                  <th scope="row">{i + 1}</th>
                  <td className="n" data-label="Weigh">
                    <FigureText figure={data.figures[`batch.${i + 1}.base`]} /> +{' '}
                    <FigureText figure={data.figures[`batch.${i + 1}.hardener`]} />
                  </td>
                  {marked && (
                    <td className="n">
                      <FigureText figure={data.figures[`batch.${i + 1}.fill`]} />
                    </td>
                  )}
                  <td className="into" data-label="Pour, in turn">
                    {b.into.join('; ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            The rubber is {data.air}. {data.reason}
          </p>
          <p className="quiet">
            A mould that one batch does not fill is gone on with from the next at once, before the
            first has gelled.
          </p>
          <p>
            <Button size="sm" onClick={() => void record()}>
              Record as mixed
            </Button>{' '}
            <span className="quiet">
              for each of these moulds as planned, and taken from the shelf. What went otherwise is
              struck out on its Pours stage.
            </span>
          </p>
        </>
      )}
    </>
  );
}
