import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap, type Run } from '../../api/client';
import { newId } from '../../run/newId';
import { runQuery } from '../../run/runQueries';
import { NotRead } from '../../ui/NotRead';
import { Notice } from '../../ui/Notice';
import { useScreen } from '../../run/useScreen';

type Entry = Run['entries'][number];

/** What happened in a run, line by line; what was wrong is corrected with a reason. */
export function Happened({ run }: { run: string }) {
  const { data, error, refetch } = useQuery(runQuery(run));
  const queries = useQueryClient();
  const { who } = useScreen();
  const [wrong, setWrong] = useState<Entry | null>(null);
  const [why, setWhy] = useState('');
  const took = (now: Run) => {
    queries.setQueryData(runQuery(run).queryKey, now);
    void queries.invalidateQueries({ queryKey: ['runs'] });
    void queries.invalidateQueries({ queryKey: ['job', now.job] });
  };
  const correct = useMutation({
    networkMode: 'always',
    mutationFn: (entry: Entry) =>
      unwrap(
        client.POST('/api/runs/{id}/acts', {
          params: { path: { id: run } },
          body: {
            id: newId(),
            kind: 'CORRECT',
            number: entry.number,
            why,
            who,
            agoMs: 0,
          },
        }),
      ),
    onSuccess: (now) => {
      took(now);
      setWrong(null);
      setWhy('');
    },
  });
  const end = useMutation({
    networkMode: 'always',
    mutationFn: (ended: boolean) =>
      unwrap(
        client.POST('/api/runs/{id}/ended', {
          params: { path: { id: run }, query: { ended } },
        }),
      ),
    onSuccess: took,
  });
  if (!data) {
    return <NotRead what="What happened" error={error} again={refetch} />;
  }
  const pictures = data.tasks.flatMap((t) => t.pictures.map((p) => ({ id: p, of: t.label })));
  const whole = data.done === data.tasks.length;
  return (
    <section className="happened" aria-label="What happened">
      <h2>What happened</h2>
      <p className="quiet">
        Begun {data.begun}. {data.done} of {data.tasks.length} steps are done.
        {data.ended !== undefined && ` Ended ${data.ended}.`}{' '}
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => end.mutate(data.ended === undefined)}
        >
          {data.ended === undefined
            ? whole
              ? 'The mould is made'
              : 'End it here'
            : 'Take it up again'}
        </Button>
      </p>
      {(correct.error ?? end.error) && (
        <Notice
          text={(correct.error ?? end.error)?.message ?? ''}
          close={() => {
            correct.reset();
            end.reset();
          }}
        />
      )}
      {data.entries.length === 0 && <p>Nothing yet.</p>}
      <ol className="entries">
        {[...data.entries].reverse().map((e) => (
          <li key={e.number} className={e.counts ? '' : 'struck'}>
            <span className="quiet">{e.at}</span>
            <span>
              {e.counts ? e.text : <s>{e.text}</s>}
              {e.who !== '' && <span className="quiet"> · {e.who}</span>}
            </span>
            {e.correctable && (
              <button
                type="button"
                className="plain"
                aria-label={`Correct: ${e.text}`}
                onClick={() => setWrong(wrong?.number === e.number ? null : e)}
              >
                Correct
              </button>
            )}
            {wrong?.number === e.number && (
              <form
                onSubmit={(f) => {
                  f.preventDefault();
                  correct.mutate(e);
                }}
              >
                <label>
                  It does not count, because{' '}
                  <input
                    autoFocus
                    value={why}
                    maxLength={200}
                    onChange={(f) => setWhy(f.target.value)}
                  />
                </label>
                <Button type="submit" size="sm" disabled={why.trim() === '' || correct.isPending}>
                  Strike it out
                </Button>
              </form>
            )}
          </li>
        ))}
      </ol>
      {pictures.length > 0 && (
        <div className="pictures">
          {pictures.map((p) => (
            <a key={p.id} href={`/api/runs/${run}/pictures/${p.id}`}>
              <img src={`/api/runs/${run}/pictures/${p.id}`} alt={p.of} loading="lazy" />
              {p.of}
            </a>
          ))}
        </div>
      )}
    </section>
  );
}
