import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Job = components['schemas']['JobResponse'];
export type WordState = components['schemas']['State'];
export type Figure = components['schemas']['Figure'];
export type Caution = components['schemas']['Caution'];
export type Edit = components['schemas']['Edit'];
export type Drawing = components['schemas']['SectionDrawing'];
export type Reading = components['schemas']['Reading'];
export type Product = components['schemas']['ProductResponse'];
export type StockOf = components['schemas']['StockView'];
export type Lot = components['schemas']['LotView'];
export type Candidate = components['schemas']['Candidate'];
export type PourGroup = components['schemas']['GroupView'];
export type Workshop = components['schemas']['WorkshopResponse'];
export type Shelf = components['schemas']['Shelf'];
export type ShelfJob = components['schemas']['ShelfJob'];
export type Task = components['schemas']['TaskView'];
export type RestFace = components['schemas']['RestFace'];
export type Filling = components['schemas']['FilmView'];
export type Study = components['schemas']['StudyResponse'];
export type Place = components['schemas']['PlaceView'];
export type Channel = components['schemas']['ChannelView'];
export type Work = components['schemas']['WorkView'];
export type Stand = components['schemas']['StandView'];
export type Stands = components['schemas']['StandsResponse'];
export type Approach = components['schemas']['ApproachView'];
export type Partition = components['schemas']['PartitionResponse'];
export type Proposal = components['schemas']['ProposalResponse'];
export type Approaches = components['schemas']['ApproachesResponse'];
export type Bench = components['schemas']['BenchResponse'];
export type Run = components['schemas']['RunResponse'];
export type RunTask = components['schemas']['TaskStep'];
export type RunBatch = components['schemas']['BatchView'];
export type RunClock = components['schemas']['ClockView'];
export type RunLive = components['schemas']['Live'];
export type Weighing = components['schemas']['Weighing'];
export type Exercise = components['schemas']['ExerciseView'];
export type Act = components['schemas']['Act'];
export type Device = components['schemas']['DeviceView'];
export type CastsMade = components['schemas']['MadeResponse'];
export type Log = components['schemas']['LogResponse'];
export type CastRuns = components['schemas']['CastsResponse'];
export type Days = components['schemas']['DaysResponse'];
export type PlacedStep = components['schemas']['PlacedStep'];
export type Variant = components['schemas']['VariantView'];
export type SurfacePoint = components['schemas']['SurfacePoint'];
export type MarkName = components['schemas']['Stroke']['mark'];

/** The words there are, and the figures; "coat.#.base" stands for coat.1.base, coat.2.base … */
export type JobWord = components['schemas']['JobWord'];
export type WordKey =
  | JobWord
  | components['schemas']['ProductWord']
  | components['schemas']['LotWord']
  | components['schemas']['WorkshopWord']
  | components['schemas']['MouldWord'];
export type JobFigure = keyof Job['figures'];

/** The word of a key the server names. */
export const wordOf = (key: string) => key as WordKey;

/** The figure of a key the server names. */
export function figureOf(figures: Job['figures'], key: string): Figure | undefined {
  return figures[key as JobFigure];
}

export const client = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request) => globalThis.fetch(request),
});

/** What the server says went wrong: an RFC 9457 problem. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly word?: string,
  ) {
    super(detail);
  }

  static of(status: number, body: unknown): Problem {
    const p = (body ?? {}) as { title?: string; detail?: string; word?: string };
    return new Problem(
      status,
      p.title ?? 'No answer',
      p.detail ?? 'Ungula does not answer. Is it still running? Nothing typed here is lost.',
      p.word,
    );
  }
}

interface Answer<T> {
  data?: T | undefined;
  error?: unknown;
  response: Response;
}

/** The answer's data, or a thrown {@link Problem}. */
export async function unwrap<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch {
    throw Problem.of(0, null);
  }
  if (got.response.status === 401 && window.location.pathname !== '/sign-in') {
    window.location.assign('/sign-in');
  }
  if (!got.response.ok) {
    throw Problem.of(got.response.status, got.error);
  }
  return got.data as T;
}
