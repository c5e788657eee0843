/** What a list or a plan lacks, as sentences. */
export function Missing({ missing }: { missing: string[] | undefined }) {
  return missing && missing.length > 0 ? (
    <div role="status" aria-label="What is missing">
      <ul className="missing">
        {missing.map((m) => (
          <li key={m}>{m}</li>
        ))}
      </ul>
    </div>
  ) : null;
}
