import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate } from 'react-router-dom';
import { client, unwrap, type Job } from '../../api/client';
import { runsOfQuery } from '../../run/runQueries';
import { Notice } from '../../ui/Notice';
import { madeQuery } from '../jobQueries';

/** A cast is begun at the bench: from one mould, or from all that one mix fills. */
export function AtTheBench({ job, print }: { job: Job; print: (sheet: string) => void }) {
  const go = useNavigate();
  const queries = useQueryClient();
  const { data: made } = useQuery(madeQuery(job.id));
  const { data: runs } = useQuery(runsOfQuery(job.id));
  const [first, setFirst] = useState(1);
  const begin = useMutation({
    networkMode: 'always',
    mutationFn: (moulds: number[]) =>
      unwrap(
        client.POST('/api/jobs/{job}/casts/runs', {
          params: { path: { job: job.id }, query: { moulds: moulds.join(',') } },
        }),
      ),
    onSuccess: async (run) => {
      await queries.invalidateQueries({ queryKey: ['runs'] });
      await go(`/runs/${run.id}`);
    },
  });
  const moulds = made?.moulds.map((m) => m.mould) ?? [1];
  const from = moulds.includes(first) ? first : (moulds[0] ?? first);
  const filled = made?.moulds.find((m) => m.mould === from)?.filled ?? [from];
  const going = runs?.filter((r) => r.ended === undefined && r.moulds.length > 0) ?? [];
  return (
    <div className="part">
      <h2>At the bench</h2>
      {going.map((r) => (
        <p className="sentence" key={r.id}>
          {r.moulds.length === 1 ? 'Mould' : 'Moulds'} {r.moulds.join(' and ')}: begun {r.begun}.{' '}
          <Link className="btn btn-primary" to={`/runs/${r.id}`}>
            Go on
          </Link>
        </p>
      ))}
      {begin.error && (
        <Notice title="It was not begun" text={begin.error.message} close={begin.reset} />
      )}
      <p className="sentence">
        One step at a time, weighed with your scale, counted by one large key at the end.
      </p>
      <div className="countkeys">
        {moulds.length > 1 && (
          <label>
            {filled.length > 1 ? 'begin with mould' : 'in mould'}{' '}
            <select value={from} onChange={(e) => setFirst(Number(e.target.value))}>
              {moulds.map((m) => (
                <option key={m} value={m}>
                  {m}
                </option>
              ))}
            </select>
          </label>
        )}
        <Button
          variant={going.length > 0 ? 'outline-primary' : 'primary'}
          disabled={begin.isPending || !made}
          onClick={() => begin.mutate(filled)}
        >
          {filled.length === 1 ? 'Cast one' : `Fill moulds ${filled.join(' and ')}`}
        </Button>
        <Button variant="outline-primary" onClick={() => print('casts/sheet.pdf')}>
          Print run sheet
        </Button>
      </div>
    </div>
  );
}
