import { queryOptions } from '@tanstack/react-query';
import { client, unwrap } from '../api/client';

export const benchQuery = queryOptions({
  queryKey: ['bench'],
  queryFn: () => unwrap(client.GET('/api/days')),
  // any job changes it
  staleTime: 0,
});
