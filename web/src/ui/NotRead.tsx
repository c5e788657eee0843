import Button from 'react-bootstrap/Button';

interface Props {
  /** What was asked for, as a sentence's subject: "The shelf". */
  what: string;
  error: Error | null;
  again: () => unknown;
}

/** In the place of a list that could not be read: it must never look empty. */
export function NotRead({ what, error, again }: Props) {
  if (!error) {
    return null;
  }
  return (
    <div className="notice" role="alert">
      <p>
        <strong>{what} cannot be read. </strong>
        {error.message}
      </p>
      <Button size="sm" onClick={() => void again()}>
        Try again
      </Button>
    </div>
  );
}
