import Button from 'react-bootstrap/Button';

interface Props {
  doing: string;
  /** Of the whole, 0 to 1. */
  fraction: number;
  stop: () => void;
}

/** Work in the background: what it is at, how far, and a way to stop it. */
export function Busy({ doing, fraction, stop }: Props) {
  const percent = Math.round(100 * fraction);
  return (
    <div className="busy" role="status">
      <span>{doing}</span>
      <div className="progress">
        <div
          className="progress-bar"
          role="progressbar"
          aria-label={doing}
          aria-valuenow={percent}
          aria-valuemin={0}
          aria-valuemax={100}
          style={{ width: `${percent}%` }}
        />
      </div>
      <Button size="sm" variant="outline-primary" onClick={stop}>
        Stop
      </Button>
    </div>
  );
}
