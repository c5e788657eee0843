import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Job, Study } from '../../api/client';
import { Busy } from '../../ui/Busy';

import { big } from '../../ui/big';
import { FigureText } from '../../ui/FigureText';
import { Word } from '../../ui/Word';
import type { JobDesk } from '../useJob';
import type { ShapeDesk } from '../useStudy';
import { Film, type Poured } from './Film';

/** What a click on the solid does, and what the solid shows beside the master. */
export interface SolidTool {
  placing: 'vent' | 'sprue' | null;
  /** Colours the master by what is locked or how thin the rubber is, or lays it to be cast in. */
  show: 'LOCKED' | 'WALL' | 'LYING' | null;
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
  const show = (what: NonNullable<SolidTool['show']>) =>
    setTool({ ...tool, show: tool.show === what ? null : what });
  const [film, setFilm] = useState<Poured | null>(null);
  const watch = (what: Poured) => setFilm(film === what ? null : what);
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
            {study && study.attitudes.length > 0 ? (
              <Lying halves={halves} job={job} />
            ) : (
              'It is cast turned over. '
            )}
            A cast poured {study?.inlet}
            {vents > 0 && (vents === 1 ? ', with one vent,' : `, with ${vents} vents,`)} keeps{' '}
            <FigureText figure={job.figures['air.cast']} /> of air.
            {job.figures['vents.rubber'] && (
              <>
                {' '}
                {vents === 1 ? 'The vent passes' : 'No vent passes more than'}{' '}
                <FigureText figure={job.figures['vents.rubber']} /> of rubber.
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
            <Pressed on={tool.show === 'LYING'} press={() => show('LYING')}>
              Show it as it is cast
            </Pressed>
            <Pressed on={film === 'CAST'} press={() => watch('CAST')}>
              Watch a cast fill it
            </Pressed>
            {job.box.poured && !halves && (
              <Pressed on={film === 'RUBBER'} press={() => watch('RUBBER')}>
                Watch the rubber rise
              </Pressed>
            )}
            {vents > 0 && (
              <Button
                size="sm"
                variant="outline-primary"
                onClick={() => desk.apply([{ word: 'casting.noVents', text: '' }])}
              >
                Remove the vents
              </Button>
            )}
            {study?.spruePlaced && (
              <Button
                size="sm"
                variant="outline-primary"
                onClick={() => desk.apply([{ word: 'casting.noSprue', text: '' }])}
              >
                Remove the sprue
              </Button>
            )}
          </div>
          {film && <Film id={job.id} version={job.version} of={film} />}
          <Attitudes study={study} desk={desk} />
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

/** How the mould lies to be cast in; in one piece, or cut, its sprue has to be on top. */
function Lying({ halves, job }: { halves: boolean; job: Job }) {
  const raised = job.words['lying.raised']?.unset === false;
  return (
    <>
      It is cast {halves ? <Word k="lying.on" after="," /> : 'turned over,'}{' '}
      {raised ? (
        <>
          its <Word k="lying.raised" /> and <Word k="lying.also" /> raised{' '}
          <Word k="lying.degrees" after="." />
        </>
      ) : (
        <Word k="lying.raised" after="." />
      )}{' '}
    </>
  );
}

/** Ways to lie side by side, the best first; one click takes one. */
function Attitudes({ study, desk }: { study: Study | null; desk: JobDesk }) {
  if (!study || study.attitudes.length < 2) {
    return null;
  }
  return (
    <>
      <h3>Ways to lay it to be cast in</h3>
      <table className="compare">
        <thead>
          <tr>
            <th scope="col">It lies</th>
            <th scope="col">Asks for</th>
            <th scope="col">Air left</th>
            <th scope="col" aria-label="Choose" />
          </tr>
        </thead>
        <tbody>
          {study.attitudes.map((a) => (
            <tr key={a.text} className={a.now ? 'now' : undefined}>
              <td>
                {big(a.text)}
                {(a.held || a.pot) && (
                  <span className="note quiet">
                    {a.held} {a.pot && `It is ${a.pot}.`}
                  </span>
                )}
              </td>
              <td className="n" data-label="Asks for">
                <FigureText figure={a.figures.vents} />
                {(a.figures.rubber?.value ?? 0) > 0 && (
                  <span className="note quiet">
                    through <FigureText figure={a.figures.rubber} />
                  </span>
                )}
              </td>
              <td className="n" data-label="Air left">
                <FigureText figure={a.figures.left} />
              </td>
              <td>
                <Button
                  size="sm"
                  className="text-nowrap"
                  variant="outline-primary"
                  disabled={a.now}
                  aria-label={`Cast it ${a.text}`}
                  onClick={() => desk.apply(a.edits)}
                >
                  {a.now ? 'So now' : 'Lay it so'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
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
