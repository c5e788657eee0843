import Dropdown from 'react-bootstrap/Dropdown';

interface Props {
  name: string;
  options: number[];
  unit: string;
  value: number;
  choose: (value: number) => void;
}

/** A word of the sentence with a few values to choose from. */
export function Pick({ name, options, unit, value, choose }: Props) {
  return (
    <Dropdown as="span" className="wordhold" onSelect={(v) => choose(Number(v))}>
      <Dropdown.Toggle
        as="button"
        type="button"
        className="word choice"
        aria-label={`${name}: ${value}${unit}`}
      >
        {value}
        {unit}
      </Dropdown.Toggle>
      <Dropdown.Menu as="span">
        {options.map((o) => (
          <Dropdown.Item key={o} eventKey={o} as="button" active={o === value}>
            {o}
            {unit}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
