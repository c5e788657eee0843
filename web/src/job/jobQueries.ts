import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, unwrap } from '../api/client';

export type CutName = 'FRONT' | 'SIDE' | 'TOP';

export const jobQuery = (id: string) =>
  queryOptions({
    queryKey: ['job', id],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}', { params: { path: { id } } })),
  });

export const sectionQuery = (id: string, version: number, cut: CutName, at: number | null) =>
  queryOptions({
    queryKey: ['job', id, 'section', version, cut, at],
    queryFn: () =>
      unwrap(
        client.GET('/api/jobs/{id}/section', {
          params: { path: { id }, query: at === null ? { cut } : { cut, at } },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const boxShapesQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['job', id, 'boxShapes', version],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/box/shapes', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const variantsQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['job', id, 'variants', version],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/variants', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const cutListQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['job', id, 'cutList', version],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/box/cutlist', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** Casts that were made: another window may have recorded one. */
export const madeQuery = (id: string) =>
  queryOptions({
    queryKey: ['job', id, 'made'],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/casts/made', { params: { path: { id } } })),
    staleTime: 0,
    refetchInterval: 15_000,
  });

/** What happened in a job: asked again whenever it is looked at. */
export const logQuery = (id: string) =>
  queryOptions({
    queryKey: ['job', id, 'log'],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/log', { params: { path: { id } } })),
    staleTime: 0,
  });

export const castsQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['job', id, 'casts', version],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/casts', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    // other jobs and the hours of the workshop change it too
    staleTime: 0,
  });

export const daysQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['job', id, 'days', version],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/days', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    // other jobs and the hours of the workshop change it too
    staleTime: 0,
  });

export const facesQuery = (id: string, shapeKey: string) =>
  queryOptions({
    queryKey: ['job', id, 'faces', shapeKey],
    queryFn: () => unwrap(client.GET('/api/jobs/{id}/faces', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
