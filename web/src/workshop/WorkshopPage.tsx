import { Fragment } from 'react';
import { wordOf } from '../api/client';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';
import { Word } from '../ui/Word';
import { useWordDesk } from '../ui/useWordDesk';
import { useWordInAddress } from '../ui/useWordInAddress';
import { NotRead } from '../ui/NotRead';
import { WordContext } from '../ui/words';
import { Backups } from './Backups';
import { Devices } from './Devices';
import { Learned } from './Learned';
import { useWorkshop } from './useWorkshop';

/** What a mould can be made of, for how many casts it lasts. */
const LASTING = [
  ['addition', 'Addition-cure silicone'],
  ['condensation', 'Condensation-cure silicone'],
  ['urethane', 'Urethane rubber'],
  ['latex', 'Latex'],
] as const;

export function WorkshopPage() {
  const { workshop, error, refetch, send } = useWorkshop();
  useTitle('Workshop');
  const desk = useWordDesk('workshop', workshop?.words, send);
  useWordInAddress(desk !== null);
  return (
    <div className="page">
      <PageHead />
      <main>
        <h1>Workshop</h1>
        <NotRead what="The workshop" error={error} again={refetch} />
        {desk && (
          <WordContext.Provider value={desk}>
            <p className="sentence">
              It is called <Word k="name" after="." /> New jobs are kept in{' '}
              <Word k="units.display" after="," /> with the <Word k="units.gallon" /> where gallons,
              quarts and fluid ounces come in. Prices are in <Word k="currency" after="." /> Sheets
              are printed on <Word k="paper" after="." />
            </p>
            <p className="sentence">
              The room is at <Word k="roomC" after=":" /> pot lives and curing times follow it. Its
              humidity is <Word k="air.humidityPct" after="," /> and it lies{' '}
              <Word k="air.altitudeM" /> above the sea.
            </p>
            <h2 className="part">Habits</h2>
            <p className="sentence">
              Over the volume needed, at least <Word k="allowancePct" /> more is mixed, because a
              short pour leaves a line and the rest cannot be matched.
            </p>
            <p className="sentence">
              Coats go on thicker than asked for by <Word k="coatsPct" after="," /> and so much more
              is mixed for a skin.
            </p>
            <p className="sentence">
              <Word k="cupLossPct" /> of a mix and <Word k="cupLossMm3" /> of every batch stay on
              cup and stick; where that is more, it counts.
            </p>
            <p className="sentence">
              One person stirs at most <Word k="handMixG" /> by hand: more cannot be mixed evenly
              within the pot life.
            </p>
            <p className="sentence">
              Release goes on <Word k="releases" after=";" /> where rubber would bond, always.
            </p>
            <p className="sentence">
              An hour of work counts as {workshop?.words.currency?.text}{' '}
              <Word k="costs.hour" after="," /> consumables of a mould as{' '}
              {workshop?.words.currency?.text} <Word k="costs.consumables" after="." />
            </p>
            <h2 className="part" id="hours">
              Hours of work
            </h2>
            <p className="sentence">
              {workshop?.weekdays.map(({ word, text }) => (
                <Fragment key={word}>
                  {text}s <Word k={wordOf(word)} after="." />{' '}
                </Fragment>
              ))}
              <Word k="hours.people" /> at work at once.
            </p>
            <p className="sentence">
              Days off: <Word k="hours.off" after="." /> Days with other hours:{' '}
              <Word k="hours.dates" after="." /> The clock on the wall is that of{' '}
              <Word k="hours.zone" after="." />
            </p>
            <p className="sentence">
              How warm the room will be: <Word k="hours.forecast" after="." /> Typed as “Tue 18:00
              12 °C; Wed 8:00 20 °C”, it makes cures longer or shorter; without it the room stays as
              above.
            </p>
            <p className="sentence" id="labels">
              Labels of moulds carry a square code. A phone that reads it opens the mould’s page at{' '}
              <Word k="address" after=":" /> what is typed to reach Ungula from there. Until it is
              said, the square holds the mould’s code alone.
            </p>
            <h2 className="part">Equipment</h2>
            <p className="sentence">
              Inside, the pressure pot is <Word k="equipment.potDiameterMm" /> across and{' '}
              <Word k="equipment.potHeightMm" /> high, the vacuum chamber{' '}
              <Word k="equipment.chamberDiameterMm" /> across and{' '}
              <Word k="equipment.chamberHeightMm" /> high. For pressure, the pot is rated up to{' '}
              <Word k="equipment.potKpa" after="," /> its lid{' '}
              <Word k="equipment.lidKpa" after="," /> hose and fittings{' '}
              <Word k="equipment.hoseKpa" after="." /> The wax injector holds{' '}
              <Word k="equipment.waxPotG" after="." /> The cutter’s bed takes{' '}
              <Word k="equipment.bedLengthMm" /> by <Word k="equipment.bedWidthMm" after="." />
            </p>
            <p className="sentence">
              One person lifts <Word k="equipment.liftG" after="," /> and pours from a bucket with
              up to <Word k="equipment.bucketG" /> of rubber.
            </p>
            <h2 className="part">Mixing</h2>
            {(['cup', 'jug', 'bucket'] as const).map((vessel) => (
              <p key={vessel} className="sentence">
                The mixing {vessel} is <Word k={`mixing.${vessel}.bottomMm`} /> across at the
                bottom, <Word k={`mixing.${vessel}.topMm`} /> at the rim and{' '}
                <Word k={`mixing.${vessel}.heightMm`} /> high inside.
              </p>
            ))}
            <p className="sentence">
              The fine scale carries <Word k="mixing.fine.capacityG" /> and tells{' '}
              <Word k="mixing.fine.readG" /> apart, the coarse one{' '}
              <Word k="mixing.coarse.capacityG" /> and <Word k="mixing.coarse.readG" after="." />
            </p>
            <p className="sentence">
              A batch is weighed in <Word k="mixing.pace.measureMin" after="," /> stirred for{' '}
              <Word k="mixing.pace.mixMin" after="," /> scraped over and stirred again in{' '}
              <Word k="mixing.pace.secondCupMin" after="," /> degassed in{' '}
              <Word k="mixing.pace.degasMin" /> and poured at <Word k="mixing.pace.pourMm3PerMin" />{' '}
              a minute; vibrating takes <Word k="mixing.pace.vibrateMin" after="." /> The pump
              reaches <Word k="mixing.vacuum" after="." />
            </p>
            <Devices />
            <h2 className="part">Work by hand</h2>
            <p className="quiet">
              What hours and days are counted with. Rules of thumb to begin with: make them your
              own.
            </p>
            <table className="compare rack">
              <thead>
                <tr>
                  <th scope="col">Work</th>
                  <th scope="col">Takes</th>
                  <th scope="col">With it</th>
                </tr>
              </thead>
              <tbody>
                {workshop?.rates.map(({ word, text, per, reason }) => (
                  <tr key={word}>
                    <td>{text}</td>
                    <td>
                      <Word k={wordOf(word)} /> {per}
                    </td>
                    <td className="quiet">{reason}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <h2 className="part">On the rack</h2>
            <p className="sentence">
              Boxes, frames and pipes to pour in, by their inside: <Word k="boxes" after="." />{' '}
              Where a master fits in, they are offered first.
            </p>
            <table className="compare rack">
              <thead>
                <tr>
                  <th scope="col">Sheet for boxes</th>
                  <th scope="col">A board is</th>
                  <th scope="col">There are</th>
                </tr>
              </thead>
              <tbody>
                {workshop?.sheets.map(({ word, text }) => (
                  <tr key={word}>
                    <td>{text}</td>
                    <td data-label="A board is">
                      <Word k={wordOf(`${word}.lengthMm`)} /> by{' '}
                      <Word k={wordOf(`${word}.widthMm`)} />
                    </td>
                    <td data-label="There are">
                      <Word k={wordOf(`${word}.count`)} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <h2 className="part">Casts a mould gives</h2>
            <p className="quiet">
              Rules of thumb to begin with: make them your own as moulds wear out.
            </p>
            <table className="compare rack">
              <thead>
                <tr>
                  <th scope="col">Cast of</th>
                  {LASTING.map(([of, name]) => (
                    <th scope="col" key={of}>
                      {name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {workshop?.casts.map(({ word, text }) => (
                  <tr key={word}>
                    <td>{text}</td>
                    {LASTING.map(([of, name]) => (
                      <td key={of} data-label={name}>
                        <Word k={wordOf(`${word}.${of}`)} />
                      </td>
                    ))}
                  </tr>
                ))}
                <tr>
                  <td>However often it is used, it keeps</td>
                  {LASTING.map(([of, name]) => (
                    <td key={of} data-label={name}>
                      <Word k={`keeps.${of}`} />
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          </WordContext.Provider>
        )}
        <Learned />
        <Backups />
      </main>
    </div>
  );
}
