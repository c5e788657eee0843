import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { Caution } from '../api/client';
import { CautionPins } from './CautionPins';

afterEach(cleanup);

const scale = { x: (mm: number) => mm, y: (mm: number) => 100 - mm };

const caution = (id: string, place?: { x: number; y: number; z: number }) =>
  ({ id, level: 'CHECK', title: `of ${id}`, place }) as Caution;

function pins(cautions: Caution[], cut: 'FRONT' | 'TOP' = 'FRONT') {
  const pointed: (string | null)[] = [];
  const { container } = render(
    <>
      <svg>
        <CautionPins
          cautions={cautions}
          cut={cut}
          scale={scale}
          pointed={null}
          point={(id) => pointed.push(id)}
        />
      </svg>
      <ul>
        <li data-caution="air" tabIndex={-1} />
      </ul>
    </>,
  );
  return { container, pointed, user: userEvent.setup() };
}

const at = (container: HTMLElement, id: string) => {
  const circle = container.querySelector(`[data-pin="${id}"]`);
  return [Number(circle?.getAttribute('cx')), Number(circle?.getAttribute('cy'))];
};

test('pins carry the numbers of the list, where the drawing has their places', () => {
  const { container } = pins([caution('none'), caution('air', { x: 10, y: 20, z: 30 })]);
  expect(container.querySelectorAll('.pin')).toHaveLength(1);
  expect(container.querySelector('.pin')?.textContent).toBe('2');
  expect(at(container, 'air')).toEqual([10, 70]);
  cleanup();
  const top = pins([caution('air', { x: 10, y: 20, z: 30 })], 'TOP');
  expect(at(top.container, 'air')).toEqual([10, 80]);
});

test('two of one place stand side by side', () => {
  const place = { x: 10, y: 0, z: 30 };
  const { container } = pins([caution('air', place), caution('lift', place)]);
  const [x = 0] = at(container, 'air');
  const [other = 0] = at(container, 'lift');
  expect(other - x).toBeGreaterThan(20);
});

test('pointing at a pin shows its caution, a tap or Enter leads there', async () => {
  const led = vi.fn();
  Element.prototype.scrollIntoView = led;
  const { pointed, user } = pins([caution('air', { x: 10, y: 20, z: 30 })]);
  const pin = screen.getByRole('link', { name: '1: of air' });
  await user.hover(pin);
  await user.unhover(pin);
  expect(pointed).toEqual(['air', null]);
  await user.click(pin);
  expect(document.activeElement?.getAttribute('data-caution')).toBe('air');
  pin.focus();
  await user.keyboard('{Enter}');
  expect(document.activeElement?.getAttribute('data-caution')).toBe('air');
  expect(led).toHaveBeenCalledTimes(2);
});
