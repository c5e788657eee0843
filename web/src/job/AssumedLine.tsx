import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useNavigate } from 'react-router-dom';
import type { Job } from '../api/client';
import type { JobDesk } from './useJob';

/** What is still to decide, and what the plan rests on that nobody has said. */
export function AssumedLine({ job, desk }: { job: Job; desk: JobDesk }) {
  const go = useNavigate();
  if (job.assumed.length === 0 && job.undecided.length === 0) {
    return null;
  }
  return (
    <p className="assumptions" aria-label="To decide and assumed">
      {job.undecided.length > 0 && <span className="quiet">To decide:</span>}
      {job.undecided.map(({ word, stage, text }) => (
        <Link key={word} to={`/jobs/${job.id}/${stage}#${word}`} className="word" data-open={word}>
          {text}
        </Link>
      ))}
      {job.assumed.length > 0 && <span className="quiet">Assumed:</span>}
      {job.assumed.map(({ word, stage, text, confirm }) =>
        word && confirm ? (
          <Dropdown as="span" key={word} drop="up">
            <Dropdown.Toggle as="button" type="button" className="word assumed" data-assumed={word}>
              {text}
            </Dropdown.Toggle>
            <Dropdown.Menu>
              <Dropdown.Item as="button" onClick={() => desk.apply([confirm])}>
                Yes, {text}
              </Dropdown.Item>
              <Dropdown.Item
                as="button"
                onClick={() => void go({ pathname: `/jobs/${job.id}/${stage}`, hash: word })}
              >
                Change it
              </Dropdown.Item>
            </Dropdown.Menu>
          </Dropdown>
        ) : (
          <Link key={text} to="/workshop#roomC" className="word assumed">
            {text}
          </Link>
        ),
      )}
    </p>
  );
}
