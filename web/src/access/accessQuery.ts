import { queryOptions } from '@tanstack/react-query';
import { client, unwrap } from '../api/client';

/** Who is signed in; nobody at the computer Ungula runs on. */
export const accessQuery = queryOptions({
  queryKey: ['access'],
  queryFn: () => unwrap(client.GET('/api/access')),
  staleTime: Infinity,
});
