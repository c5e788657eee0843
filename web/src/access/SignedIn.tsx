import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router-dom';
import { accessQuery } from './accessQuery';

/** Who is signed in, and the way out; nothing at the computer Ungula runs on. */
export function SignedIn() {
  const { data } = useQuery(accessQuery);
  const queries = useQueryClient();
  const go = useNavigate();
  const leave = async () => {
    await fetch('/api/sign-out', { method: 'POST' });
    queries.clear();
    await go('/sign-in');
  };
  return data?.initials ? (
    <span className="small quiet">
      {data.initials}{' '}
      <button type="button" className="figure" onClick={() => void leave()}>
        Sign out
      </button>
    </span>
  ) : null;
}
