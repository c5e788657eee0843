import { Link, NavLink } from 'react-router-dom';
import { SignedIn } from '../access/SignedIn';

/** The head of every page but a job's. */
export function PageHead() {
  return (
    <header className="head">
      <Link to="/" className="wordmark">
        ungula
      </Link>
      <nav aria-label="Pages">
        <NavLink to="/" end>
          Shelf
        </NavLink>
        <NavLink to="/days">Days</NavLink>
        <NavLink to="/moulds">Moulds</NavLink>
        <NavLink to="/rubber">Rubber</NavLink>
        <NavLink to="/mix">Mix now</NavLink>
        <NavLink to="/workshop">Workshop</NavLink>
        <NavLink to="/help">Help</NavLink>
      </nav>
      <SignedIn />
    </header>
  );
}
