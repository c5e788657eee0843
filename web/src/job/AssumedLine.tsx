import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useNavigate } from 'react-router-dom';
import type { Job } from '../api/client';
import type { JobDesk } from './useJob';

/** What the plan rests on that nobody has said: each is confirmed or changed here. */
export function AssumedLine({ job, desk }: { job: Job; desk: JobDesk }) {
  const go = useNavigate();
  if (job.assumed.length === 0) {
    return null;
  }
  return (
    <p className="assumptions" aria-label="Assumed">
      <span className="quiet">Assumed:</span>
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
