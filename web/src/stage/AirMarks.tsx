import type { Drawing, Study } from '../api/client';
import type { Scale } from './scale';

interface Props {
  study: Study;
  stale: boolean;
  cut: Drawing['cut'];
  scale: Scale;
}

/** Where each pocket of air has its top, whatever the cut meets. */
export function AirMarks({ study, stale, cut, scale }: Props) {
  const across = (p: { x: number; y: number }) => scale.x(cut === 'SIDE' ? p.y : p.x);
  const up = (p: { y: number; z: number }) => scale.y(cut === 'TOP' ? p.y : p.z);
  const state = stale ? ' stale' : '';
  const air = [
    ...study.poured.map((p) => ({ ...p, where: 'In the rubber' })),
    ...study.cast.map((p) => ({ ...p, where: 'In a cast' })),
  ];
  return (
    <g data-air={air.length}>
      {air.map((p) => (
        <path
          key={`${p.where} ${p.x} ${p.y} ${p.z}`}
          className={`top-of-air${state}`}
          d={`M${across(p) - 5} ${up(p) + 5}l5 -8l5 8z`}
        >
          <title>{`${p.where}: ${p.text}`}</title>
        </path>
      ))}
    </g>
  );
}
