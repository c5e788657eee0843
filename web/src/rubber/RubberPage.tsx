import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, NavLink, useNavigate, useParams } from 'react-router-dom';
import { client, Problem, unwrap, type Product } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { Notice } from '../ui/Notice';
import { useDrop } from '../ui/useDrop';
import { DataSheet } from './DataSheet';
import { Lots } from './Lots';
import { Missing } from '../ui/Missing';
import { NotRead } from '../ui/NotRead';
import { productsQuery, stockQuery } from './productsQuery';

const ROLES: Record<Product['role'], string> = {
  RUBBER: 'Mould rubbers',
  SEALANT: 'Sealants for backing',
  RESIN: 'Casting resins',
  PLASTER: 'Plasters',
  WAX: 'Waxes',
  FILLER: 'Fillers',
  RELEASE: 'Releases',
  SEALER: 'Sealers',
};

/** Everything on the rubber shelf: its sheets, and what there is of it. */
export function RubberPage() {
  const { product: chosen } = useParams();
  const sheets = useQuery(productsQuery);
  const packs = useQuery(stockQuery);
  const products = sheets.data;
  const stock = packs.data?.products;
  const queries = useQueryClient();
  const go = useNavigate();
  const [said, setSaid] = useState<{ text: string; well: boolean } | null>(null);
  const file = useRef<HTMLInputElement>(null);
  useTitle('Rubber');
  const product = products?.find((p) => p.id === chosen) ?? products?.[0];

  const again = () => queries.invalidateQueries({ queryKey: productsQuery.queryKey });
  const add = async (copyOf?: string) => {
    const made = await unwrap(client.POST('/api/products', { body: copyOf ? { copyOf } : {} }));
    await again();
    await go(`/rubber/${made.id}`);
  };
  const retire = async (p: Product) => {
    await unwrap(
      client.POST('/api/products/{id}/retired', {
        params: { path: { id: p.id }, query: { retired: !p.retired } },
      }),
    );
    await again();
  };
  const takeIn = async (table: File) => {
    try {
      const { added, changed, same } = await unwrap(
        client.POST('/api/products/imported', { body: { text: await table.text() } }),
      );
      await again();
      const there = same > 0 ? `, ${same} there already` : '';
      const text = `${table.name}: ${added} new, ${changed} brought up to date${there}.`;
      setSaid({ text, well: true });
    } catch (e) {
      setSaid({ text: `${table.name}: ${e instanceof Problem ? e.message : ''}`, well: false });
    }
  };
  const over = useDrop((f) => void takeIn(f));
  return (
    <div className="page">
      <PageHead />
      <main className={`sheetpage${over ? ' over' : ''}`}>
        <div>
          <div className="bar">
            <h1>Rubber</h1>
            <Button size="sm" style={{ marginLeft: 'auto' }} onClick={() => void add()}>
              New sheet
            </Button>
          </div>
          <p className="small">
            <Link to="/shopping">What to buy</Link> · <Link to="/together">Pour together</Link>
          </p>
          <NotRead what="The sheets" error={sheets.error} again={sheets.refetch} />
          <NotRead what="The stock" error={packs.error} again={packs.refetch} />
          <Missing missing={packs.data?.missing} />
          {Object.entries(ROLES).map(([role, title]) => {
            const of = products?.filter((p) => p.role === role) ?? [];
            return (
              of.length > 0 && (
                <section key={role}>
                  <h2 id={`role-${role}`}>{title}</h2>
                  <ul aria-labelledby={`role-${role}`}>
                    {of.map((p) => (
                      <li key={p.id}>
                        <NavLink
                          to={`/rubber/${p.id}`}
                          aria-current={p.id === product?.id ? 'page' : undefined}
                        >
                          {p.name}
                          <br />
                          <span className="small quiet">
                            {p.summary}
                            {p.retired ? ' · retired' : ''}
                          </span>
                          <Low of={stock?.find((s) => s.product === p.id)} />
                        </NavLink>
                      </li>
                    ))}
                  </ul>
                </section>
              )
            );
          })}
          <p className="small quiet">
            Sheets come in and go out as a table, one row a product:{' '}
            <button type="button" className="figure" onClick={() => file.current?.click()}>
              take a file in
            </button>
            , or drop it here; save all <a href="/api/products/table.csv">as CSV</a> or{' '}
            <a href="/api/products/table.json">as JSON</a>. What there is of them:{' '}
            <a href="/api/stock/table.csv">packs as CSV</a>.
          </p>
          <input
            ref={file}
            type="file"
            accept=".csv,.json"
            hidden
            aria-label="Sheets to take in"
            onChange={(e) => {
              const sheets = e.target.files?.[0];
              e.target.value = '';
              if (sheets) {
                void takeIn(sheets);
              }
            }}
          />
        </div>
        <div>
          {said && <Notice text={said.text} said={said.well} close={() => setSaid(null)} />}
          {product && (
            <>
              <DataSheet
                key={product.id}
                product={product}
                copy={() => void add(product.id)}
                retire={() => void retire(product)}
              />
              <Lots
                key={`lots-${product.id}`}
                product={product}
                stock={stock?.find((s) => s.product === product.id)}
              />
            </>
          )}
        </div>
      </main>
    </div>
  );
}

/** Whether a product runs low or is over, in a word. */
function Low({ of }: { of: { low: boolean; lots: { keeping: string }[] } | undefined }) {
  if (!of || of.lots.length === 0) {
    return null;
  }
  const keeping = of.lots.map((l) => l.keeping);
  const words = [
    of.low && 'low',
    keeping.includes('OVER') && 'over its date',
    keeping.includes('SOON') && 'soon over its date',
  ].filter(Boolean);
  return words.length > 0 ? <span className="small count CHECK"> · {words.join(', ')}</span> : null;
}
