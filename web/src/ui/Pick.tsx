import Dropdown from 'react-bootstrap/Dropdown';

interface Props<V extends string | number> {
  name: string;
  options: V[];
  /** How a value reads. */
  text: (value: V) => string;
  value: V;
  choose: (value: V) => void;
}

/** A word of the sentence with a few values to choose from. */
export function Pick<V extends string | number>({ name, options, text, value, choose }: Props<V>) {
  const picked = (key: string | null) => {
    const option = options.find((o) => String(o) === key);
    if (option !== undefined) {
      choose(option);
    }
  };
  return (
    <Dropdown as="span" className="wordhold" onSelect={picked}>
      <Dropdown.Toggle
        as="button"
        type="button"
        className="word choice"
        aria-label={`${name}: ${text(value)}`}
      >
        {text(value)}
      </Dropdown.Toggle>
      <Dropdown.Menu as="span">
        {options.map((o) => (
          <Dropdown.Item key={o} eventKey={String(o)} as="button" active={o === value}>
            {text(o)}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
