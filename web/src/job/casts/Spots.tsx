import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { client, unwrap, type Job } from '../../api/client';
import { useScreen } from '../../run/useScreen';
import { Notice } from '../../ui/Notice';
import { madeQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';

const SolidView = lazy(() => import('../../viewer/SolidView'));

interface Props {
  job: Job;
  desk: JobDesk;
  /** The cast whose place is to be shown; null for none. */
  showing: number | null;
  shown: () => void;
  missing: () => void;
}

/** Where casts were not good, on the master; a click shows it of one more. */
export function Spots({ job, desk, showing, shown, missing }: Props) {
  const queries = useQueryClient();
  const { data: made } = useQuery(madeQuery(job.id));
  const { who } = useScreen();
  const [seen] = useState({ from: 'corner' as const });
  const place = useMutation({
    networkMode: 'always',
    mutationFn: (at: { number: number; place: string }) =>
      unwrap(
        client.POST('/api/jobs/{id}/casts/made/spots', {
          params: { path: { id: job.id } },
          body: { who, ...at },
        }),
      ),
    onSuccess: (now) => {
      queries.setQueryData(madeQuery(job.id).queryKey, now);
      shown();
    },
  });
  const spots = made?.casts.flatMap((c) => (c.spot && c.struck === '' ? [c.spot] : [])) ?? [];
  return (
    <>
      {place.error && <Notice text={place.error.message} close={place.reset} />}
      <Suspense fallback={<div className="solid" />}>
        <SolidView
          job={job}
          withBox={false}
          seen={seen}
          missing={missing}
          shape={null}
          show={null}
          lying={null}
          hint={
            showing === null
              ? 'Rings: where casts were not good.'
              : `Click where cast ${showing} is not good.`
          }
          paint={null}
          stroke={desk.paint}
          spots={spots}
          pick={
            showing === null
              ? undefined
              : (at) => place.mutate({ number: showing, place: at.place })
          }
        />
      </Suspense>
    </>
  );
}
