import { Fragment } from 'react';
import OverlayTrigger from 'react-bootstrap/OverlayTrigger';
import Popover from 'react-bootstrap/Popover';
import type { Figure } from '../api/client';

const SOURCES: Record<string, string> = {
  SHEET: 'sheet',
  MEASURED: 'measured',
  CHOSEN: 'chosen',
  DEFAULT: 'default',
  COMPUTED: 'computed',
  LEARNED: 'learned from your jobs',
};

/** A computed number that opens its arithmetic. */
export function FigureText({ figure, lone }: { figure: Figure | undefined; lone?: boolean }) {
  if (!figure) {
    return <>–</>;
  }
  // of what was kept before workings were, the number alone is known
  if (figure.working.formula === '') {
    return <>{figure.text}</>;
  }
  return (
    <OverlayTrigger
      trigger="click"
      rootClose
      placement="auto"
      overlay={
        <Popover>
          <Popover.Body>
            <WorkingText figure={figure} />
          </Popover.Body>
        </Popover>
      }
    >
      <button
        type="button"
        className={`figure${lone ? ' lone' : ''}`}
        title={figure.exact !== figure.text ? figure.exact : undefined}
        aria-label={`${figure.label}: ${figure.text}, show the working`}
        data-figure={figure.key}
      >
        {figure.text}
      </button>
    </OverlayTrigger>
  );
}

/** The arithmetic of one number: the same text the job sheet prints. */
export function WorkingText({ figure }: { figure: Figure }) {
  const { formula, givens, steps, rounding, plusMinus } = figure.working;
  return (
    <div className="working">
      <h3>
        <span>{figure.label}</span>
        <span>{figure.text}</span>
      </h3>
      <p>{formula}</p>
      {givens.length > 0 && (
        <dl>
          {givens.map((g) => (
            <Fragment key={g.name + g.text}>
              <dt>{g.name}</dt>
              <dd>{g.text}</dd>
              <dd className="source">{SOURCES[g.source]}</dd>
            </Fragment>
          ))}
        </dl>
      )}
      {steps.map((s) => (
        <p key={s} className="small">
          {s}
        </p>
      ))}
      {(rounding || plusMinus) && (
        <p className="small quiet">{[plusMinus, rounding].filter(Boolean).join(' · ')}</p>
      )}
    </div>
  );
}
