import type { MouldListed } from './mouldQueries';

/** How much of a mould is used up: what it gave, of what it gives in all. */
export function Gauge({ mould }: { mould: MouldListed }) {
  const gives = Number(mould.gives);
  return (
    <span className={`gauge ${mould.wear}`}>
      {gives > 0 && (
        <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden>
          <rect className="all" width={100} height={8} />
          <rect className="gave" width={Math.min(100, (100 * mould.gave) / gives)} height={8} />
        </svg>
      )}
      {mould.gave}
      {gives > 0 ? ` of about ${gives}` : ''}
    </span>
  );
}
