import Button from 'react-bootstrap/Button';
import type { Job } from '../../api/client';
import { Busy } from '../../ui/Busy';
import { FigureText } from '../../ui/FigureText';
import type { JobDesk } from '../useJob';
import type { ShapeDesk } from '../useStudy';

/** What a click on the solid does, and what the solid shows beside the master. */
export interface SolidTool {
  placing: 'vent' | 'sprue' | null;
  /** Colours the master by how much is locked, or by how thin the rubber is. */
  show: 'LOCKED' | 'WALL' | null;
}

interface Props {
  job: Job;
  desk: JobDesk;
  shape: ShapeDesk;
  tool: SolidTool;
  setTool: (next: SolidTool) => void;
}

/** Air that stays and what holds the mould on its master, in sentences. */
export function ShapePart({ job, desk, shape, tool, setTool }: Props) {
  const { study } = shape;
  const vents = study?.vents.length ?? 0;
  const place = (what: 'vent' | 'sprue') =>
    setTool({ ...tool, placing: tool.placing === what ? null : what });
  const show = (what: 'LOCKED' | 'WALL') =>
    setTool({ ...tool, show: tool.show === what ? null : what });
  const known = job.figures['air.cast'] !== undefined;
  const halves = job.dipstick?.parting !== undefined;
  return (
    <section className="part shape" aria-label="Air and coming off">
      <h2>Air, and coming off</h2>
      {shape.working && <Busy {...shape.working} stop={shape.stop} />}
      {shape.ended !== null && (
        <div className="busy" role="status">
          <span>{shape.ended}</span>
          <Button size="sm" variant="outline-primary" onClick={shape.again}>
            Work it out
          </Button>
        </div>
      )}
      {known && (
        <>
          <p className="sentence">
            {job.box.poured && !halves && (
              <>
                Poured slowly, the rubber leaves <FigureText figure={job.figures['air.poured']} />{' '}
                of air against the master.{' '}
              </>
            )}
            A cast, with the mould turned over and poured {study?.inlet}
            {vents > 0 && (vents === 1 ? ', with one vent,' : `, with ${vents} vents,`)} leaves{' '}
            <FigureText figure={job.figures['air.cast']} />.
            {job.figures['vents.rubber'] && (
              <>
                {' '}
                {vents === 1 ? 'The vent goes' : 'The vents go up to'}{' '}
                <FigureText figure={job.figures['vents.rubber']} /> through rubber.
              </>
            )}
          </p>
          <div className="tools">
            <Pressed on={tool.placing === 'vent'} press={() => place('vent')}>
              Place a vent
            </Pressed>
            <Pressed on={tool.placing === 'sprue'} press={() => place('sprue')}>
              Place the sprue
            </Pressed>
            {vents > 0 && (
              <Button
                size="sm"
                variant="outline-primary"
                onClick={() => desk.apply([{ word: 'casting.noVents', text: '' }])}
              >
                Remove the vents
              </Button>
            )}
            {study?.sprue && (
              <Button
                size="sm"
                variant="outline-primary"
                onClick={() => desk.apply([{ word: 'casting.noSprue', text: '' }])}
              >
                Remove the sprue
              </Button>
            )}
          </div>
          {job.box.poured && (
            <>
              <p className="sentence">
                Under the master’s overhangs stands{' '}
                <FigureText figure={job.figures['locks.volume']} /> of rubber
                {job.figures['locks.stretch'] ? (
                  <>
                    ; to come off it stretches <FigureText figure={job.figures['locks.stretch']} />.
                  </>
                ) : halves ? (
                  '.'
                ) : (
                  '; it closes all round, so the block is cut to take the master out.'
                )}{' '}
                Pulled apart in two, up and down, <FigureText figure={job.figures['locks.two']} />{' '}
                of it still lock.
                {job.figures['wall.thinnest'] && (
                  <>
                    {' '}
                    Thinnest rubber between parts of the master:{' '}
                    <FigureText figure={job.figures['wall.thinnest']} />.
                  </>
                )}
              </p>
              <div className="tools">
                <Pressed on={tool.show === 'LOCKED'} press={() => show('LOCKED')}>
                  Show what locks
                </Pressed>
                <Pressed on={tool.show === 'WALL'} press={() => show('WALL')}>
                  Show how thick the rubber is
                </Pressed>
              </div>
            </>
          )}
        </>
      )}
    </section>
  );
}

/** A button that stays pressed until it is pressed again. */
function Pressed({ on, press, children }: { on: boolean; press: () => void; children: string }) {
  return (
    <Button
      size="sm"
      variant={on ? 'primary' : 'outline-primary'}
      aria-pressed={on}
      onClick={press}
    >
      {children}
    </Button>
  );
}
