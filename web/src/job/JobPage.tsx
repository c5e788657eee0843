import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Offcanvas from 'react-bootstrap/Offcanvas';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router-dom';
import { PageHead } from '../app/PageHead';
import { Problem } from '../api/client';
import { useTitle } from '../app/useTitle';
import { Boundary } from '../ui/Boundary';
import { Busy } from '../ui/Busy';
import { CautionList } from '../ui/CautionList';
import { WorkingText } from '../ui/FigureText';
import { Notice } from '../ui/Notice';
import { useWordInAddress } from '../ui/useWordInAddress';
import { WordContext } from '../ui/words';
import type { Paint } from '../viewer/marks';
import { ExerciseLine } from '../exercise/ExerciseLine';
import { ApproachStage } from './approach/ApproachStage';
import { ApproachTable } from './approach/ApproachTable';
import { AssumedLine } from './AssumedLine';
import { BenchStage } from './bench/BenchStage';
import { CastsDrawing } from './casts/CastsDrawing';
import { CastsStage } from './casts/CastsStage';
import { LogStage } from './log/LogStage';
import { DaysDrawing } from './days/DaysDrawing';
import { FaultDrawing } from './log/FaultDrawing';
import { DaysStage } from './days/DaysStage';
import { JobHead } from './JobHead';
import { MasterStage } from './master/MasterStage';
import { ModelChooser } from './master/ModelChooser';
import { MouldStage } from './mould/MouldStage';
import { PoursStage } from './pours/PoursStage';
import { Parts } from './mould/Parts';
import { RubberStage } from './rubber/RubberStage';
import { ShapePart, type SolidTool } from './mould/ShapePart';
import { STAGES } from './stages';
import { Tally } from './Tally';
import { MouldDrawing } from './MouldDrawing';
import { useApproaches } from './approach/useApproaches';
import { useDrop } from '../ui/useDrop';
import { useHistory } from './useHistory';
import { isJobFile, useTakeIn } from '../shelf/useTakeIn';
import { useJob } from './useJob';
import { useMade } from './useMade';
import { useSheet } from './useSheet';
import { useModelUpload } from './master/useModelUpload';
import { useStudy } from './useStudy';

const NO_TOOL: SolidTool = { placing: null, show: null };

export function JobPage() {
  const { id = '', stage = '' } = useParams();
  const go = useNavigate();
  const desk = useJob(id);
  const { job } = desk;
  const shape = useStudy(job);
  const approaches = useApproaches(job, stage === 'approach');
  const [tool, setTool] = useState<SolidTool>(NO_TOOL);
  const [paint, setPaint] = useState<Paint | null>(null);
  const upload = useModelUpload(id, desk.refresh);
  const made = useMade(id);
  const sheet = useSheet(job);
  const arriving = useTakeIn();
  const dropping = useDrop((file) =>
    isJobFile(file) ? void arriving.takeIn(file) : upload.start(file),
  );
  const chooser = useRef<HTMLInputElement>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const [pointed, setPointed] = useState<string | null>(null);
  const [spot, setSpot] = useState<number | null>(null);
  const [noSolids, setNoSolids] = useState(false);
  const [asked] = useSearchParams();
  const castAsked = stage === 'log' ? Number(asked.get('cast') ?? 0) : 0;
  const fault = castAsked > 0 ? castAsked : null;
  const [working, setWorking] = useState(false);
  const cautions = useRef<HTMLDivElement>(null);
  const beside = useRef(false);
  const choose = useCallback(() => {
    beside.current = false;
    chooser.current?.click();
  }, []);
  const chooseBeside = useCallback(() => {
    beside.current = true;
    chooser.current?.click();
  }, []);
  useTitle(job?.name);

  // looking at a stage settles its "look again", and is what later changes are told against
  const state = job?.stages[stage];
  const looked = useRef('');
  const { look } = desk;
  const history = useHistory(desk, stage);
  const ready = job !== undefined;
  useEffect(() => {
    const settled = stage === 'master' || (state === 'DONE' && looked.current === stage);
    if (ready && !settled && STAGES.some((s) => s.id === stage)) {
      const seen = setTimeout(() => {
        looked.current = stage;
        look(stage);
      }, 1200);
      return () => clearTimeout(seen);
    }
    // once per arrival and per change of state
    // oxlint-disable-next-line react/exhaustive-deps
  }, [ready, stage, state, job?.version]);

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing = (e.target as HTMLElement).closest('input, textarea');
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !typing) {
        e.preventDefault();
        history.step(e.shiftKey ? 1 : -1);
      } else if (!typing && !e.ctrlKey && !e.metaKey && !e.altKey) {
        const to = STAGES[Number(e.key) - 1];
        if (to && !(e.target as HTMLElement).closest('.word')) {
          void go(`/jobs/${id}/${to.id}`);
        } else if (e.key === '?') {
          void go('/help');
        }
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  useWordInAddress(ready);

  const { write, nudge } = desk;
  const words = job?.words;
  const wordDesk = useMemo(() => (words ? { words, write, nudge } : null), [words, write, nudge]);

  const modelFile = (
    <ModelChooser
      chooser={chooser}
      take={(file) => (beside.current ? upload.startBeside : upload.start)(file)}
    />
  );
  if (desk.error && !job) {
    return (
      <div className="page">
        <PageHead />
        <main>
          <h1>This job does not open</h1>
          <p>{desk.error.message}</p>
          {upload.upload && (
            <Busy
              doing={upload.upload.doing}
              fraction={upload.upload.fraction}
              stop={upload.upload.cancel}
            />
          )}
          {upload.problem && <Notice text={upload.problem} close={upload.dismiss} />}
          <p style={{ display: 'flex', gap: '0.6rem' }}>
            {desk.error instanceof Problem && desk.error.title === 'Model file missing' && (
              <Button onClick={choose}>Upload the model again</Button>
            )}
            <Button variant="outline-primary" onClick={() => void desk.refresh()}>
              Try again
            </Button>
            <Button variant="outline-primary" onClick={() => void go('/')}>
              Back to the shelf
            </Button>
          </p>
        </main>
        {modelFile}
      </div>
    );
  }
  if (!job || !wordDesk) {
    return <div className="job" aria-busy />;
  }
  if (!STAGES.some((s) => s.id === stage)) {
    return <Navigate to={`/jobs/${id}/master`} replace />;
  }
  return (
    <WordContext.Provider value={wordDesk}>
      <div className="job">
        <JobHead job={job} desk={desk} history={history} make={made.make} print={sheet.open} />
        <div className="bench">
          <Boundary key={`drawing ${stage}`} what="The drawing">
            {stage === 'approach' && job.hasShape ? (
              <ApproachTable approaches={approaches} desk={desk} />
            ) : stage === 'days' ? (
              <DaysDrawing job={job} desk={desk} picked={picked} pick={setPicked} />
            ) : stage === 'casts' ? (
              <CastsDrawing job={job} desk={desk} showing={spot} show={setSpot} />
            ) : fault !== null && job.hasShape && !noSolids ? (
              <FaultDrawing
                job={job}
                desk={desk}
                shape={shape}
                cast={fault}
                missing={() => setNoSolids(true)}
              />
            ) : (
              <MouldDrawing
                job={job}
                desk={desk}
                stage={stage}
                pointed={pointed}
                point={setPointed}
                choose={choose}
                shape={shape}
                tool={stage === 'mould' ? tool : NO_TOOL}
                paint={stage === 'master' ? paint : null}
              />
            )}
          </Boundary>
          <main className="words">
            {upload.upload && (
              <Busy
                doing={upload.upload.doing}
                fraction={upload.upload.fraction}
                stop={upload.upload.cancel}
              />
            )}
            {made.task && (
              <Busy
                doing={`${made.text}: ${made.task.doing.toLowerCase()}`}
                fraction={made.task.fraction}
                stop={made.stop}
              />
            )}
            {sheet.work && (
              <Busy
                doing={`Before it is printed: ${sheet.work.doing.toLowerCase()}`}
                fraction={sheet.work.fraction}
                stop={sheet.stop}
              />
            )}
            {sheet.problem && <Notice text={sheet.problem} close={sheet.dismiss} />}
            {made.problem && <Notice text={made.problem} close={made.dismiss} />}
            {upload.problem && <Notice text={upload.problem} close={upload.dismiss} />}
            {desk.problem && (
              <Notice title={desk.problem.title} text={desk.problem.message} close={desk.dismiss} />
            )}
            {job.exercise && <ExerciseLine job={job} />}
            <Boundary key={stage} what="This stage">
              {stage === 'master' && (
                <MasterStage
                  job={job}
                  desk={desk}
                  choose={choose}
                  chooseBeside={chooseBeside}
                  paint={paint}
                  setPaint={setPaint}
                />
              )}
              {stage === 'approach' && (
                <ApproachStage job={job} desk={desk} approaches={approaches} />
              )}
              {stage === 'mould' && (
                <MouldStage job={job} desk={desk}>
                  {job.hasShape && (
                    <ShapePart job={job} desk={desk} shape={shape} tool={tool} setTool={setTool} />
                  )}
                </MouldStage>
              )}
              {stage === 'rubber' && <RubberStage job={job} />}
              {stage === 'pours' && <PoursStage job={job} />}
              {stage === 'days' && (
                <DaysStage job={job} desk={desk} picked={picked} pick={setPicked} />
              )}
              {stage === 'bench' && <BenchStage job={job} />}
              {stage === 'casts' && <CastsStage job={job} showPlace={setSpot} print={sheet.open} />}
              {stage === 'log' && <LogStage job={job} desk={desk} />}
              <Parts job={job} all={stage === 'mould'} />
            </Boundary>
            <div ref={cautions}>
              <CautionList
                cautions={job.cautions}
                first={stage}
                pointed={pointed}
                apply={desk.apply}
                point={setPointed}
              />
            </div>
          </main>
        </div>
        <footer>
          <AssumedLine job={job} desk={desk} />
          <Tally
            job={job}
            showCautions={() => cautions.current?.scrollIntoView({ block: 'start' })}
            showWorking={() => setWorking(true)}
            print={sheet.open}
          />
        </footer>
      </div>
      {modelFile}
      {dropping && (
        <div className="dropping">
          Drop the model here, or a job that was saved as a file: it comes beside this one
        </div>
      )}
      {arriving.refused && (
        <Notice title="Not taken in" text={arriving.refused} close={arriving.dismiss} />
      )}
      <Offcanvas
        show={working}
        onHide={() => setWorking(false)}
        placement="end"
        scroll
        backdrop={false}
      >
        <Offcanvas.Header closeButton>
          <Offcanvas.Title as="h2">The working</Offcanvas.Title>
        </Offcanvas.Header>
        <Offcanvas.Body className="workings">
          {Object.values(job.figures)
            .filter((f) => f !== undefined)
            .filter((f) => !f.key.startsWith('master.volume.'))
            .map((f) => (
              <WorkingText key={f.key} figure={f} />
            ))}
        </Offcanvas.Body>
      </Offcanvas>
    </WordContext.Provider>
  );
}
