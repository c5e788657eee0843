import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { client, unwrap } from '../../api/client';
import { newId } from '../../run/newId';
import { changesQuery } from '../../run/runQueries';
import { useScreen } from '../../run/useScreen';
import { Notice } from '../../ui/Notice';
import { glued } from '../../ui/glued';

/** What was planned otherwise since a mould was begun; it goes on by that where somebody says so. */
export function Replanned({ run }: { run: string }) {
  const { data: changes } = useQuery(changesQuery(run));
  const queries = useQueryClient();
  const [id, setId] = useState(newId);
  const { who } = useScreen();
  const goOn = useMutation({
    networkMode: 'always',
    mutationFn: () =>
      unwrap(
        client.POST('/api/runs/{id}/acts', {
          params: { path: { id: run } },
          body: { id, kind: 'REPLAN', who, agoMs: 0 },
        }),
      ),
    onSuccess: async () => {
      setId(newId());
      await Promise.all([
        queries.invalidateQueries({ queryKey: ['run', run] }),
        queries.invalidateQueries({ queryKey: ['runs'] }),
      ]);
    },
  });
  if (!changes || (changes.says.length === 0 && changes.asBegun.length === 0)) {
    return null;
  }
  return (
    <section className="replanned" aria-label="Planned otherwise since">
      {changes.says.length > 0 && (
        <>
          <p>
            The plan was changed after this mould was begun. The mould goes on by the plan it was
            begun by; the next one goes by the new plan:
          </p>
          <ul>
            {changes.says.map((c) => (
              <li key={c}>{glued(c)}</li>
            ))}
          </ul>
        </>
      )}
      {changes.why !== '' && <p>This mould cannot go on by the new plan. {glued(changes.why)}</p>}
      {changes.asBegun.length > 0 && (
        <p>
          The plan of {changes.asBegun.join(' and ')} was changed after it was begun: it is finished
          as it was begun.
        </p>
      )}
      {changes.may && (
        <p>
          What is done stays done and stays written down.{' '}
          <Button
            variant="outline-primary"
            size="sm"
            disabled={goOn.isPending}
            onClick={() => goOn.mutate()}
          >
            Go on by the new plan
          </Button>
        </p>
      )}
      {goOn.error && (
        <Notice title="It goes on as it was" text={goOn.error.message} close={goOn.reset} />
      )}
    </section>
  );
}
