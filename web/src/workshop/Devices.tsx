import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap, type Device } from '../api/client';
import { NotRead } from '../ui/NotRead';
import { Notice } from '../ui/Notice';

const KINDS: { kind: Device['kind']; text: string }[] = [
  { kind: 'SCALE', text: 'scale' },
  { kind: 'GAUGE', text: 'vacuum gauge' },
  { kind: 'ROOM', text: 'thermometer' },
];

/** What is heard at the bench: how it is now, and how to add one. */
export function Devices() {
  const queries = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: ['devices'],
    queryFn: () => unwrap(client.GET('/api/devices')),
    refetchInterval: 2000,
  });
  const [kind, setKind] = useState<Device['kind']>('SCALE');
  const [name, setName] = useState('');
  const [address, setAddress] = useState('');
  const [changing, setChanging] = useState<Device | null>(null);
  const again = () => queries.invalidateQueries({ queryKey: ['devices'] });
  const clear = () => {
    setChanging(null);
    setName('');
    setAddress('');
  };
  const save = useMutation({
    networkMode: 'always',
    mutationFn: () =>
      unwrap(
        changing
          ? client.POST('/api/devices/{id}', {
              params: { path: { id: changing.id } },
              body: { kind: changing.kind, name, address },
            })
          : client.POST('/api/devices', { body: { kind, name, address } }),
      ),
    onSuccess: () => {
      clear();
      return again();
    },
  });
  const read = useMutation({
    networkMode: 'always',
    mutationFn: ({ kind, address }: Pick<Device, 'kind' | 'address'>) =>
      unwrap(client.POST('/api/devices/readings', { body: { kind, name: '', address } })),
  });
  const once = read.data;
  const said = once?.line === '' ? once.trouble : `“${once?.line}”: ${once?.says || once?.trouble}`;
  const remove = async (device: Device) => {
    await unwrap(client.DELETE('/api/devices/{id}', { params: { path: { id: device.id } } }));
    await again();
  };
  return (
    <>
      <h2 className="part" id="devices">
        Devices at the bench
      </h2>
      <p className="sentence">
        A scale, a vacuum gauge or a thermometer is heard over the network, directly or through a
        serial bridge. Without one you type what you read.
      </p>
      <NotRead what="The devices" error={error} again={refetch} />
      {data && data.length > 0 && (
        <ul className="devices">
          {data.map((d) => (
            <li key={d.id}>
              <strong>{d.name}</strong>
              <span className="quiet">
                {d.text}
                {d.builtIn ? ', made up' : ` at ${d.address}`}
                {d.counts && data.some((o) => o !== d && o.kind === d.kind)
                  ? ', read at the bench'
                  : ''}
              </span>
              <span role="status">
                {d.heard ? `heard: ${d.says}` : `not heard: ${d.trouble}`}
                {d.ignored > 20 && (
                  <span className="quiet"> · lines that were no reading: {d.ignored}</span>
                )}
              </span>
              <span>
                <button type="button" className="plain" onClick={() => read.mutate(d)}>
                  Read once
                </button>
                {!d.builtIn && (
                  <>
                    <button
                      type="button"
                      className="plain"
                      onClick={() => {
                        setChanging(d);
                        setName(d.name);
                        setAddress(d.address);
                      }}
                    >
                      Change
                    </button>
                    <button type="button" className="plain" onClick={() => void remove(d)}>
                      Remove
                    </button>
                  </>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      {save.error && <Notice text={save.error.message} close={save.reset} />}
      <form
        className="adddevice"
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        {changing ? (
          <span>Change the {changing.text}:</span>
        ) : (
          <label>
            Add a{' '}
            <select value={kind} onChange={(e) => setKind(e.target.value as Device['kind'])}>
              {KINDS.map((k) => (
                <option key={k.kind} value={k.kind}>
                  {k.text}
                </option>
              ))}
            </select>
          </label>
        )}
        <label>
          called <input value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
        </label>
        <label>
          at{' '}
          <input
            value={address}
            placeholder="192.168.1.20:4001"
            onChange={(e) => setAddress(e.target.value)}
          />
        </label>
        <Button type="submit" variant="outline-primary" disabled={address.trim() === ''}>
          {changing ? 'Save' : 'Add it'}
        </Button>
        <Button
          variant="outline-primary"
          disabled={address.trim() === '' || read.isPending}
          onClick={() => read.mutate({ kind: changing?.kind ?? kind, address })}
        >
          Read once
        </Button>
        {changing && (
          <Button variant="outline-primary" onClick={clear}>
            Leave it
          </Button>
        )}
      </form>
      <p role="status" className="quiet">
        {read.isPending && 'Waiting for what it says …'}
        {once && `Read once: ${said}`}
      </p>
      {read.error && <Notice text={read.error.message} close={read.reset} />}
    </>
  );
}
