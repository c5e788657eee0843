import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router-dom';
import { client, Problem, unwrap } from '../api/client';

/** Whether a file is a job that was saved as one, not a model. */
export const isJobFile = (file: File) => file.name.toLowerCase().endsWith('.zip');

/** Takes a job in that was saved as a file, beside the others, and opens it. */
export function useTakeIn() {
  const queries = useQueryClient();
  const go = useNavigate();
  const [refused, setRefused] = useState('');
  const takeIn = async (file: File) => {
    try {
      const job = await unwrap(
        client.POST('/api/archives', {
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      );
      await queries.invalidateQueries();
      await go(`/jobs/${job.id}/master`);
    } catch (problem) {
      setRefused(problem instanceof Problem ? `${file.name}: ${problem.message}` : '');
    }
  };
  return { takeIn, refused, dismiss: () => setRefused('') };
}
