import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router-dom';
import { client, unwrap, type Edit, type Product, type WordKey } from '../api/client';
import { Word } from '../ui/Word';
import { useWordDesk } from '../ui/useWordDesk';
import { WordContext } from '../ui/words';
import { productsQuery } from './productsQuery';

interface Props {
  product: Product;
  copy: () => void;
  retire: () => void;
}

/** One line of a data sheet: what it states, and where. */
type Line = [name: string, word: WordKey];

/** What goes into the cup, or on with the brush, by what the product is for. */
function handling({ role, parts }: Product): Line[] {
  const [first = '', second = ''] = parts;
  const lines: Line[] =
    parts.length > 0
      ? [
          ['Ratio', 'ratio'],
          ['… stated a second way', 'ratioAlso'],
          [`Density, ${first}`, 'densityBase'],
          [`Density, ${second}`, 'densityHardener'],
          ['Density, mixed', 'densityMixed'],
          ['Viscosity, mixed', 'viscosityPas'],
        ]
      : [['Density', 'densityMixed']];
  if (role === 'RUBBER') {
    lines.push(['Thickener, at most', 'thickenPct'], ['Thinner, at most', 'thinPct']);
  } else if (role === 'FILLER') {
    lines.push(['Stirred in, at most', 'fillPct']);
  } else if (role === 'WAX') {
    lines.push(['Viscosity, molten', 'viscosityPas']);
  } else if (role === 'RELEASE' || role === 'SEALER') {
    lines.push(['Coats', 'coats'], ['Each dry after', 'dryMin']);
  }
  return parts.length > 0 ? [...lines, ['Shake first', 'shake']] : lines;
}

function times({ role, parts }: Product): Line[] {
  if (parts.length === 0) {
    return [];
  }
  const lines: Line[] = [
    ['Pot life', 'potLifeMin'],
    ['Demould after', 'demouldMin'],
    ['These hold at', 'atC'],
    ['Times faster per 10 °C', 'rateFactor'],
  ];
  if (role === 'RUBBER') {
    lines.splice(2, 0, ['No longer runs after', 'gelMin'], ['Sticky until', 'openMin']);
    lines.push(['Grades of catalyst', 'catalysts']);
  } else if (role === 'RESIN') {
    lines.push(['Pot life × for ten times the mass', 'massFactor']);
  }
  return lines;
}

function cured({ role, cast }: Product): Line[] {
  if (role === 'RUBBER') {
    return [
      ['Elongation at break', 'elongationPct'],
      ['Tear strength', 'tearKnPerM'],
      ['Linear shrinkage', 'shrinkagePct'],
      ['Takes casts up to', 'heatLimitC'],
    ];
  }
  return cast
    ? [
        ['Linear shrinkage', 'shrinkagePct'],
        ['Gets as hot as', 'peakC'],
        ['Foams up', 'riseTimes'],
      ]
    : [];
}

const BOUGHT: Line[] = [
  ['Packs', 'packs'],
  ['Keeps unopened', 'shelfDays'],
  ['Keeps once opened', 'openedDays'],
];

/** The data sheet of a product. What it leaves out stays open, with what that costs. */
export function DataSheet({ product, copy, retire }: Props) {
  const desk = useSheetDesk(product);
  return (
    <WordContext.Provider value={desk}>
      <article className="datasheet">
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
        <p className="sentence">
          A <Word k="role" after=":" /> <Word k="chemistry" after="," />{' '}
          {(product.role === 'RUBBER' || product.role === 'RESIN') && (
            <>
              <Word k="hardness" /> on the <Word k="scale" /> scale,{' '}
            </>
          )}
          <Word k="colour" /> and <Word k="clear" after="." />
        </p>
        {product.sentence && (
          <p className="reading">
            {product.sentence.charAt(0).toUpperCase() + product.sentence.slice(1)}.
          </p>
        )}
        {product.contradiction && (
          <p className="refusal" role="alert">
            The two ratios do not agree with the densities. Look at the sheet again: which part is
            the heavier one?
          </p>
        )}
        <div className="states">
          <Lines title={product.parts.length > 0 ? 'Mixing' : 'Use'} lines={handling(product)} />
          <Lines title="Bought and kept" lines={BOUGHT} />
          <Lines title="Time" lines={times(product)} />
          <Lines title={product.role === 'RUBBER' ? 'Cured' : 'Cast'} lines={cured(product)} />
        </div>
        <p className="sentence">
          Notes: <Word k="notes" />
        </p>
        {product.gaps.length > 0 && (
          <div className="part">
            <h3>What this sheet leaves out</h3>
            <ul className="gaps">
              {product.gaps.map((g) => (
                <li key={g}>{g}</li>
              ))}
            </ul>
          </div>
        )}
        {product.substitutes.length > 0 && (
          <p>
            Instead of it:{' '}
            {product.substitutes.map((s, i) => (
              <span key={s.product}>
                {i > 0 && '; '}
                <Link to={`/rubber/${s.product}`}>{s.name}</Link> ({s.text})
              </span>
            ))}
            .
          </p>
        )}
        {product.shipped && (
          <p className="small quiet">A made-up example. Copy it to enter a product of your own.</p>
        )}
      </article>
    </WordContext.Provider>
  );
}

function Lines({ title, lines }: { title: string; lines: Line[] }) {
  if (lines.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{title}</h3>
      <dl>
        {lines.map(([name, word]) => (
          <div key={word}>
            <dt>{name}</dt>
            <dd>
              <Word k={word} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The words of a sheet, saved as they are written; those of an example only read. */
function useSheetDesk({ id, version: seen, words, shipped }: Product) {
  const queries = useQueryClient();
  const send = useCallback(
    async (edits: Edit[]) => {
      // an answer asked for before the change must not arrive after it
      await queries.cancelQueries({ queryKey: productsQuery.queryKey });
      const all = queries.getQueryData(productsQuery.queryKey) ?? [];
      const version = all.find((p) => p.id === id)?.version ?? seen;
      const next = await unwrap(
        client.POST('/api/products/{id}/edits', {
          params: { path: { id } },
          body: { version, edits },
        }),
      );
      queries.setQueryData(productsQuery.queryKey, (old) =>
        old?.map((p) => (p.id === next.id ? next : p)),
      );
    },
    [queries, id, seen],
  );
  return useWordDesk(`sheet ${id}`, words, send, shipped);
}
