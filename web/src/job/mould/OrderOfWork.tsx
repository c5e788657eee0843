import type { Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';

type Step = Job['order'][number];

/** What is done, one step after the other: how long it takes, what it waits for, what to mind. */
export function OrderOfWork({ job }: { job: Job }) {
  const steps = job.stopped ? [] : [...job.order, ...job.casting];
  const numbers = new Map(steps.map((s, i) => [s.key, i + 1]));
  return (
    <section className="part" aria-label="Order of work">
      <h2>In this order</h2>
      {steps.length === 0 && (
        <p className="quiet">
          {job.stopped
            ? 'Its steps stand here once the mould can work.'
            : 'Once the mould is known, its steps stand here.'}
        </p>
      )}
      {byPart(steps).map(([part, its]) => (
        <div key={part} className="order">
          <h3>{part}</h3>
          <ol start={numbers.get(its[0]?.key ?? '')}>
            {its.map((s) => (
              <Row key={s.key} step={s} cautions={job.cautions} />
            ))}
          </ol>
        </div>
      ))}
    </section>
  );
}

function Row({ step, cautions }: { step: Step; cautions: Job['cautions'] }) {
  return (
    <li className={step.kind.toLowerCase()}>
      <span className="what">
        {step.what}
        {step.waits && <span className="waits"> {step.waits}.</span>}
        {step.why && <span className="why"> {step.why}</span>}
        {cautions
          .filter((c) => step.cautions.includes(c.id))
          .map((c) => (
            <span key={c.id} className={`mind ${c.level.toLowerCase()}`}>
              {c.title}
            </span>
          ))}
      </span>
      <span className="takes">{step.takes && <FigureText figure={step.takes} lone />}</span>
    </li>
  );
}

/** Steps of one part of the work together, in their order. */
function byPart(steps: Step[]): [string, Step[]][] {
  const parts: [string, Step[]][] = [];
  for (const step of steps) {
    const last = parts.at(-1);
    if (last?.[0] === step.part) {
      last[1].push(step);
    } else {
      parts.push([step.part, [step]]);
    }
  }
  return parts;
}
