import { Fragment } from 'react';
import { Link } from 'react-router-dom';
import { PageHead } from '../app/PageHead';
import { useTitle } from '../app/useTitle';

const TERMS: [string, string][] = [
  ['master', 'the model being moulded; also pattern, original, positive'],
  ['rubber', 'the mixed mould silicone, base and hardener; also RTV, silicone'],
  ['block mould', 'rubber poured round the master in a box; also box mould'],
  ['pour line', 'the height the rubber is poured to'],
  ['dipstick', 'the gauge that ties height to volume and mass'],
  ['wall', 'the rubber between master and box'],
  ['skin mould', 'rubber brushed on in coats, with a jacket; also brush-on, blanket, glove'],
  ['detail coat, build coat', 'the first thin brushed coat; the thickened ones after it'],
  ['jacket', 'stiff shell round a skin; also mother mould, case, shell'],
  ['test patch', 'a dab of the rubber on the master, cured, before the whole is poured'],
  ['inhibition', 'what keeps addition-cure rubber tacky: sulphur, tin, amines, uncured resin'],
  ['release, seal', 'what keeps rubber from bonding; what keeps a master from drinking it'],
  ['grade of catalyst', 'the same base with another hardener: its own dose, its own times'],
  ['lot', 'the number on a pack; packs of one lot were made together'],
  ['lock', 'shape that holds the master in the mould; some say undercut'],
  ['air trap', 'shape that holds air while something is poured; some say undercut too'],
  ['pot life', 'how long the mix can be poured, from first contact of its parts'],
  ['allowance', 'mixed over the volume needed, for what stays behind and what is not known'],
];

const KEYS: [string, string][] = [
  ['1 … 7', 'the stages of a job'],
  ['Tab', 'the next word'],
  ['Enter', 'change the word, or take what is typed'],
  ['Esc', 'leave it as it was'],
  ['↑ ↓', 'nudge the word; with Shift ten times as far'],
  ['Ctrl Z', 'undo; with Shift redo'],
  ['/', 'search the shelf'],
  ['?', 'this page'],
];

export function HelpPage() {
  useTitle('Help');
  return (
    <div className="page">
      <PageHead />
      <main className="help">
        <h1>Help</h1>
        <h2>From model to weighed rubber</h2>
        <p>
          Drop a model file on the shelf. A mould is proposed for it; “Use this” chooses it. Without
          a model, begin a new job and describe the master as a solid, or measure it with water, a
          scale or grain. You can change every word that is underlined in red. Click a number to see
          its working. Drag the pour line on the dipstick. Choose a rubber, read what to weigh,
          print the sheet and take it to the bench.
        </p>
        <h2>Days</h2>
        <p>
          The stage Days puts every step into your hours of work. Drag the red mark, or type when it
          is begun: it says what that costs. Dark is your hands, hatched is what the mould does by
          itself; a green line marks what decides the finish. “Come back at” says when you are
          needed next. A job whose beginning is said takes its place on the page Days, where all
          jobs share one bench. Hours, days off and how warm the room will be are on the Workshop
          page. Typed lists of days are parted by semicolons.
        </p>
        <h2>Bench</h2>
        <p>
          The stage Bench begins a mould and shows one step at a time. Nothing has to be typed while
          a scale is heard; the space bar or any key of a foot switch is the large key at the
          bottom. When the plan is changed meanwhile, the stage says what would be another, and “Go
          on by the new plan” takes it: what is begun is finished as it was. Where another mould
          waits for the same rubber, one cup may be weighed for both. Look back at a step to strike
          out what was wrong. Scale, gauge and room are named on the Workshop page. To try it first,
          take one of the <Link to="/exercises">exercises</Link>.
        </p>
        <h2>How it lies to be cast in</h2>
        <p>
          Air leaves a mould only where it can rise to a way out. On the stage Mould, “Ways to lay
          it to be cast in” tries the mould on the sides it can lie on, level and tipped, and says
          for each which vents it asks for, through how much rubber they go, what air is left, and
          what holds it so. “Show it as it is cast” lays it so in the solid view; “Watch a cast fill
          it” shows the level climb as it lies, what air stays behind, and where the last of it
          arrives; “A cast” says when, and a thin branch that gels before it is full is named.
          Vents, pot, what presses a parting open and the steps go by how it lies. Where a mould
          parts upright, its vents run in the seam, round the cast; the last words of “A cast” say
          what makes them, and the steps when they are made. A mould that is open at its base lies
          with that up.
        </p>
        <h2>Casts</h2>
        <p>
          The stage Casts says what to weigh for one cast. Measured beats computed: fill the mould
          with water or grain, measure that, and dry the mould before urethane. Once a cast is out,
          its weight counts. The table says when all casts are done, half of the time and nine times
          of ten, from one mould, two, three; a number in it takes as many. “Cast one” takes you
          through a cast at the bench; at its end one large key counts it. Without a screen at the
          bench, “Print run sheet” gives a line to fill in for each. Of one that is not good, “Show
          where” marks the place on the master.
        </p>
        <h2>Log</h2>
        <p>
          The stage Log lists what happened, in the order it did, with what was planned beside it.
          What differs by more than it may is in red: a batch off its ratio, a level too low, a wait
          cut short, a question passed without an answer. What was struck out stays, with its
          reason. It can be printed as the job’s record, or saved as a table.
        </p>
        <p>
          Below it, “What went wrong?” looks into what you see on a mould or a cast. What is on
          record is read first; what is not is asked. Each cause says what speaks for it and against
          it. Say later whether it was that: the order in your workshop follows. Show on the stage
          Casts where a cast is not good, and the place is held against the air that stays, the
          rubber over it, and what locks there.
        </p>
        <h2>What your jobs teach</h2>
        <p>
          From three jobs on the workshop offers what they say: how much more rubber a mould takes,
          how thick coats go on, how warm it is, how long each work by hand takes. Each is shown
          with its jobs, and plans go by it only once you take it. A weight you know, put on the
          scale now and then, tells how far that is off.
        </p>
        <h2>Moulds</h2>
        <p>
          A mould made at the bench comes to the page Moulds by itself, and so does one that casts
          are counted of. Its label carries a square code: a phone that reads it opens the mould’s
          page, once the <Link to="/workshop#labels">workshop</Link> says where Ungula is reached.
          Without a camera, type the five letters. A mould that is retired is not cast from any
          more.
        </p>
        <p>
          A label can be cast into the rubber, too: choose it on the stage Mould. Print its plate,
          or cut it, glue it into the box with its letters away from the wall, and the mould says
          for good what it is. Print resin keeps some rubbers from curing: try a patch on the plate
          as on a master.
        </p>
        <h2>What is kept</h2>
        <p>
          Everything is backed up once a day; the workshop page lists the backups, says what going
          back to one would change, and goes back. A whole job can be saved as a file on the shelf,
          under More, and dropped onto the shelf of another workshop.
        </p>
        <h2>How things may be written</h2>
        <p>
          <kbd>12</kbd> <kbd>1.2 cm</kbd> <kbd>3/8&quot;</kbd> <kbd>5 3/16 in</kbd>{' '}
          <kbd>2 ft 3 in</kbd> · <kbd>350 g</kbd> <kbd>1 lb 6 oz</kbd> · <kbd>87 cc</kbd>{' '}
          <kbd>1.5 L</kbd> <kbd>3 US gal</kbd> · <kbd>100 : 10 by weight</kbd>{' '}
          <kbd>1 : 1 by volume</kbd> <kbd>4 % of base</kbd> · <kbd>28 Nov 2026</kbd>{' '}
          <kbd>28.11.2026</kbd> · <kbd>−0.95 bar</kbd> <kbd>28 inHg</kbd> <kbd>5 kPa absolute</kbd>{' '}
          · <kbd>Tue 9</kbd> <kbd>tomorrow 8:30</kbd> <kbd>when the rubber comes, Thursday</kbd> ·{' '}
          <kbd>8–12, 13–17</kbd>
        </p>
        <h2>Words</h2>
        <dl>
          {TERMS.map(([term, meaning]) => (
            <Fragment key={term}>
              <dt>{term}</dt>
              <dd>{meaning}</dd>
            </Fragment>
          ))}
        </dl>
        <h2>Keys</h2>
        <dl>
          {KEYS.map(([key, what]) => (
            <Fragment key={key}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{what}</dd>
            </Fragment>
          ))}
        </dl>
        <h2>Care</h2>
        <p>
          Ungula computes from what is entered. Follow each product&apos;s own safety and technical
          sheets, your local rules, and a qualified person where the law asks for one. Where a sheet
          and this program differ, the sheet wins.
        </p>
      </main>
    </div>
  );
}
