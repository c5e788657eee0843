import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, unwrap, type Device } from '../api/client';

interface Props {
  weighs: boolean;
  degas: boolean;
  /** Its id; null where the made-up devices of the workshop are worked. */
  rehearsal: string | null;
}

/** In the made-up workshop: the hand that pours, and that works pump and valve. */
export function StandIns({ weighs, degas, rehearsal }: Props) {
  const { data: devices } = useQuery({
    queryKey: ['devices'],
    queryFn: () => unwrap(client.GET('/api/devices')),
  });
  const [said, setSaid] = useState('');
  const deed = (kind: Device['kind'], what: string) =>
    unwrap(
      rehearsal === null
        ? client.POST('/api/devices/stand-ins/{kind}', {
            params: { path: { kind } },
            body: { deed: what },
          })
        : client.POST('/api/runs/{id}/hand', {
            params: { path: { id: rehearsal } },
            body: { kind, deed: what },
          }),
    );
  const hand = (kind: Device['kind'], what: string) =>
    deed(kind, what).then(
      (done) => setSaid(done.said),
      () => setSaid('Ungula does not answer.'),
    );
  const built = (kind: Device['kind']) =>
    rehearsal !== null || devices?.some((d) => d.builtIn && d.kind === kind);
  const { data: seen } = useQuery({
    queryKey: ['through the lid', rehearsal],
    queryFn: () => deed('GAUGE', 'look'),
    refetchInterval: 1000,
    enabled: degas && !weighs && built('GAUGE'),
  });
  if ((!weighs || !built('SCALE')) && (!degas || !built('GAUGE'))) {
    return null;
  }
  const scale = (what: string) => () => void hand('SCALE', what);
  const pump = (what: string) => () => void hand('GAUGE', what);
  return (
    <section className="standins" aria-label="Made-up devices">
      <span>
        {weighs ? 'This scale is made up. Your hand:' : 'This gauge is made up. Your hand:'}
      </span>
      {weighs ? (
        <>
          <button type="button" onClick={scale('put 45')}>
            Put a cup on
          </button>
          <button
            type="button"
            onPointerDown={scale('pour 30')}
            onPointerUp={scale('stop')}
            onPointerLeave={scale('stop')}
          >
            Pour (hold)
          </button>
          <button type="button" onClick={scale('put 2')}>
            A drop
          </button>
          <button type="button" onClick={scale('put 60')}>
            A dash
          </button>
          <button type="button" onClick={scale('take 99999')}>
            Lift it off
          </button>
        </>
      ) : (
        <>
          <button type="button" onClick={pump('pump')}>
            Pump
          </button>
          <button type="button" onClick={pump('close')}>
            Stop the pump
          </button>
          <button type="button" onClick={pump('bleed')}>
            A little air
          </button>
          <button type="button" onClick={pump('open')}>
            Let air in
          </button>
          <button type="button" onClick={pump('fill 0.4')}>
            A smaller cup
          </button>
          <span>{seen?.said}</span>
        </>
      )}
      <span className="quiet" role="status">
        {weighs ? said.replace(/^done: /, '') : said.replace(/^done: .*/, '')}
      </span>
    </section>
  );
}
