import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { client, unwrap, type RunTask } from '../api/client';
import { Notice } from '../ui/Notice';
import { runQuery } from './runQueries';

interface Props {
  run: string;
  task: RunTask;
  who: string;
}

/** Pictures of a step, and one more by the camera. */
export function StepPictures({ run, task, who }: Props) {
  const queries = useQueryClient();
  const chooser = useRef<HTMLInputElement>(null);
  const add = useMutation({
    networkMode: 'always',
    mutationFn: (file: File) =>
      unwrap(
        client.POST('/api/runs/{id}/pictures', {
          params: { path: { id: run }, query: { step: task.key, who } },
          headers: { 'Content-Type': 'application/octet-stream' },
          body: file as unknown as string,
          bodySerializer: (body) => body,
        }),
      ),
    onSuccess: (now) => queries.setQueryData(runQuery(run).queryKey, now),
  });
  return (
    <div className="steppictures">
      {task.pictures.map((p) => (
        <a key={p} href={`/api/runs/${run}/pictures/${p}`} target="_blank" rel="noreferrer">
          <img src={`/api/runs/${run}/pictures/${p}`} alt={`Picture of: ${task.label}`} />
        </a>
      ))}
      <button type="button" disabled={add.isPending} onClick={() => chooser.current?.click()}>
        {add.isPending ? 'Keeping it …' : 'Add a picture'}
      </button>
      <input
        ref={chooser}
        type="file"
        hidden
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        aria-label="A picture of this step"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) {
            add.mutate(file);
          }
          e.target.value = '';
        }}
      />
      {add.error && <Notice text={add.error.message} close={add.reset} />}
    </div>
  );
}
