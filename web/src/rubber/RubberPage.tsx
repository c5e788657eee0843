import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import { NavLink, useNavigate, useParams } from 'react-router-dom';
import { client, unwrap, type Edit, type Product } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { useInTurn } from '../ui/useInTurn';
import { Word } from '../ui/Word';
import { WordContext } from '../ui/words';
import { productsQuery } from './productsQuery';

export function RubberPage() {
  const { product: chosen } = useParams();
  const { data: products } = useQuery(productsQuery);
  const queries = useQueryClient();
  const go = useNavigate();
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
  return (
    <div className="page">
      <PageHead />
      <main className="sheetpage">
        <div>
          <div className="bar">
            <h1>Rubber</h1>
            <Button size="sm" style={{ marginLeft: 'auto' }} onClick={() => void add()}>
              New sheet
            </Button>
          </div>
          <ul aria-label="Rubbers">
            {products?.map((p) => (
              <li key={p.id}>
                <NavLink
                  to={`/rubber/${p.id}`}
                  aria-current={p.id === product?.id ? 'page' : undefined}
                >
                  {p.name}
                  <br />
                  <span className="small quiet">
                    {p.summary}
                    {p.shipped ? ' · example' : ''}
                    {p.retired ? ' · retired' : ''}
                  </span>
                </NavLink>
              </li>
            ))}
          </ul>
        </div>
        {product && (
          <Sheet
            key={product.id}
            product={product}
            copy={() => void add(product.id)}
            retire={() => void retire(product)}
          />
        )}
      </main>
    </div>
  );
}

interface SheetProps {
  product: Product;
  copy: () => void;
  retire: () => void;
}

function Sheet({ product, copy, retire }: SheetProps) {
  const queries = useQueryClient();
  const inTurn = useInTurn();
  const desk = useMemo(() => {
    const send = async (edits: Edit[]) => {
      // an answer asked for before the change must not arrive after it
      await queries.cancelQueries({ queryKey: productsQuery.queryKey });
      const all = queries.getQueryData(productsQuery.queryKey) ?? [];
      const version = all.find((p) => p.id === product.id)?.version ?? product.version;
      const next = await unwrap(
        client.POST('/api/products/{id}/edits', {
          params: { path: { id: product.id } },
          body: { version, edits },
        }),
      );
      queries.setQueryData(productsQuery.queryKey, (old) =>
        old?.map((p) => (p.id === next.id ? next : p)),
      );
    };
    const edit = (edits: Edit[]) => inTurn(() => send(edits));
    return {
      words: product.words,
      write: (word: string, text: string) => edit([{ word, text }]),
      nudge: (word: string, nudge: number) => edit([{ word, nudge }]).catch(() => undefined),
      readOnly: product.shipped,
    };
  }, [product, queries, inTurn]);
  return (
    <WordContext.Provider value={desk}>
      <article>
        <div className="bar">
          <h2>
            <Word k="name" />
          </h2>
          <span style={{ marginLeft: 'auto', display: 'flex', gap: '0.4rem' }}>
            <Button size="sm" variant="outline-primary" onClick={copy}>
              Copy
            </Button>
            <Button size="sm" variant="outline-primary" onClick={retire}>
              {product.retired ? 'Bring back' : 'Retire'}
            </Button>
          </span>
        </div>
        {product.shipped && (
          <p className="small quiet">A made-up example. Copy it to enter a product of your own.</p>
        )}
        <p className="sentence">
          <Word k="chemistry" after="," /> <Word k="hardness" /> on the <Word k="scale" /> scale,{' '}
          <Word k="colour" /> and <Word k="clear" after="." />
        </p>
        <h3>Mixing</h3>
        <p className="sentence">
          <Word k="ratio" />
          {product.sentence && <>: {product.sentence}</>}. Stated a second way:{' '}
          <Word k="ratioAlso" after="." />
        </p>
        {product.contradiction && (
          <p className="refusal" role="alert">
            The two ratios do not agree with the densities below. Look at the sheet again: which
            part is the heavier one?
          </p>
        )}
        <p className="sentence">
          Density of the base <Word k="densityBase" after="," /> of the hardener{' '}
          <Word k="densityHardener" />, mixed <Word k="densityMixed" after="." /> Viscosity mixed{' '}
          <Word k="viscosityPas" after="." />
        </p>
        <h3>Time</h3>
        <p className="sentence">
          Pot life <Word k="potLifeMin" after="," /> to open after <Word k="demouldMin" after="," />{' '}
          at <Word k="atC" after=";" /> <Word k="rateFactor" /> times faster for every 10 °C.
        </p>
        <h3>Cured</h3>
        <p className="sentence">
          Stretches <Word k="elongationPct" /> before it breaks, tears at{' '}
          <Word k="tearKnPerM" after="," /> shrinks <Word k="shrinkagePct" after="," /> takes casts
          up to <Word k="heatLimitC" after="." />
        </p>
        <h3>Bought</h3>
        <p className="sentence">
          <Word k="packs" after="." />
        </p>
        <p className="sentence">
          Notes: <Word k="notes" />
        </p>
        {product.gaps.length > 0 && (
          <div className="part">
            <h3>What this sheet leaves out</h3>
            <ul>
              {product.gaps.map((g) => (
                <li key={g}>{g}</li>
              ))}
            </ul>
          </div>
        )}
      </article>
    </WordContext.Provider>
  );
}
