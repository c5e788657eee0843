const files = new Map<string, File>();

/** Leaves a file for the page of a job that was begun with it. */
export function handOver(job: string, file: File): void {
  files.set(job, file);
}

/** The file left for a job's page; it is given once. */
export function handedOver(job: string): File | undefined {
  const file = files.get(job);
  files.delete(job);
  return file;
}
