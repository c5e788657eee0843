import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { client, unwrap } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { FigureText } from '../ui/FigureText';
import { Pick } from '../ui/Pick';
import { productsQuery } from './productsQuery';

/** A mass or a volume of whatever is mixed, now, without a job: on a phone beside the scale too. */
export function MixPage() {
  useTitle('Mix now');
  const { data: products } = useQuery(productsQuery);
  const offered = (products ?? []).filter((p) => !p.retired && p.parts.length > 0);
  const [chosen, setChosen] = useState<string | null>(null);
  const [amount, setAmount] = useState('');
  const [ratio, setRatio] = useState('');
  const [meant, setMeant] = useState(false);
  const [secondFirst, setSecondFirst] = useState(false);
  const [poured, setPoured] = useState('');
  const product = offered.find((p) => p.id === chosen) ?? offered[0];
  const query = {
    product: product?.id ?? '',
    amount: amount.trim(),
    ratio: ratio.trim(),
    meant,
    secondFirst,
    poured: poured.trim(),
  };
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['mix', query],
    queryFn: () => unwrap(client.GET('/api/mix', { params: { query } })),
    enabled: product !== undefined && query.amount !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
  const shown = query.amount !== '' && !error ? data : undefined;
  const f = shown?.figures;
  const [first = '', second = ''] = product?.parts ?? [];
  const now = (part: 'base' | 'hardener') =>
    f?.[
      (part === 'base') === secondFirst && f['now.second'] ? 'now.second' : (`now.${part}` as const)
    ];
  const takeRatio = (typed: string) => {
    setRatio(typed);
    setMeant(false);
  };
  return (
    <div className="page">
      <PageHead />
      <main className="mixnow">
        <h1>Mix now</h1>
        {product && (
          <p className="sentence">
            Of{' '}
            <Pick
              name="product"
              options={offered.map((p) => p.id)}
              text={(id) => offered.find((p) => p.id === id)?.name ?? ''}
              value={product.id}
              choose={(id) => {
                setChosen(id);
                takeRatio('');
                setPoured('');
              }}
            />{' '}
            <label>
              <span className="visually-hidden">how much</span>
              <input
                className="word"
                value={amount}
                placeholder="350 g or 600 mL"
                autoFocus
                onChange={(e) => {
                  setAmount(e.target.value);
                  // what was poured was poured of another mix
                  setPoured('');
                }}
              />
            </label>
            , mixed{' '}
            <label>
              <span className="visually-hidden">ratio</span>
              <input
                className="word"
                value={ratio}
                placeholder="as the sheet says"
                onChange={(e) => takeRatio(e.target.value)}
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
        {shown?.stop && (
          <div role="alert">
            <p className="refusal">{shown.stop} Which is it?</p>
            <p>
              <Button size="sm" onClick={() => takeRatio('')}>
                Use the sheet’s
              </Button>{' '}
              <Button size="sm" variant="outline-primary" onClick={() => setMeant(true)}>
                I mean {query.ratio}
              </Button>
            </p>
          </div>
        )}
        {f && !shown.stop && (
          <div className={isPlaceholderData ? 'stale' : ''}>
            <dl className="large">
              {(secondFirst
                ? (['hardener', 'base'] as const)
                : (['base', 'hardener'] as const)
              ).map((part) => (
                <Part key={part} name={part === 'base' ? first : second} figure={now(part)} />
              ))}
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
              <Pick
                name="goes in first"
                options={[0, 1]}
                text={(i) => (i === 0 ? first : second)}
                value={secondFirst ? 1 : 0}
                choose={(i) => {
                  setSecondFirst(i === 1);
                  setPoured('');
                }}
              />{' '}
              goes in first; really poured of it{' '}
              <label>
                <span className="visually-hidden">really poured of it</span>
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

function Part({
  name,
  figure,
}: {
  name: string;
  figure: Parameters<typeof FigureText>[0]['figure'];
}) {
  return (
    <>
      <dt>{figure?.key === 'now.second' ? `${name}, now` : name}</dt>
      <dd>
        <FigureText figure={figure} lone />
      </dd>
    </>
  );
}
