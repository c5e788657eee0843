import Button from 'react-bootstrap/Button';
import { client, unwrap, type Job, type Stand, type Stands as Found } from '../../api/client';
import { Busy } from '../../ui/Busy';
import { FigureText } from '../../ui/FigureText';
import { NotRead } from '../../ui/NotRead';
import type { JobDesk } from '../useJob';
import { useWork } from '../useWork';

/** The few best ways for the master to stand, found by looking at all of them. */
export function Stands({ job, desk }: { job: Job; desk: JobDesk }) {
  const path = { params: { path: { id: job.id } } };
  const { data, error, retry, working, stop, again } = useWork<Found>({
    key: ['job', job.id, 'stands', job.version],
    enabled: true,
    look: () => unwrap(client.GET('/api/jobs/{id}/stands', path)),
    ask: () => unwrap(client.POST('/api/jobs/{id}/stands', path)),
    stop: () => unwrap(client.DELETE('/api/jobs/{id}/stands', path)),
    keep: true,
  });
  if (!data) {
    return <NotRead what="How it can stand" error={error} again={retry} />;
  }
  const { work, looked, stands } = data;
  return (
    <div className="stands" data-looked={looked}>
      {working && <Busy {...working} stop={stop} />}
      {!working && work.state !== 'READY' && (
        <div className="busy">
          <span>
            {work.state === 'FAILED'
              ? work.problem
              : looked > 0
                ? `Stopped after ${looked} ways; the best of those:`
                : 'Compare rubber, height, overhangs and air for every way it can stand:'}
          </span>
          <Button size="sm" variant="outline-primary" onClick={again}>
            {looked > 0 ? 'Go on' : 'Find the best ways up'}
          </Button>
        </div>
      )}
      {stands.length > 0 && (
        <ol aria-label={`The best of ${looked} ways to stand`}>
          {stands.map((s) => (
            <Row
              key={s.edit}
              stand={s}
              take={() => desk.apply([{ word: 'pose.stand', text: s.edit }])}
            />
          ))}
        </ol>
      )}
    </div>
  );
}

function Row({ stand, take }: { stand: Stand; take: () => void }) {
  const { figures } = stand;
  return (
    <li>
      <img src={stand.picture} alt="" width={120} height={90} loading="lazy" />
      <p>
        <strong>{stand.way.charAt(0).toUpperCase() + stand.way.slice(1)}</strong> it {stand.why}.
        <span className="numbers">
          <FigureText figure={figures.rubber} /> rubber, <FigureText figure={figures.height} />{' '}
          high, <FigureText figure={figures.locked} /> under overhangs; air in the rubber{' '}
          <FigureText figure={figures.poured} />, in a cast <FigureText figure={figures.cast} />; it
          asks for <FigureText figure={figures.vents} />
        </span>
      </p>
      <Button size="sm" variant="outline-primary" onClick={take} disabled={stand.now}>
        {stand.now ? 'Chosen' : 'Use this position'}
      </Button>
    </li>
  );
}
