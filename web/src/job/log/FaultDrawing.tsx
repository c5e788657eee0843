import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import type { Job } from '../../api/client';
import { Pick } from '../../ui/Pick';
import { madeQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';
import type { ShapeDesk } from '../useStudy';

const SolidView = lazy(() => import('../../viewer/SolidView'));

const BESIDE = {
  AIR: 'air that stays in a cast',
  WALL: 'how thick the rubber is',
  LOCKED: 'where the mould is locked',
};

interface Props {
  job: Job;
  desk: JobDesk;
  shape: ShapeDesk;
  /** The cast that is looked into. */
  cast: number;
  missing: () => void;
}

/** Where a cast is not good, beside what the shape makes of that place. */
export function FaultDrawing({ job, desk, shape, cast, missing }: Props) {
  const { data: made } = useQuery(madeQuery(job.id));
  const [beside, setBeside] = useState<keyof typeof BESIDE>('AIR');
  const [seen] = useState({ from: 'corner' as const });
  const spot = made?.casts.find((c) => c.number === cast)?.spot;
  const study = shape.study && {
    ...shape.study,
    poured: [],
    cast: beside === 'AIR' ? shape.study.cast : [],
  };
  return (
    <section className="thing" aria-label={`Where cast ${cast} is not good`}>
      <div className="views">
        <span className="cutplace">
          beside{' '}
          <Pick
            name="What is shown beside the place"
            options={Object.keys(BESIDE) as (keyof typeof BESIDE)[]}
            text={(b) => BESIDE[b]}
            value={beside}
            choose={setBeside}
          />
        </span>
      </div>
      <Suspense fallback={<div className="solid" />}>
        <SolidView
          job={job}
          withBox={false}
          seen={seen}
          missing={missing}
          shape={{ ...shape, study }}
          show={beside === 'AIR' ? null : beside}
          lying={null}
          hint={
            spot
              ? `Ring: where cast ${cast} is not good.`
              : `Nobody showed where cast ${cast} is not good.`
          }
          paint={null}
          stroke={desk.paint}
          spots={spot ? [spot] : []}
        />
      </Suspense>
    </section>
  );
}
