import Button from 'react-bootstrap/Button';
import type { Figure, Job } from '../api/client';
import { Running } from '../run/Running';
import { FigureText } from '../ui/FigureText';

interface Props {
  job: Job;
  showCautions: () => void;
  showWorking: () => void;
  /** Opens a sheet once all of it is worked out. */
  print: (file: string) => void;
}

/** The bottom line: what people ask first. It never scrolls away. */
export function Tally({ job, showCautions, showWorking, print }: Props) {
  const f = job.figures;
  const stops = job.cautions.filter((c) => c.level === 'STOP').length;
  const level = stops > 0 ? 'STOP' : job.cautions.some((c) => c.level === 'CHECK') ? 'CHECK' : '';
  // until the mould can work and the rubber is chosen, grams are not to be weighed by
  const firm = stops === 0 && job.undecided.length === 0;
  return (
    <section className={`tally${firm ? '' : ' open'}`} aria-label="Tally">
      <dl>
        <Entry
          name={job.box.poured ? 'Rubber in the box' : 'Rubber in the skin'}
          figure={f['rubber.box']}
        />
        <div>
          <dt>Weigh out{f['mix.base']?.label.replace(/^base/, '')}</dt>
          <dd data-tally="weigh">
            {f['mix.base'] && !job.stopped ? (
              <>
                <FigureText figure={f['mix.base']} lone /> +{' '}
                <FigureText figure={f['mix.hardener']} lone />
              </>
            ) : (
              '–'
            )}
          </dd>
        </div>
        <Entry name="Rubber cost" figure={f['rubber.cost']} />
        {f['job.open'] || !f['skin.cured'] ? (
          <Entry name="Open after" figure={f['job.open']} />
        ) : (
          <Entry name="Cured after" figure={f['skin.cured']} />
        )}
        <div>
          <dt>Cautions</dt>
          <dd>
            <button type="button" className={`plain count ${level}`} onClick={showCautions}>
              {job.cautions.length === 0
                ? 'none'
                : stops > 0
                  ? `${job.cautions.length}, stop`
                  : job.cautions.length}
            </button>
          </dd>
        </div>
      </dl>
      <div className="doing">
        <Running job={job.id} as="span" />
        <Button variant="outline-primary" onClick={showWorking}>
          Show the working
        </Button>
        <Button onClick={() => print('sheet.pdf')}>Print job sheet</Button>
      </div>
    </section>
  );
}

function Entry({ name, figure }: { name: string; figure: Figure | undefined }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd data-tally={figure?.key}>
        <FigureText figure={figure} lone />
      </dd>
    </div>
  );
}
