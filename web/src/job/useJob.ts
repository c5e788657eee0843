import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, Problem, unwrap, type Edit, type Job, type SurfacePoint } from '../api/client';
import { useInTurn } from '../ui/useInTurn';
import type { Paint } from '../viewer/marks';
import { jobQuery } from './jobQueries';

/**
 * A job and the ways to change it. Changes go out one after the other, each on the version the one
 * before left, so that quick typing never trips over itself; another window's change does.
 */
export function useJob(id: string) {
  const queries = useQueryClient();
  const { data: job, error } = useQuery(jobQuery(id));
  const inTurn = useInTurn(`job ${id}`);
  const [waiting, setWaiting] = useState(0);
  const [problem, setProblem] = useState<Problem | null>(null);

  const now = () => queries.getQueryData(jobQuery(id).queryKey);

  const change = (send: (version: number) => Promise<Job>): Promise<Job> =>
    inTurn(async () => {
      setWaiting((n) => n + 1);
      try {
        // an answer asked for before the change must not arrive after it
        await queries.cancelQueries({ queryKey: jobQuery(id).queryKey, exact: true });
        const next = await send(now()?.version ?? 0);
        await queries.cancelQueries({ queryKey: jobQuery(id).queryKey, exact: true });
        queries.setQueryData(jobQuery(id).queryKey, next);
        setProblem(null);
        return next;
      } catch (e) {
        if (e instanceof Problem && e.status === 409) {
          await queries.invalidateQueries({ queryKey: jobQuery(id).queryKey, exact: true });
        }
        if (e instanceof Problem && e.status !== 422) {
          setProblem(e);
        }
        throw e;
      } finally {
        setWaiting((n) => n - 1);
      }
    });

  const tell = (e: unknown) => setProblem(e instanceof Problem ? e : Problem.of(0, null));

  const edit = (edits: Edit[]) =>
    change((version) =>
      unwrap(
        client.POST('/api/jobs/{id}/edits', {
          params: { path: { id } },
          body: { version, edits },
        }),
      ),
    );

  return {
    job,
    error,
    problem,
    dismiss: () => setProblem(null),
    saving: waiting > 0,
    edit,
    /** For buttons: a refusal is shown as the page's problem. @param then once they are made */
    apply: (edits: Edit[], then?: () => void) => {
      edit(edits).then(then, tell);
    },
    /** For what does not change the job but must see the changes already under way. */
    after: (send: () => Promise<unknown>) => {
      inTurn(send).catch(tell);
    },
    write: (word: string, text: string) => edit([{ word, text }]),
    nudge: (word: string, nudge: number) => edit([{ word, nudge }]).catch(() => undefined),
    step: (by: -1 | 1) =>
      change((version) =>
        unwrap(
          client.POST('/api/jobs/{id}/steps', {
            params: { path: { id }, query: { version, by } },
          }),
        ),
      ),
    /** A stage was looked at: no change of the job, and nothing to undo. */
    look: (stage: string) => {
      change(() =>
        unwrap(client.POST('/api/jobs/{id}/looked/{stage}', { params: { path: { id, stage } } })),
      ).catch(() => undefined);
    },
    rename: (name: string) =>
      change(() =>
        unwrap(client.POST('/api/jobs/{id}/name', { params: { path: { id } }, body: { name } })),
      ),
    /** Paints a stroke through places on the master, or erases along it. */
    paint: (paint: Paint, places: SurfacePoint[]) => {
      const { brushMm, ...rest } = paint;
      const body = { ...rest, ...(brushMm === null ? {} : { brushMm }), places };
      return change((version) =>
        unwrap(
          client.POST('/api/jobs/{id}/marks', {
            params: { path: { id } },
            body: { version, ...body },
          }),
        ),
      ).catch(() => undefined);
    },
    refresh: async () => {
      const its = { queryKey: jobQuery(id).queryKey, exact: true };
      // a first answer that is still on its way may be from before
      await queries.cancelQueries(its);
      await queries.invalidateQueries(its);
    },
  };
}

export type JobDesk = ReturnType<typeof useJob>;
