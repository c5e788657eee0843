import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, unwrap } from '../api/client';
import type { components } from '../api/schema';

export type MouldListed = components['schemas']['MouldListed'];
export type Mould = components['schemas']['MouldResponse'];
export type Which = 'IN_USE' | 'WEARING' | 'RETIRED';

/** Another window, or the bench, may have made or used one. */
export const mouldsQuery = (q: string, which: Which, from: number) =>
  queryOptions({
    queryKey: ['moulds', q, which, from],
    queryFn: () => unwrap(client.GET('/api/moulds', { params: { query: { q, which, from } } })),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });

export const mouldQuery = (code: string) =>
  queryOptions({
    queryKey: ['mould', code],
    queryFn: () => unwrap(client.GET('/api/moulds/{code}', { params: { path: { code } } })),
    staleTime: 0,
  });
