import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { Job } from '../../api/client';
import { drawn, figure, job } from '../../testing/job';
import { RubberStage } from './RubberStage';

afterEach(cleanup);

const PICKED = { 'rubber.product': 'marram-20' };
const MIX = {
  'mix.base': '238 g',
  'mix.hardener': '23.8 g',
  'mix.total': '261.8 g',
  'mix.volume': '242.4 mL',
};

const show = (of: Job) => drawn(of, <RubberStage job={of} />);

test('without a rubber it says what picking one gives', () => {
  const { reads } = show(job({}));
  expect(reads()).toContain('Pick a rubber and the amounts stand here to the gram.');
  expect(screen.queryByLabelText('Weigh out')).toBeNull();
  expect(reads()).not.toContain('Moulds alike');
});

test('what is weighed stands in the order it goes into the cup', () => {
  const amounts = () =>
    [...screen.getByLabelText('Weigh out').querySelectorAll('.amount')].map((a) => a.textContent);
  show(job({ ...MIX, 'mix.additive': '5 g' }, PICKED));
  expect(amounts()).toEqual(['238 g', '23.8 g', '5 g']);
  cleanup();
  show(job(MIX, { ...PICKED, 'rubber.first': 'HARDENER' }));
  expect(amounts()).toEqual(['23.8 g', '238 g']);
});

test('under a stop about the mould nothing stands there to be weighed', () => {
  const { reads } = show(job(MIX, PICKED, { stopped: 'The mould tears coming off' }));
  expect(reads()).toContain('Nothing is weighed for this mould yet: The mould tears coming off.');
  expect(screen.queryByLabelText('Weigh out')).toBeNull();
  expect(reads()).not.toContain('As really poured');
});

test('offcuts say how many find room, once that is known', () => {
  const before = show(job(MIX, { ...PICKED, 'rubber.offcutsMm3': '50 mL' }));
  expect(before.reads()).toContain('Cured offcuts of the same rubber: 50 mL.');
  cleanup();
  const { reads } = show(job({ ...MIX, 'offcuts.most': '120 mL' }, PICKED));
  expect(reads()).toContain(
    'Cured offcuts of the same rubber: open (room for 120 mL, clear of the master).',
  );
});

test('a skin is brushed: no batches, no offcuts, what each coat takes stands with the mould', () => {
  const amounts = { ...MIX, 'rubber.box': '3.18 L', 'rubber.allowance': '254 mL' };
  const box = { sided: false, ofPipe: false, onPlate: false, poured: false, cupped: false };
  const { reads } = show(job(amounts, PICKED, { box }));
  expect(reads()).toContain('The skin takes 3.18 L, plus an allowance of 254 mL.');
  expect(reads()).not.toContain('offcuts');
  expect(reads()).not.toContain('Mixed in');
  expect(screen.getByRole('link', { name: 'Mould stage' })).toBeTruthy();
});

test('one mould is one, several come one after the other', () => {
  const one = show(job(MIX, PICKED));
  expect(one.reads()).toContain('Make open of this master.');
  expect(one.reads()).not.toContain('For all');
  cleanup();
  const several = {
    'moulds.mass': '1 047 g',
    'moulds.hands': '6.2 h',
    'moulds.cost': '€ 180',
    'moulds.pace': '2 a day',
    'moulds.elapsed': '26 h',
  };
  const { reads } = show(
    job(
      { ...MIX, ...several },
      { ...PICKED, 'rubber.moulds': '4 moulds', 'rubber.mouldG': '260 g' },
    ),
  );
  expect(reads()).toContain('Make 4 moulds of this master, one after the other.');
  expect(reads()).toContain(
    'For all: 1 047 g of base and hardener, 6.2 h of work by hand, costing € 180.',
  );
  expect(reads()).toContain('You open 2 a day. The last is open after 26 h.');
  expect(reads()).toContain('The first mould weighs: 260 g.');
});

test('what was really poured is answered with what to pour now', () => {
  const second = { state: 'OVER', words: 'Too much hardener.' } as Job['second'];
  show(job({ ...MIX, 'mix.second': '24.6 g' }, PICKED, { second }));
  const status = screen.getByRole('status');
  expect(status.textContent).toContain('Too much hardener. Target: 24.6 g');
  expect(status.className).toBe('refusal');
});

test('packs give a price, and without packs it says why there is none', () => {
  const packs = ['1 kg at € 34', '5 kg at € 139'];
  const priced = show(job({ ...MIX, 'rubber.cost': '€ 8.90' }, PICKED, { packs }));
  expect(priced.reads()).toContain('This job uses € 8.90 of it. It is sold as 1 kg at € 34, 5 kg');
  cleanup();
  const timed = show(job({ ...MIX, 'rubber.potLife': '36 min', 'rubber.demould': '7 h' }, PICKED));
  expect(timed.reads()).toContain('The sheet names no packs, so there is no price.');
  expect(timed.reads()).toContain('it can be poured for 36 min and cures in 7 h.');
});

const CANDIDATES = [
  {
    product: 'samphire-15',
    name: 'Samphire',
    fits: true,
    text: 'One sees where to cut.',
    score: 90,
    costOfCast: figure('cost.cast', '€ 1.69'),
  },
  { product: 'marram-20', name: 'Marram', fits: true, text: 'About 60 casts.', score: 80 },
  { product: 'tern-40', name: 'Tern', fits: false, text: 'Not for wax.', score: -900 },
];

test('rubbers are compared with what speaks for and against each, and one is taken', async () => {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json(CANDIDATES)));
  const { written, user } = show(job(MIX, PICKED));
  await screen.findByText('Which rubber: 3 compared for this mould');
  const row = (name: RegExp) => screen.getByRole('row', { name, hidden: true });
  expect(row(/Samphire/).textContent).toBe('SamphireOne sees where to cut.€ 1.69');
  expect(row(/Marram/).textContent).toContain('✓ Marram');
  expect(row(/Tern/).textContent).toContain('Unsuitable: Not for wax.–');
  await user.click(screen.getByRole('button', { name: 'Choose Samphire', hidden: true }));
  expect(written).toEqual(['rubber.product=samphire-15']);
  vi.unstubAllGlobals();
});

test('everything the rubber touches stands with its verdict', () => {
  show(
    job(MIX, PICKED, {
      touching: [
        {
          what: 'MASTER',
          surface: 'wood, bare',
          verdict: 'seal first',
          level: 'SEAL',
          text: 'It drinks.',
        },
        { what: 'CAST', surface: 'wax', verdict: 'fine', level: 'FINE', text: '' },
      ],
    }),
  );
  expect(screen.getByRole('row', { name: /^Master/ }).textContent).toBe(
    'Masterwood, bareseal firstIt drinks.',
  );
  expect(screen.getByRole('row', { name: /^What is cast/ }).textContent).toContain('fine');
});

test('a product that is cast stands in place of a material, with size, life and cost', () => {
  const before = show(job(MIX, { ...PICKED, 'cast.material': 'wax' }));
  expect(before.reads()).toContain('Casts are of wax, open. Wanted: open.');
  cleanup();
  const { reads } = show(
    job(
      {
        ...MIX,
        'life.casts': '60 casts',
        'life.moulds': '3 moulds',
        'cost.job': '€ 77',
        'cost.cast': '€ 6',
        'size.cast': '90 × 50 × 119 mm',
        'size.lost': '0.60 mm',
        'size.scaleUp': '1.00502',
        'cast.mass': '320 g',
        'cast.potLife': '4 min',
      },
      { ...PICKED, 'cast.material': 'wax', 'cast.product': 'Oyster', 'cast.wanted': '130 casts' },
      { catalysts: [{ value: 'slow', text: 'slow' }] },
    ),
  );
  expect(reads()).toContain('Casts are of Oyster. Wanted: 130 casts.');
  expect(reads()).toContain('about 60 casts, so they take 3 moulds. It costs € 77, a cast € 6.');
  expect(reads()).toContain('scale the master by 1.00502');
  expect(reads()).toContain('That much resin can be poured for 4 min');
  expect(reads()).toContain('with open catalyst');
});
