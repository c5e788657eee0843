import type { Job } from '../../api/client';
import { Word } from '../../ui/Word';

/** What casts are of, in words that stand on Rubber and on Casts. */
export function CastOf({ job }: { job: Job }) {
  return (
    <>
      Casts are of{' '}
      {job.words['cast.product']?.unset && (
        <>
          <Word k="cast.material" after="," />{' '}
        </>
      )}
      <Word
        k="cast.product"
        options={[
          { value: '', text: 'no particular product' },
          ...job.casts.map((c) => ({ value: c.id, text: c.name, note: c.summary })),
        ]}
        after="."
      />
    </>
  );
}
