import Button from 'react-bootstrap/Button';
import { figureOf, type Job } from '../../api/client';
import { FigureText } from '../../ui/FigureText';
import { Pick } from '../../ui/Pick';
import { Word } from '../../ui/Word';
import { big } from '../../ui/big';
import { CoatStrip } from './CoatStrip';
import type { JobDesk } from '../useJob';

interface Props {
  job: Job;
  desk: JobDesk;
}

/** A skin brushed on in coats, and the jacket that holds it. */
export function SkinParts({ job, desk }: Props) {
  const f = job.figures;
  const { skin } = job;
  return (
    <>
      <p className="sentence">
        <span className="capital">
          <Word k="mould.kind" after="," />
        </span>{' '}
        brushed on to a wall{job.words['skin.wallMm']?.unset ? '' : ' of'} <Word k="skin.wallMm" />
        {f['skin.wall'] && job.words['skin.wallMm']?.unset && (
          <>
            {' '}
            <span className="together">
              (<FigureText figure={f['skin.wall']} />)
            </span>
          </>
        )}
        : a detail coat of <Word k="skin.detailMm" after="," /> build coats of up to{' '}
        <Word k="skin.buildMm" after="," />{' '}
        <Word k="skin.thickener" options={job.thickeners} after="," /> of{' '}
        <Word
          k="skin.buildProduct"
          options={[
            { value: '', text: 'the same rubber' },
            ...[...job.rubbers, ...job.sealants].map((r) => ({
              value: r.id,
              text: r.name,
              note: r.summary,
            })),
          ]}
          after=","
        />{' '}
        and a smoothing coat of <Word k="skin.smoothingMm" after="." /> Cloth
        {job.words['skin.clothAfter']?.unset ? ': ' : ' goes on after '}
        <Word k="skin.clothAfter" after="." /> The rubber runs <Word k="skin.flangeMm" /> out over
        the board, and <Word k="skin.lossPct" /> more is lost in brush, pot and drips.
      </p>
      {skin ? (
        <>
          <Coats job={job} skin={skin} />
          <Clock job={job} skin={skin} desk={desk} />
          <Off job={job} skin={skin} desk={desk} />
          {f['jacket.sections'] && <Jacket job={job} skin={skin} desk={desk} />}
          <Site job={job} />
        </>
      ) : (
        <p>
          {job.hasShape
            ? 'What each coat takes is being worked out …'
            : 'The skin follows the master. Give its shape on the Master stage.'}
        </p>
      )}
    </>
  );
}

type Skin = NonNullable<Job['skin']>;

/** Every coat with its rubber, and what surface times thickness would have said. */
function Coats({ job, skin }: { job: Job; skin: Skin }) {
  const f = job.figures;
  const weighed = f['coat.1.mass'] !== undefined;
  return (
    <section className="part" aria-label="Coats">
      <table className="compare coats">
        <thead>
          <tr>
            <th scope="col">Coat</th>
            <th scope="col" className="n">
              Thick
            </th>
            <th scope="col" className="n">
              Rubber
            </th>
            <th scope="col" className="n">
              Area × thick
            </th>
            {weighed && (
              <th scope="col" className="n">
                To mix
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {skin.coats.map((c) => (
            <tr key={c.key}>
              <th scope="row">
                {c.number} {c.name}
                {c.cloth && <em>, cloth</em>}
                {c.rubber && <span className="small quiet"> {c.rubber}</span>}
              </th>
              <td className="n" data-label="Thick">
                {c.thickness}
              </td>
              <td className="n" data-label="Rubber">
                <FigureText figure={f[`coat.${c.number}.volume`]} />
              </td>
              <td className="n" data-label="Area × thick">
                <FigureText figure={f[`coat.${c.number}.flat`]} />
              </td>
              {weighed && (
                <td className="n" data-label="To mix">
                  {f[`coat.${c.number}.base`] ? (
                    <>
                      <FigureText figure={f[`coat.${c.number}.base`]} />
                      {f[`coat.${c.number}.hardener`] && (
                        <>
                          {' '}
                          + <FigureText figure={f[`coat.${c.number}.hardener`]} />
                        </>
                      )}
                    </>
                  ) : (
                    'its sheet gives no ratio'
                  )}
                  {f[`coat.${c.number}.thickener`] && (
                    <>
                      {' '}
                      + <FigureText figure={f[`coat.${c.number}.thickener`]} />
                    </>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="sentence">
        <FigureText figure={f['skin.area']} /> to be brushed
        {f['skin.steep'] && (
          <>
            , <FigureText figure={f['skin.steep']} /> of it steeper than 60°
          </>
        )}
        {f['skin.most'] && (
          <>
            ; a coat thicker than <FigureText figure={f['skin.most']} /> runs off an upright wall
          </>
        )}
        . The skin is at least <FigureText figure={f['skin.thinnest']} /> thick. The flange takes{' '}
        <FigureText figure={f['skin.flange']} />
        {f['skin.plugs'] && (
          <>
            ; <FigureText figure={f['skin.plugs']} /> of clay fill recesses
          </>
        )}
        {f['skin.pieces'] && (
          <>
            ; cloth: <FigureText figure={f['skin.pieces']} />,{' '}
            <FigureText figure={f['skin.cloth']} />
          </>
        )}
        .
      </p>
    </section>
  );
}

/** When each coat goes on. */
function Clock({ job, skin, desk }: { job: Job; skin: Skin; desk: JobDesk }) {
  const f = job.figures;
  return (
    <section className="part" aria-label="When the coats go on">
      <h2>Coat on coat</h2>
      <p className="sentence">
        Each goes on <Word k="skin.recoat" after={f['skin.window'] ? ',' : '.'} />{' '}
        {f['skin.window'] && (
          <>
            <FigureText figure={f['skin.window']} />
            {f['skin.buildWindow'] && (
              <>
                , on a build coat <FigureText figure={f['skin.buildWindow']} />
              </>
            )}
            .{' '}
          </>
        )}
        {f['skin.hands'] && (
          <>
            Work at the brush: <FigureText figure={f['skin.hands']} />.{' '}
          </>
        )}
        {f['skin.cured'] && (
          <>
            Cured after <FigureText figure={f['skin.cured']} />.
          </>
        )}
      </p>
      {skin.clock ? (
        <>
          <CoatStrip clock={skin.clock} />
          <Gaps skin={skin} desk={desk} />
        </>
      ) : (
        <p className="quiet">
          Choose a rubber whose sheet gives its times to see when each coat goes on.
        </p>
      )}
    </section>
  );
}

/** How each coat follows the one before, and what is done when that is missed. */
function Gaps({ skin, desk }: { skin: Skin; desk: JobDesk }) {
  const text = (value: string) => skin.gaps.find((g) => g.value === value)?.text ?? value;
  const values = skin.gaps.map((g) => g.value);
  return (
    <table className="compare gaps">
      <thead>
        <tr>
          <th scope="col">After coat</th>
          <th scope="col">the next goes on</th>
          <th scope="col" className="n">
            from and until
          </th>
        </tr>
      </thead>
      <tbody>
        {(skin.clock?.coats ?? []).slice(0, -1).map((b, i) => {
          const gap = skin.coats[i]?.gap ?? '';
          return (
            <tr key={b.number} title={b.missed}>
              <th scope="row">{b.number}</th>
              <td>
                <Pick
                  name={`after coat ${b.number}`}
                  options={values}
                  text={text}
                  value={gap}
                  choose={(how) => {
                    desk.apply([{ word: 'skin.gap', text: `${b.number} ${how}` }]);
                  }}
                />
              </td>
              <td className="n">{b.window}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** How the skin is taken off. */
function Off({ job, skin, desk }: { job: Job; skin: Skin; desk: JobDesk }) {
  const f = job.figures;
  const asks = job.words['skin.opening']?.unset;
  return (
    <section className="part" aria-label="Taking the skin off">
      <h2>Off the master</h2>
      <p className="sentence">
        The skin <Word k="skin.opening" />
        {asks && `: it ${skin.off}`}
        {f['skin.stretch'] && (
          <>
            . Pulled up whole it would stretch by <FigureText figure={f['skin.stretch']} />
          </>
        )}
        {f['skin.cut'] && (
          <>
            ; cut, it opens <Word k="cut.towardsDegrees" after="," />{' '}
            <FigureText figure={f['skin.cut']} /> from the base to the top
          </>
        )}
        .
      </p>
      {f['skin.plugs'] && (
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => desk.apply([{ word: 'skin.open', text: '' }])}
        >
          Take the clay out of the recesses
        </Button>
      )}
    </section>
  );
}

/** What holds the skin in shape. */
function Jacket({ job, skin, desk }: { job: Job; skin: Skin; desk: JobDesk }) {
  const f = job.figures;
  const layered = job.words['jacket.kind']?.value;
  const rows = [
    ...skin.needs,
    'jacket.thick',
    'jacket.mass',
    'jacket.withSkin',
    'jacket.cost',
    'jacket.hands',
    'jacket.ready',
  ]
    .map((key) => figureOf(f, key))
    .filter((figure) => figure !== undefined);
  return (
    <section className="part" aria-label="Jacket">
      <h2>Jacket</h2>
      <p className="sentence">
        It is of <Word k="jacket.kind" after="," />{' '}
        {layered === 'BANDAGE' || layered === 'LAMINATE' ? (
          <>
            with <Word k="jacket.layers" />
          </>
        ) : (
          <>
            <Word k="jacket.thickMm" />
            {job.words['jacket.thickMm']?.unset ? '' : ' thick'}
          </>
        )}
        , and comes off in <Word k="jacket.sections" />
        {job.words['jacket.sections']?.unset && (
          <>
            {' '}
            <span className="together">
              (<FigureText figure={f['jacket.sections']} />)
            </span>
          </>
        )}{' '}
        with <Word k="jacket.relief" after=";" />{' '}
        {skin.partings.length > 0 && (
          <>
            the first parting runs towards <Word k="jacket.turnDegrees" after="." /> Its flanges
            stand out <Word k="jacket.flangeMm" after="," /> with a bolt every{' '}
            <Word k="jacket.boltMm" after=":" /> <FigureText figure={f['jacket.bolts']} /> along{' '}
            <FigureText figure={f['jacket.seam']} /> of seam.{' '}
          </>
        )}
        Of the outside, <FigureText figure={f['jacket.locked']} /> stays locked. The skin finds its
        place in the jacket by <Word k="jacket.locators" />
        {f['jacket.locators'] && (
          <>
            , <FigureText figure={f['jacket.locators']} />
          </>
        )}
        .
      </p>
      <table className="compare">
        <tbody>
          {rows.map((figure) => (
            <tr key={figure.key}>
              <td>{big(figure.label)}</td>
              <td className="n">
                <FigureText figure={figure} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {skin.moved && (
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => desk.apply([{ word: 'jacket.even', text: '' }])}
        >
          Divide it where it is best
        </Button>
      )}
    </section>
  );
}

/** Where the work is done, and what has to be carried there. */
function Site({ job }: { job: Job }) {
  const f = job.figures;
  const place = job.words['site.place']?.value;
  return (
    <section className="part" aria-label="Where it is built">
      <h2>Where</h2>
      <p className="sentence">
        It is built <Word k="site.place" after={place === 'WORKSHOP' ? '.' : ','} />{' '}
        {place === 'OUTDOORS' && (
          <>
            in <Word k="site.wind" after="," />{' '}
          </>
        )}
        {place !== 'WORKSHOP' && (
          <>
            <Word k="site.degreesC" after="," /> with <Word k="site.tripG" /> carried at a time
            {f['site.trips'] && (
              <>
                : <FigureText figure={f['site.trips']} />, the heaviest bucket{' '}
                <FigureText figure={f['site.bucket']} />
              </>
            )}
            .
          </>
        )}
      </p>
    </section>
  );
}
