package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;
import ungula.server.Running.Answer;

/** What was acknowledged is kept, whoever else is at work, and what cannot be read says so. */
public class NothingLostTest extends OnServer {

  private final ExecutorService hands = Executors.newCachedThreadPool();

  @AfterClass(alwaysRun = true)
  public void rest() {
    hands.shutdownNow();
  }

  /** Has all of them begin at the same moment. */
  private List<Answer> together(List<Callable<Answer>> all) throws Exception {
    CyclicBarrier begin = new CyclicBarrier(all.size());
    List<Future<Answer>> under = new ArrayList<>();
    for (Callable<Answer> one : all) {
      under.add(
          hands.submit(
              () -> {
                begin.await();
                return one.call();
              }));
    }
    List<Answer> answers = new ArrayList<>();
    for (Future<Answer> f : under) {
      answers.add(f.get());
    }
    return answers;
  }

  private String measuredJob() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "MEASURED");
    server.write(id, "master.measured.lengthMm", "120 mm");
    server.write(id, "master.measured.widthMm", "80 mm");
    server.write(id, "master.measured.heightMm", "60 mm");
    return id;
  }

  private String wall(String id) throws Exception {
    return server.job(id).get("words").get("mould.sidesMm").get("text").asString();
  }

  @Test
  public void aNudgeAcknowledgedWhileAnotherWindowLooksIsKept() throws Exception {
    String id = measuredJob();
    String edits = "/api/jobs/" + id + "/edits";
    for (int i = 0; i < 60; i++) {
      int version = server.job(id).get("version").asInt();
      int by = i % 2 == 0 ? 1 : -1;
      String nudge =
          "{\"version\":"
              + version
              + ",\"edits\":[{\"word\":\"mould.sidesMm\",\"nudge\":"
              + by
              + "}]}";
      List<Answer> answers =
          together(
              List.of(
                  () -> server.post(edits, nudge),
                  () -> server.post("/api/jobs/" + id + "/looked/mould", "")));
      assertEquals(answers.get(0).status(), 200);
      assertEquals(answers.get(1).status(), 200);
      assertEquals(
          wall(id), answers.get(0).body().get("words").get("mould.sidesMm").get("text").asString());
    }
  }

  /** Two nudges of one version write the same step: one is made, the other refused. */
  @Test
  public void ofTwoNudgesOfOneVersionOneIsRefused() throws Exception {
    String id = measuredJob();
    for (int i = 0; i < 30; i++) {
      int version = server.job(id).get("version").asInt();
      List<Callable<Answer>> both = new ArrayList<>();
      for (int by : new int[] {1, 2}) {
        String nudge =
            "{\"version\":"
                + version
                + ",\"edits\":[{\"word\":\"mould.overTopMm\",\"nudge\":"
                + by
                + "}]}";
        both.add(() -> server.post("/api/jobs/" + id + "/edits", nudge));
      }
      List<Answer> answers = together(both);
      List<Answer> made = answers.stream().filter(a -> a.status() == 200).toList();
      assertEquals(made.size(), 1, answers.toString());
      assertEquals(
          server.job(id).get("words").get("mould.overTopMm"),
          made.get(0).body().get("words").get("mould.overTopMm"));
    }
  }

  @Test
  public void lookingIsNoStepOfHistory() throws Exception {
    String id = rubberJob();
    JsonNode before = server.job(id);
    assertEquals(before.get("stages").get("pours").asString(), "OPEN");
    server.post("/api/jobs/" + id + "/looked/pours", "");
    JsonNode after = server.job(id);
    assertEquals(after.get("stages").get("pours").asString(), "DONE");
    assertEquals(after.get("version"), before.get("version"));
    assertEquals(after.get("undo"), before.get("undo"));
    assertEquals(server.post("/api/jobs/" + id + "/looked/nothing", "").status(), 404);
  }

  private String rubberJob() throws Exception {
    String id = measuredJob();
    server.write(id, "rubber.product", "dulse-30");
    server.write(id, "rubber.batches", "3");
    return id;
  }

  @Test
  public void aBatchIsRecordedOnceWhoeverElseDoes() throws Exception {
    String id = rubberJob();
    String mixed = "/api/jobs/" + id + "/mixed";
    for (int batch = 1; batch <= 3; batch++) {
      String body = "{\"batch\":" + batch + "}";
      List<Callable<Answer>> six = new ArrayList<>();
      for (int i = 0; i < 6; i++) {
        six.add(() -> server.post(mixed, body));
      }
      List<Answer> answers = together(six);
      assertEquals(answers.stream().filter(a -> a.status() == 200).count(), 1);
      for (Answer a : answers) {
        assertTrue(
            a.status() == 200 || a.body().get("detail").asString().contains("recorded already"),
            a.toString());
      }
      assertEquals(server.get(mixed).body().size(), batch);
    }
  }

  /** What was planned for a batch stays with it when the plan becomes another. */
  @Test
  public void replanningDoesNotChangeWhatWasMixed() throws Exception {
    String id = rubberJob();
    String mixed = "/api/jobs/" + id + "/mixed";
    server.post(mixed, "{\"batch\":3,\"base\":\"200 g\",\"hardener\":\"10 g\"}");
    JsonNode before = server.get(mixed).body().get(0);
    assertEquals(before.get("number").asInt(), 3);
    server.write(id, "rubber.batches", "2");
    JsonNode after = server.get(mixed).body().get(0);
    assertEquals(after.get("text"), before.get("text"));
    assertEquals(after.get("planned"), before.get("planned"));
    assertFalse(after.has("number"));
    assertEquals(after.get("name").asString(), "Batch 3");
  }

  @Test
  public void theShelfIsWholeWhileJobsAreBegun() throws Exception {
    List<Callable<Answer>> all = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      all.add(() -> server.post("/api/jobs", "{\"name\":\"Begun beside others\"}"));
      all.add(() -> server.get("/api/shelf"));
    }
    for (Answer a : together(all)) {
      assertTrue(a.status() < 300, a.status() + " " + a.body());
      if (a.body().has("jobs")) {
        for (JsonNode job : a.body().get("jobs")) {
          assertEquals(job.get("trouble").asString(), "", job.toString());
        }
      }
    }
  }

  private static void delete(Path folder, String ending) throws Exception {
    try (var files = Files.list(folder)) {
      for (Path f : files.filter(p -> p.toString().endsWith(ending)).toList()) {
        Files.delete(f);
      }
    }
  }

  private Running alone() throws Exception {
    return new Running("planning");
  }

  @Test
  public void aMeshThatIsGoneIsMadeAgainOfTheOriginal() throws Exception {
    try (Running other = alone()) {
      String id = id(other, "Box from a file");
      delete(other.data().resolve("models"), ".mesh");
      assertEquals(Running.value(other.job(id), "master.volume"), 184_800, 0.1);
    }
  }

  private static String id(Running other, String name) throws Exception {
    for (JsonNode job : other.get("/api/shelf").body().get("jobs")) {
      if (job.get("name").asString().equals(name)) {
        return job.get("id").asString();
      }
    }
    throw new AssertionError(name + " is not on the shelf");
  }

  @Test
  public void oneJobThatCannotBeReadTakesNoListDown() throws Exception {
    try (Running other = alone()) {
      String file = id(other, "Ball, cut open");
      String choices = id(other, "Three on a plate");
      other.sql(
          "UPDATE job_step SET choices = REPLACE(choices, '\"dulse-30\"', '[7]') WHERE job_id = '"
              + choices
              + "'");
      // what is held in memory hides the loss until the next start
      other.restart();
      delete(other.data().resolve("models"), ".mesh");
      delete(other.data().resolve("models"), ".original");
      JsonNode gone = other.onShelf(file);
      assertTrue(gone.get("trouble").asString().contains("ball.stl"), gone.toString());
      assertTrue(gone.get("trouble").asString().contains("Upload it again"), gone.toString());
      JsonNode damaged = other.onShelf(choices);
      assertTrue(damaged.get("trouble").asString().contains("cannot be read"), damaged.toString());
      assertEquals(other.onShelf(id(other, "By tape")).get("trouble").asString(), "");
      for (String list : new String[] {"/api/stock", "/api/shopping", "/api/together"}) {
        Answer a = other.get(list);
        assertEquals(a.status(), 200, list);
        assertTrue(
            a.body().get("missing").toString().contains("Ball, cut open cannot be read"), list);
      }
      assertEquals(other.get("/api/jobs/" + file).status(), 409);
      // uploaded again, it is as it was
      other.upload(file, "again.stl", Running.stl(Tessellation.box(20, 20, 20)));
      assertEquals(Running.value(other.job(file), "master.volume"), 8000, 0.1);
      assertEquals(
          other.job(file).get("words").get("hollow.wallMm").get("text").asString(), "6 mm");
      // and it can be put away, or removed
      assertEquals(other.delete("/api/jobs/" + choices).status(), 204);
      assertFalse(other.get("/api/shelf").body().toString().contains(choices));
    }
  }

  @Test
  public void aJobLeftHalfMadeIsHealedAtTheStartAndSaysSo() throws Exception {
    try (Running other = alone()) {
      String id = id(other, "Left half made");
      assertTrue(other.onShelf(id).get("note").asString().contains("It begins empty"));
      assertEquals(other.write(id, "mould.sidesMm", "9 mm").status(), 200);
      assertEquals(other.onShelf(id).get("note").asString(), "");
      // a step that was never written: back to the one before
      String box = id(other, "Box from a file");
      String undo = other.job(box).get("undo").get("what").asString();
      other.sql("UPDATE job SET step_now = step_now + 40 WHERE id = '" + box + "'");
      other.restart();
      assertTrue(other.onShelf(box).get("note").asString().contains("as before that change"));
      assertFalse(undo.isEmpty());
      assertEquals(other.write(box, "mould.sidesMm", "9 mm").status(), 200);
    }
  }

  @Test
  public void whatWasLookedAtBeforeStaysLookedAt() throws Exception {
    try (Running other = alone()) {
      String id = id(other, "Box from a file");
      // the stages were looked at on the step that was undone
      other.sql("UPDATE job SET step_now = step_now + 1 WHERE id = '" + id + "'");
      other.restart();
      JsonNode stages = other.job(id).get("stages");
      // a file's name is part of what they were looked at on now: seen, but to be seen again
      assertEquals(stages.get("mould").asString(), "LOOK_AGAIN", stages.toString());
      assertEquals(stages.get("approach").asString(), "LOOK_AGAIN", stages.toString());
    }
  }

  @Test
  public void aFileKeepsTheNameItHasInEachJob() throws Exception {
    byte[] stl = Running.stl(Tessellation.box(33, 22, 11));
    String one = server.addJob();
    String two = server.addJob();
    server.upload(one, "first.stl", stl);
    server.upload(two, "second.stl", stl);
    assertEquals(server.job(one).get("model").get("name").asString(), "first.stl");
    assertEquals(server.job(two).get("model").get("name").asString(), "second.stl");
    String sent =
        server
            .get("/api/jobs/" + two + "/original")
            .headers()
            .firstValue("content-disposition")
            .orElse("");
    assertTrue(sent.contains("second.stl"), sent);
  }

  @Test
  public void namesNoFileSystemHoldsLeaveNothingBehind() throws Exception {
    String id = server.addJob();
    byte[] stl = Running.stl(Tessellation.box(34, 22, 11));
    String[][] names = {
      {"a\u0000b.stl", "ab.stl"},
      {"../../up.stl", "up.stl"},
      {"C:\\models\\shell.stl", "shell.stl"},
      {"", "model"},
      {"x".repeat(400), "x".repeat(200)}
    };
    for (String[] name : names) {
      assertEquals(server.upload(id, name[0], stl).get("state").asString(), "DONE", name[0]);
      assertEquals(server.job(id).get("model").get("name").asString(), name[1]);
    }
    try (var files = Files.list(server.data().resolve("models"))) {
      assertEquals(files.filter(f -> f.toString().endsWith(".part")).count(), 0);
    }
  }

  @Test
  public void variantsComeInTheOrderTheyWereKept() throws Exception {
    String id = measuredJob();
    String variants = "/api/jobs/" + id + "/variants";
    for (int i = 0; i < 11; i++) {
      server.post(variants, "");
    }
    List<String> names = new ArrayList<>();
    server.get(variants).body().forEach(v -> names.add(v.get("name").asString()));
    for (int i = 0; i < 11; i++) {
      assertTrue(names.get(i).startsWith(i + 1 + ". "), names.toString());
    }
    String second = server.get(variants).body().get(1).get("id").asString();
    server.delete(variants + "/" + second);
    server.post(variants, "");
    JsonNode after = server.get(variants).body();
    assertTrue(after.get(10).get("name").asString().startsWith("12. "), after.toString());
  }
}
