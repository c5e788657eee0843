import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { client, unwrap } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { FigureText } from '../ui/FigureText';
import { Pick } from '../ui/Pick';
import { productsQuery } from './productsQuery';

/** A mass or a volume of rubber, now, without a job: on a phone beside the scale too. */
export function MixPage() {
  useTitle('Mix now');
  const { data: products } = useQuery(productsQuery);
  const offered = (products ?? []).filter((p) => !p.retired);
  const [chosen, setChosen] = useState<string | null>(null);
  const [amount, setAmount] = useState('');
  const [poured, setPoured] = useState('');
  const product = chosen ?? offered[0]?.id ?? '';
  const query = { product, amount: amount.trim(), poured: poured.trim() };
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['mix', query],
    queryFn: () => unwrap(client.GET('/api/mix', { params: { query } })),
    enabled: product !== '' && query.amount !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
  const shown = query.amount !== '' && !error ? data : undefined;
  const f = shown?.figures;
  return (
    <div className="page">
      <PageHead />
      <main className="mixnow">
        <h1>Mix now</h1>
        {offered.length > 0 && (
          <p className="sentence">
            Of{' '}
            <Pick
              name="rubber"
              options={offered.map((p) => p.id)}
              text={(id) => offered.find((p) => p.id === id)?.name ?? ''}
              value={product}
              choose={setChosen}
            />{' '}
            <label>
              <span className="visually-hidden">how much</span>
              <input
                className="word"
                value={amount}
                placeholder="350 g or 600 mL"
                autoFocus
                onChange={(e) => setAmount(e.target.value)}
              />
            </label>
            {shown && <>: {shown.sentence}.</>}
          </p>
        )}
        {error && query.amount !== '' && (
          <p className="refusal" role="alert">
            {error.message}
          </p>
        )}
        {f && (
          <div className={isPlaceholderData ? 'stale' : ''}>
            <dl className="large">
              <dt>base</dt>
              <dd>
                <FigureText figure={f['now.base']} lone />
              </dd>
              <dt>{f['now.second'] ? 'hardener, now' : 'hardener'}</dt>
              <dd>
                <FigureText figure={f['now.second'] ?? f['now.hardener']} lone />
              </dd>
            </dl>
            <p className="sentence">
              <FigureText figure={f['now.total']} /> in the cup,{' '}
              <FigureText figure={f['now.volume']} />
              {f['now.potLife'] && (
                <>
                  ; it can be poured for <FigureText figure={f['now.potLife']} />
                </>
              )}
              .
            </p>
            <p className="sentence">
              <label>
                Base really poured:{' '}
                <input
                  className="word"
                  value={poured}
                  placeholder="not yet"
                  onChange={(e) => setPoured(e.target.value)}
                />
              </label>{' '}
              <span role="status">{shown.now}</span>
            </p>
          </div>
        )}
        <p className="quiet">
          Where the sheet and this page differ, the sheet counts. Nothing is kept of what is typed
          here.
        </p>
      </main>
    </div>
  );
}
