import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap } from '../api/client';

const addressQuery = queryOptions({
  queryKey: ['calendar'],
  queryFn: () => unwrap(client.GET('/api/calendar/address')),
});

/** The address under which a calendar reads the days of the bench. */
export function Calendar() {
  const { data } = useQuery(addressQuery);
  const queries = useQueryClient();
  const [copied, setCopied] = useState(false);
  const make = async () =>
    queries.setQueryData(
      addressQuery.queryKey,
      await unwrap(client.POST('/api/calendar/address', {})),
    );
  const revoke = async () => {
    await unwrap(client.DELETE('/api/calendar/address', {}));
    setCopied(false);
    await queries.invalidateQueries({ queryKey: addressQuery.queryKey });
  };
  const address = data?.path ? window.location.origin + data.path : '';
  return (
    <section className="part calendar">
      <h2>In your calendar</h2>
      {address === '' ? (
        <>
          <p>
            A calendar that subscribes to an address always shows when to be back, also after
            something was planned again.
          </p>
          <Button variant="outline-primary" onClick={() => void make()} disabled={!data}>
            Make an address
          </Button>
        </>
      ) : (
        <>
          <p>
            Subscribe to this address in your calendar. Whoever knows it reads these days, and
            nothing else.
          </p>
          <input
            readOnly
            aria-label="Calendar address"
            value={address}
            onFocus={(e) => e.target.select()}
          />
          <p className="fixes">
            {window.isSecureContext && (
              <Button
                variant="outline-primary"
                onClick={() =>
                  void navigator.clipboard.writeText(address).then(() => setCopied(true))
                }
              >
                {copied ? 'Copied' : 'Copy the address'}
              </Button>
            )}{' '}
            <Button variant="outline-primary" onClick={() => void revoke()}>
              Revoke it
            </Button>
          </p>
        </>
      )}
    </section>
  );
}
