import { useEffect, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate, useParams } from 'react-router-dom';
import type { Edit, Figure, Proposal } from '../../api/client';
import { PageHead } from '../../app/PageHead';
import { useTitle } from '../../app/useTitle';
import { Busy } from '../../ui/Busy';
import { FigureText } from '../../ui/FigureText';
import { Notice } from '../../ui/Notice';
import { NotRead } from '../../ui/NotRead';
import { useDrop } from '../../ui/useDrop';
import { handedOver } from '../master/handedOver';
import { ModelChooser } from '../master/ModelChooser';
import { useModelUpload } from '../master/useModelUpload';
import { useJob } from '../useJob';
import { useProposal } from './useProposal';

/** From a model file to the mould proposed for it: one look, one button. */
export function ProposalPage() {
  const { id = '' } = useParams();
  const go = useNavigate();
  const desk = useJob(id);
  const { job } = desk;
  const upload = useModelUpload(id, desk.refresh);
  const chooser = useRef<HTMLInputElement>(null);
  const dropping = useDrop(upload.start);
  const proposal = useProposal(upload.upload ? undefined : job);
  useTitle(job?.name);

  const { start } = upload;
  useEffect(() => {
    const file = handedOver(id);
    if (file) {
      start(file);
    }
    // once for the job
    // oxlint-disable-next-line react/exhaustive-deps
  }, [id]);

  const use = (edits: Edit[]) => desk.apply(edits, () => void go(`/jobs/${id}/pours`));
  const { data, working, error, retry, stop, again } = proposal;
  const size = job?.figures['master.size'];
  return (
    <div className="page">
      <PageHead />
      <main className="proposal">
        <h1>{job?.name ?? ' '}</h1>
        <NotRead what="This job" error={desk.error} again={desk.refresh} />
        {desk.problem && (
          <Notice title={desk.problem.title} text={desk.problem.message} close={desk.dismiss} />
        )}
        {upload.problem && <Notice text={upload.problem} close={upload.dismiss} />}
        {upload.upload && (
          <Busy
            doing={upload.upload.doing}
            fraction={upload.upload.fraction}
            stop={upload.upload.cancel}
          />
        )}
        {size && !upload.upload && (
          <p>
            The master is <FigureText figure={size} />.
          </p>
        )}
        {working && <Busy {...working} stop={stop} />}
        <NotRead what="The proposal" error={error} again={retry} />
        {(data?.work.state === 'STOPPED' || data?.work.state === 'FAILED') && (
          <div className="empty">
            <p>
              {data.work.state === 'STOPPED'
                ? 'The search for a mould was stopped.'
                : `No mould could be worked out. ${data.work.problem}`}
            </p>
            <Button onClick={again}>Search again</Button>
          </div>
        )}
        {data?.work.state === 'READY' && (
          <Proposed data={data} id={id} use={use} using={desk.saving} />
        )}
        {job && !job.hasShape && !upload.upload && (
          <div className="empty">
            <p>Give the model of the master, and a mould is proposed.</p>
            <Button onClick={() => chooser.current?.click()}>Choose a model file</Button>
            <p className="small">
              <Link to={`/jobs/${id}/master`}>Begin without a model</Link>
            </p>
          </div>
        )}
      </main>
      <ModelChooser chooser={chooser} take={upload.start} />
      {dropping && <div className="dropping">Drop the model here</div>}
    </div>
  );
}

interface ProposedProps {
  data: Proposal;
  id: string;
  use: (edits: Edit[]) => void;
  using: boolean;
}

function Proposed({ data: { says, proposal }, id, use, using }: ProposedProps) {
  const go = useNavigate();
  const compare = (
    <Button
      variant={proposal ? 'outline-primary' : 'primary'}
      onClick={() => void go(`/jobs/${id}/approach`)}
    >
      Compare
    </Button>
  );
  if (!proposal) {
    return (
      <div className="empty">
        <p>No mould works for this master as it is. Compare shows why each does not.</p>
        {compare}
      </div>
    );
  }
  const { rubber, figures, stops, rests } = proposal;
  return (
    <section className="proposed" aria-label="Proposed">
      <img src={proposal.picture} alt={`The ${proposal.title}`} width={640} height={480} />
      <div>
        <p className="sentence says">{says}</p>
        {rubber ? (
          <p className="sentence">
            The rubber for it is <strong>{rubber.name}</strong>
            {rubber.stock && ` (you have ${rubber.stock})`}.{' '}
            {rubber.text && <span className="quiet">{rubber.text}</span>}
          </p>
        ) : (
          <p className="sentence">None of your rubbers is suitable.</p>
        )}
        <dl>
          <Entry name="Rubber" figure={figures['rubber.box']} />
          {figures['mix.base'] && figures['mix.hardener'] && (
            <div>
              <dt>Weigh out</dt>
              <dd>
                <FigureText figure={figures['mix.base']} lone /> +{' '}
                <FigureText figure={figures['mix.hardener']} lone />
              </dd>
            </div>
          )}
          <Entry name="The mould costs" figure={figures['cost.job']} />
          <Entry name="Open after" figure={figures['job.open']} />
          <Entry name="Casts to expect" figure={figures['life.casts']} />
        </dl>
        {stops.map((s) => (
          <p key={s} className="count STOP">
            Stop: {s}
          </p>
        ))}
        <p className="doing">
          <Button disabled={using} onClick={() => use(proposal.edits)}>
            Use this
          </Button>
          {compare}
          <Link className="small" to={`/jobs/${id}/master`}>
            Decide step by step
          </Link>
        </p>
        {rests.length > 0 && (
          <p className="small quiet">
            It rests on what is usual: {rests.join(' · ')}. Use this if that is right; all of it can
            be changed later.
          </p>
        )}
      </div>
    </section>
  );
}

function Entry({ name, figure }: { name: string; figure: Figure | undefined }) {
  return (
    figure && (
      <div>
        <dt>{name}</dt>
        <dd>
          <FigureText figure={figure} lone />
        </dd>
      </div>
    )
  );
}
