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
            <Kept key={b.name} backup={b} data={list.data} start={list.start} />
          ))}
        </ul>
      )}
    </section>
  );
}

interface KeptProps {
  backup: components['schemas']['BackupView'];
  /** Folder all is kept in. */
  data: string;
  /** Of the server that has it. */
  start: string;
}

/** Waits until another server answers in the place of one. */
async function another(start: string): Promise<void> {
  for (;;) {
    const now = await unwrap(client.GET('/api/backups')).catch(() => null);
    if (now && now.start !== start) {
      return;
    }
    await new Promise((again) => setTimeout(again, 500));
  }
}

function Kept({ backup, data, start }: KeptProps) {
  const [going, setGoing] = useState(false);
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
  const goBack = async () => {
    setGoing(true);
    try {
      await unwrap(
        client.POST('/api/backups/{name}/restored', { params: { path: { name: backup.name } } }),
      );
      await another(start);
      globalThis.location.assign('/');
    } catch (problem) {
      setFailed(problem instanceof Problem ? problem.message : '');
      setGoing(false);
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
            What is there now is not lost: its folder, {data}, is moved aside and keeps all of it.
            Ungula stops and starts again; whoever is at the bench waits a moment.
          </p>
          <p>
            <Button variant="outline-primary" disabled={going} onClick={() => void goBack()}>
              {going ? 'Going back …' : 'Go back to it now'}
            </Button>
          </p>
        </div>
      )}
    </li>
  );
}
