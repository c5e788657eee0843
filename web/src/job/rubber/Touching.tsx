import type { Job } from '../../api/client';

const PARTS: Record<Job['touching'][number]['what'], string> = {
  MASTER: 'Master',
  BEDDING: 'Bedding',
  BOX: 'Box',
  GLUE: 'What holds it',
  HALVES: 'Its other half',
  CAST: 'What is cast',
};

/** Everything the rubber touches, and whether it may. */
export function Touching({ job }: { job: Job }) {
  return (
    <div className="part">
      <h2>What the rubber touches</h2>
      <table className="compare">
        <tbody>
          {job.touching.map((t) => (
            <tr key={t.what}>
              <th scope="row">{PARTS[t.what]}</th>
              <td>{t.surface}</td>
              <td className={`verdict ${t.level}`}>{t.verdict}</td>
              <td className="small">{t.text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
