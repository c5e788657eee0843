import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Job } from '../../api/client';
import { daysQuery } from '../jobQueries';
import type { JobDesk } from '../useJob';
import type { Zoom } from './axis';
import { Timeline } from './Timeline';
import { useBegin } from './useBegin';

interface Props {
  job: Job;
  desk: JobDesk;
  picked: string | null;
  pick: (step: string) => void;
}

/** The left half of the stage Days: the timeline, whose beginning is dragged. */
export function DaysDrawing({ job, desk, picked, pick }: Props) {
  const { data: days, isPlaceholderData: stale } = useQuery(daysQuery(job.id, job.version));
  const [zoom, setZoom] = useState<Zoom>('hours');
  const begin = useBegin(job.id);
  if (!days || days.days.length === 0) {
    return (
      <section className="thing" aria-label="Day by day">
        <div className="empty">
          <p>
            {days
              ? 'It does not fit in your hours of work: see what would help.'
              : 'What is done when is shown here, day by day.'}
          </p>
        </div>
      </section>
    );
  }
  return (
    <Timeline
      days={days}
      zoom={zoom}
      setZoom={setZoom}
      picked={picked}
      pick={pick}
      begin={{
        drag: begin.move,
        drop: (at) => desk.apply([{ word: 'days.begin', text: at }], begin.end),
        leave: begin.end,
        dragged: begin.at,
        cost: begin.cost,
        stale,
      }}
    />
  );
}
