import { useQuery } from '@tanstack/react-query';
import type { Job } from '../api/client';
import { sectionQuery, type CutName } from '../job/jobQueries';

interface Props {
  job: Job;
  cut: CutName;
  at: number | null;
  move: (at: number) => void;
}

const NAMES: Record<CutName, string> = {
  FRONT: 'cut, front to back',
  SIDE: 'cut, left to right',
  TOP: 'cut, bottom to top',
};

/** Moves the plane of the section. */
export function SectionPlane({ job, cut, at, move }: Props) {
  const { data } = useQuery(sectionQuery(job.id, job.version, cut, at));
  if (data?.cut !== cut) {
    return null;
  }
  return (
    <label className="cutplace">
      {NAMES[cut]}
      <input
        type="range"
        min={data.from}
        max={data.to}
        step="any"
        value={at ?? data.at}
        onChange={(e) => move(e.target.valueAsNumber)}
      />
    </label>
  );
}
