import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Run } from '../api/client';
import { glued } from '../ui/glued';
import { lotsQuery } from './runQueries';

/** The packs rubber may be taken from: one is picked by one key, else the oldest goes first. */
export function Lots({ run, pick }: { run: Run; pick: (lot: string, name: string) => void }) {
  const { data: lots } = useQuery({
    ...lotsQuery(run.id, run.version),
    placeholderData: keepPreviousData,
  });
  if (!lots || lots.length === 0) {
    return null;
  }
  return (
    <div className="foam lots" role="group" aria-label="Which pack it is taken from">
      {lots.map((l) => {
        const name = l.number === '' ? 'A pack without a number' : `Lot ${l.number}`;
        return (
          <button key={l.id} type="button" aria-pressed={l.picked} onClick={() => pick(l.id, name)}>
            {name}
            <small>{glued(`${l.product}, ${l.left}`)}</small>
          </button>
        );
      })}
    </div>
  );
}
