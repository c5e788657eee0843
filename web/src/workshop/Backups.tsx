import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, Problem, unwrap, type Task } from '../api/client';
import type { components } from '../api/schema';
import { cancelTask, followTask } from '../job/followTask';
import { Busy } from '../ui/Busy';
import { Notice } from '../ui/Notice';
import { NotRead } from '../ui/NotRead';

type Changes = components['schemas']['BackupChanges'];

const backupsQuery = queryOptions({
  queryKey: ['backups'],
  queryFn: () => unwrap(client.GET('/api/backups')),
  staleTime: 0,
});

/** Backups that are made by themselves, and what going back to one would change. */
export function Backups() {
  const { data: list, error, refetch } = useQuery(backupsQuery);
  const queries = useQueryClient();
  const [task, setTask] = useState<Task | null>(null);
  const [failed, setFailed] = useState('');
  const make = async () => {
    setFailed('');
    try {
      const ended = await followTask(await unwrap(client.POST('/api/backups')), setTask);
      setFailed(ended.problem);
    } catch (problem) {
      setFailed(problem instanceof Problem ? problem.message : '');
    } finally {
      setTask(null);
      await queries.invalidateQueries({ queryKey: backupsQuery.queryKey });
    }
  };
  return (
    <section aria-label="Backups">
      <h2 className="part">Backups</h2>
      <p>
        Everything is backed up once a day while Ungula runs; the last seven are kept. Each is
        unpacked and looked into before it counts. Keep one on another disk now and then: a backup
        beside what it backs up burns with it.
      </p>
      <NotRead what="The backups" error={error} again={refetch} />
      {failed && <Notice title="Not backed up" text={failed} close={() => setFailed('')} />}
      {task ? (
        <Busy doing={task.doing} fraction={task.fraction} stop={() => cancelTask(task)} />
      ) : (
        <p>
          <Button variant="outline-primary" onClick={() => void make()}>
            Back up now
          </Button>
        </p>
      )}
      {list?.backups.length === 0 && <p>There is none yet.</p>}
      {list && list.backups.length > 0 && (
        <ul className="backups">
          {list.backups.map((b) => (
            <Kept key={b.name} backup={b} folder={list.folder} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Kept({ backup, folder }: { backup: components['schemas']['BackupView']; folder: string }) {
  const [changes, setChanges] = useState<Changes | null>(null);
  const [failed, setFailed] = useState('');
  const look = async () => {
    try {
      setChanges(
        await unwrap(
          client.GET('/api/backups/{name}/changes', { params: { path: { name: backup.name } } }),
        ),
      );
    } catch (problem) {
      setFailed(problem instanceof Problem ? problem.message : '');
    }
  };
  return (
    <li>
      <strong>{backup.at}</strong> · {backup.size}
      {backup.holds && ` · ${backup.holds}`} · <a href={`/api/backups/${backup.name}`}>Download</a>{' '}
      ·{' '}
      <button type="button" className="figure" onClick={() => void look()}>
        Go back to it
      </button>
      {failed && (
        <p className="refusal" role="alert">
          {failed}
        </p>
      )}
      {changes && (
        <div role="status">
          <p>
            {changes.back.length > 0 && `These jobs would come back: ${changes.back.join(', ')}. `}
            {changes.lost.length > 0 &&
              `These jobs would not be there any more: ${changes.lost.join(', ')}. `}
            {changes.back.length + changes.lost.length === 0 && 'The same jobs are in it as now. '}
            What was done in any job since then would not be there either.
          </p>
          <p>
            Stop Ungula, then type:{' '}
            <code>
              ./ungula restore {folder}/{backup.name} --over
            </code>
            . What is there now is not lost: it is moved aside, and the command says where.
          </p>
        </div>
      )}
    </li>
  );
}
