import { queryOptions } from '@tanstack/react-query';
import { client, unwrap } from '../api/client';

export const productsQuery = queryOptions({
  queryKey: ['products'],
  queryFn: () => unwrap(client.GET('/api/products')),
});

export const stockQuery = queryOptions({
  queryKey: ['stock'],
  queryFn: () => unwrap(client.GET('/api/stock')),
});
