import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState, type SyntheticEvent } from 'react';
import Button from 'react-bootstrap/Button';
import {
  client,
  Problem,
  unwrap,
  type Edit,
  type Lot,
  type Product,
  type StockOf,
} from '../api/client';
import { FigureText } from '../ui/FigureText';
import { Notice } from '../ui/Notice';
import { Word } from '../ui/Word';
import { useWordDesk } from '../ui/useWordDesk';
import { WordContext } from '../ui/words';
import { stockQuery } from './productsQuery';

/** The packs of a product on the shelf. */
export function Lots({ product, stock }: { product: Product; stock: StockOf | undefined }) {
  const queries = useQueryClient();
  const [gone, setGone] = useState<string | null>(null);
  const again = () => queries.invalidateQueries({ queryKey: stockQuery.queryKey });
  const [mass, setMass] = useState(product.pack);
  const [refused, setRefused] = useState('');
  const add = async (e: SyntheticEvent) => {
    e.preventDefault();
    try {
      await unwrap(client.POST('/api/stock', { body: { product: product.id, mass } }));
      setRefused('');
      await again();
    } catch (problem) {
      setRefused(problem instanceof Problem ? problem.message : '');
    }
  };
  const take = async (id: string, off: boolean) => {
    await unwrap(
      client.POST('/api/stock/{id}/gone', { params: { path: { id }, query: { gone: off } } }),
    );
    setGone(off ? id : null);
    await again();
  };
  const lots = stock?.lots ?? [];
  return (
    <section className="part lots" aria-label="On the shelf">
      <h2>On the shelf</h2>
      <form className="sentence" onSubmit={(e) => void add(e)}>
        A pack of{' '}
        <input
          className="word"
          size={8}
          aria-label="mass of the pack"
          placeholder="1 kg"
          value={mass}
          onChange={(e) => setMass(e.target.value)}
        />{' '}
        <Button size="sm" type="submit" variant="outline-primary">
          came in
        </Button>
      </form>
      {refused && (
        <p className="refusal" role="alert">
          {refused}
        </p>
      )}
      {gone && (
        <Notice
          said
          text="The pack is off the shelf."
          action={{ label: 'Put it back', run: () => void take(gone, false) }}
          close={() => setGone(null)}
        />
      )}
      {lots.length === 0 ? (
        <p className="quiet">None recorded. Batches are subtracted only once a pack is recorded.</p>
      ) : (
        <>
          <p>
            <FigureText figure={stock?.usable} /> can be mixed of it
            {stock?.needed && `; the open jobs still need ${stock.needed}`}.
            {stock?.low && <span className="count CHECK"> It runs low.</span>}
          </p>
          <table className="compare">
            <thead>
              <tr>
                <th scope="col">Lot</th>
                <th scope="col" className="n">
                  Left{product.kit && `, ${product.parts.join(' + ')}`}
                </th>
                <th scope="col">Received</th>
                <th scope="col">Opened</th>
                <th scope="col">Use by, printed</th>
                <th scope="col">Good until</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {lots.map((l) => (
                <Row key={l.id} lot={l} product={product} off={() => void take(l.id, true)} />
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}

const KEEPING = { FINE: '', SOON: 'soon over', OVER: 'over' } as const;

function Row({ lot, product, off }: { lot: Lot; product: Product; off: () => void }) {
  const queries = useQueryClient();
  const { id, version: seen } = lot;
  const send = useCallback(
    async (edits: Edit[]) => {
      const now = queries.getQueryData(stockQuery.queryKey)?.products.flatMap((s) => s.lots);
      const version = now?.find((l) => l.id === id)?.version ?? seen;
      try {
        await unwrap(
          client.POST('/api/stock/{id}/edits', {
            params: { path: { id } },
            body: { version, edits },
          }),
        );
      } finally {
        await queries.invalidateQueries({ queryKey: stockQuery.queryKey });
      }
    },
    [queries, id, seen],
  );
  const desk = useWordDesk(`pack ${lot.id}`, lot.words, send);
  return (
    <WordContext.Provider value={desk}>
      <tr>
        <th scope="row">
          <Word k="number" />
        </th>
        <td className="n" data-label="Left">
          <Word k="baseLeftG" />
          {product.kit && (
            <>
              {' '}
              + <Word k="hardenerLeftG" />
            </>
          )}
        </td>
        <td data-label="Received">
          <Word k="received" />
        </td>
        <td data-label="Opened">
          <Word k="opened" />
        </td>
        <td data-label="Use by, printed">
          <Word k="useBy" />
        </td>
        <td className={lot.keeping === 'FINE' ? '' : 'count CHECK'} data-label="Good until">
          {lot.until || 'not known'}
          {KEEPING[lot.keeping] && `, ${KEEPING[lot.keeping]}`}
        </td>
        <td>
          <button type="button" className="figure" onClick={off}>
            used up
          </button>
        </td>
      </tr>
      {lot.drift && (
        <tr>
          <td colSpan={7} className="count CHECK">
            {lot.drift}
          </td>
        </tr>
      )}
    </WordContext.Provider>
  );
}
