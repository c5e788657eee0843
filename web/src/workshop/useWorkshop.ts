import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { client, unwrap, type Edit } from '../api/client';

const workshopQuery = queryOptions({
  queryKey: ['workshop'],
  queryFn: () => unwrap(client.GET('/api/workshop')),
});

/** The workshop, and how to change it: what is planned follows from it. */
export function useWorkshop() {
  const { data: workshop, error, refetch } = useQuery(workshopQuery);
  const queries = useQueryClient();
  const send = useCallback(
    async (edits: Edit[]) => {
      const version = queries.getQueryData(workshopQuery.queryKey)?.version ?? 0;
      try {
        queries.setQueryData(
          workshopQuery.queryKey,
          await unwrap(client.POST('/api/workshop/edits', { body: { version, edits } })),
        );
      } finally {
        await Promise.all([
          queries.invalidateQueries({ queryKey: workshopQuery.queryKey }),
          queries.invalidateQueries({ queryKey: ['job'] }),
        ]);
      }
    },
    [queries],
  );
  return { workshop, error, refetch, send };
}
