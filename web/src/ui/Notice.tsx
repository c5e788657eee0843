import Button from 'react-bootstrap/Button';

interface Props {
  title?: string;
  text: string;
  said?: boolean;
  action?: { label: string; run: () => void };
  close: () => void;
}

/** A message that stays until it is dismissed. */
export function Notice({ title, text, said, action, close }: Props) {
  return (
    <div className={`notice${said ? ' said' : ''}`} role={said ? 'status' : 'alert'}>
      <p>
        {title && <strong>{title}. </strong>}
        {text}
      </p>
      {action && (
        <Button size="sm" onClick={action.run}>
          {action.label}
        </Button>
      )}
      <Button size="sm" variant="outline-primary" onClick={close}>
        Close
      </Button>
    </div>
  );
}
