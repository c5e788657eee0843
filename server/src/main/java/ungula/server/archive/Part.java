package ungula.server.archive;

import java.util.List;
import java.util.Set;

/**
 * A table of which a job has rows, and how they are found.
 *
 * @param where of a row, with the job's id for the question mark
 * @param by the order they were written in
 * @param without columns that say nothing elsewhere
 */
record Part(String table, String where, String by, Set<String> without) {

  private static final String OF_JOB = "job_id = ?";
  private static final String OF_RUN = "run_id IN (SELECT id FROM run WHERE job_id = ?)";

  /** In the order they refer to each other. What is worked out again is left out. */
  static final List<Part> ALL =
      List.of(
          new Part("job", "id = ?", "id", Set.of("demo", "deleted", "bench_place", "exercise")),
          new Part("job_step", OF_JOB, "step", Set.of()),
          new Part("job_looked", OF_JOB, "stage", Set.of()),
          new Part("variant", OF_JOB, "number, id", Set.of()),
          new Part("record", OF_JOB, "id", Set.of("id")),
          new Part("run", OF_JOB, "begun, id", Set.of()),
          new Part("run_plan", OF_RUN, "run_id, number", Set.of()),
          new Part("run_entry", OF_RUN, "run_id, number", Set.of()),
          new Part("run_picture", OF_RUN, "id", Set.of("jpeg")),
          // packs lie where they lie: what was taken from them stands in the entries
          new Part("mixed", OF_JOB, "at, id", Set.of("taken")),
          new Part("cast_made", OF_JOB, "number", Set.of()),
          new Part("cast_place", OF_JOB, "id", Set.of("id")),
          new Part("fault_case", OF_JOB, "at, id", Set.of()),
          new Part(
              "case_outcome",
              "case_id IN (SELECT id FROM fault_case WHERE job_id = ?)",
              "id",
              Set.of("id")),
          new Part("mould", OF_JOB, "number", Set.of()),
          new Part(
              "mould_record",
              "mould_id IN (SELECT id FROM mould WHERE job_id = ?)",
              "id",
              Set.of("id")));
}
