import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useNavigate } from 'react-router-dom';
import { wordOf, type Job } from '../api/client';
import { useWords } from '../ui/words';

/** What the plan rests on that nobody has said: each is confirmed or changed here. */
export function AssumedLine({ job }: { job: Job }) {
  const desk = useWords();
  const go = useNavigate();
  if (job.assumed.length === 0) {
    return null;
  }
  return (
    <p className="assumptions" aria-label="Assumed">
      <span className="quiet">Assumed:</span>
      {job.assumed.map(({ word, stage, text, confirm }) =>
        word ? (
          <Dropdown as="span" key={word} drop="up">
            <Dropdown.Toggle as="button" type="button" className="word assumed" data-assumed={word}>
              {text}
            </Dropdown.Toggle>
            <Dropdown.Menu>
              <Dropdown.Item as="button" onClick={() => void desk.write(wordOf(word), confirm)}>
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
