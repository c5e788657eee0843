package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;
import ungula.server.Running.Answer;

/**
 * How a job is kept: its history, its files, its pictures, and what happens when many change it.
 */
public class JobKeepingTest extends OnServer {

  private String boxJob() throws Exception {
    String id = server.addJob();
    server.upload(id, "box.stl", Running.stl(Tessellation.box(80, 55, 42)));
    return id;
  }

  private int version(String id) throws Exception {
    return server.job(id).get("version").asInt();
  }

  private String wall(String id) throws Exception {
    return server.job(id).get("words").get("mould.sidesMm").get("text").asString();
  }

  private Answer step(String id, int by) throws Exception {
    return server.post("/api/jobs/" + id + "/steps?by=" + by + "&version=" + version(id), "");
  }

  @Test
  public void ofManyChangesToOneVersionExactlyOneIsMade() throws Exception {
    String id = boxJob();
    int version = version(id);
    ExecutorService hands = Executors.newFixedThreadPool(8);
    try {
      Callable<Integer> change = () -> server.write(id, version, "mould.sidesMm", "20 mm").status();
      int made = 0;
      int refused = 0;
      for (Future<Integer> f : hands.invokeAll(List.of(change, change, change, change, change))) {
        made += f.get() == 200 ? 1 : 0;
        refused += f.get() == 409 ? 1 : 0;
      }
      assertEquals(made, 1);
      assertEquals(refused, 4);
      assertEquals(version(id), version + 1);
    } finally {
      hands.shutdownNow();
    }
  }

  @Test
  public void undoGoesAllTheWayBackAndANewChangeEndsTheRedo() throws Exception {
    String id = boxJob();
    for (int mm = 13; mm <= 16; mm++) {
      server.write(id, "mould.sidesMm", mm + " mm");
    }
    for (int mm = 15; mm >= 12; mm--) {
      step(id, -1);
      assertEquals(wall(id), mm + " mm");
    }
    assertEquals(step(id, 1).status(), 200);
    assertEquals(wall(id), "13 mm");
    server.write(id, "mould.sidesMm", "30 mm");
    assertEquals(step(id, 1).status(), 409);
    step(id, -1);
    assertEquals(wall(id), "13 mm");
    // before the walls there was no file, and before the file nothing
    step(id, -1);
    step(id, -1);
    assertFalse(server.job(id).get("figures").has("rubber.box"));
    assertEquals(step(id, -1).status(), 409);
  }

  @Test
  public void historyIsLongButNotEndless() throws Exception {
    String id = server.addJob();
    server.write(id, "mould.sidesMm", "13 mm");
    // as if that had been written over and over
    server.sql(
        "INSERT INTO job_step (job_id, step, label, nudged, choices)"
            + " SELECT job_id, x, label, NULL, choices FROM job_step, SYSTEM_RANGE(2, 309)"
            + " WHERE job_id = '"
            + id
            + "' AND step = 1");
    standAt(id, 309);
    assertEquals(server.write(id, "mould.sidesMm", "14 mm").status(), 200);
    assertEquals(step(id, -1).status(), 200, "the last one is undone");
    standAt(id, 11);
    assertEquals(step(id, -1).status(), 200, "and the 300th before it");
    assertEquals(step(id, -1).status(), 409, "there is nothing before that");
  }

  private void standAt(String id, int step) throws Exception {
    server.sql("UPDATE job SET step_now = " + step + " WHERE id = '" + id + "'");
  }

  @Test
  public void writingTheSameAgainIsNoStep() throws Exception {
    String id = boxJob();
    int version = version(id);
    // what is assumed is decided by writing it, once
    server.write(id, version, "mould.sidesMm", "1.2 cm");
    assertEquals(version(id), version + 1);
    server.write(id, version + 1, "mould.sidesMm", "12 mm");
    assertEquals(version(id), version + 1);
  }

  @Test
  public void grainStaysAsItWasReadWhenTheBoxChanges() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "MEASURED");
    server.write(id, "master.measured.lengthMm", "80");
    server.write(id, "master.measured.widthMm", "55");
    server.write(id, "master.measured.heightMm", "42");
    server.write(id, "master.measured.grainMm3", "300 mL");
    double read = Running.value(server.job(id), "master.volume");
    assertEquals(read, 104 * 79 * 52 - 300_000, 1);
    server.write(id, "mould.sidesMm", "8 mm");
    assertEquals(Running.value(server.job(id), "master.volume"), read, 1e-6);
  }

  @Test
  public void theSameFileIsKeptOnce() throws Exception {
    byte[] stl = Running.stl(Tessellation.box(81, 55, 42));
    String one = server.addJob();
    String two = server.addJob();
    server.upload(one, "a.stl", stl);
    long before = filesKept();
    server.upload(two, "b.stl", stl);
    assertEquals(filesKept(), before);
    assertEquals(
        server.job(one).get("figures").get("rubber.box"),
        server.job(two).get("figures").get("rubber.box"));
  }

  private long filesKept() throws Exception {
    try (var files = Files.list(server.data().resolve("models"))) {
      return files.count();
    }
  }

  @Test
  public void aRestartFindsTheShapeAgain() throws Exception {
    String id = boxJob();
    server.write(id, "pose.turned", "x 90");
    String section = server.get("/api/jobs/" + id + "/section?cut=SIDE").body().toString();
    JsonNode stages = server.job(id).get("stages");
    server.restart();
    assertEquals(server.get("/api/jobs/" + id + "/section?cut=SIDE").body().toString(), section);
    assertEquals(server.job(id).get("stages"), stages);
  }

  private String picture(String id) throws Exception {
    return server.onShelf(id).get("picture").asString();
  }

  @Test
  public void thePictureFollowsTheMouldAndIsKeptMeanwhile() throws Exception {
    String id = boxJob();
    String first = picture(id);
    String path = "/api/jobs/" + id + "/picture/";
    byte[] png = server.get(path + first).raw();
    assertTrue(Arrays.equals(server.get(path + first).raw(), png));
    server.write(id, "rubber.batches", "2");
    assertEquals(picture(id), first);
    server.write(id, "mould.overTopMm", "40 mm");
    String second = picture(id);
    assertNotEquals(second, first);
    Answer taller = server.get(path + second);
    assertFalse(Arrays.equals(taller.raw(), png));
    assertTrue(taller.headers().firstValue("cache-control").orElse("").contains("max-age=3"));
  }

  @Test
  public void everyAddressOfThePageOpensThePage() throws Exception {
    for (String path : new String[] {"/", "/jobs/any/mould", "/rubber", "/workshop", "/help"}) {
      Answer page = server.get(path);
      assertEquals(page.status(), 200, path);
      String html = new String(page.raw(), StandardCharsets.UTF_8);
      assertTrue(html.contains("<div id=\"root\">"), path);
      for (String link : found("(?:src|href)=\"([^\"]*)\"", html)) {
        fetchedFromHere(link);
      }
    }
    assertEquals(server.get("/api/nothing").status(), 404);
  }

  private static List<String> found(String pattern, String in) {
    return Pattern.compile(pattern).matcher(in).results().map(m -> m.group(1)).toList();
  }

  /** Fonts, styles and scripts ship with the application, and so does what they ask for. */
  private void fetchedFromHere(String link) throws Exception {
    if (link.startsWith("data:")) {
      return;
    }
    assertTrue(link.startsWith("/") && !link.startsWith("//"), link);
    Answer file = server.get(link);
    assertEquals(file.status(), 200, link);
    if (link.endsWith(".css")) {
      List<String> asked =
          found("url\\([\"']?([^)\"']*)", new String(file.raw(), StandardCharsets.UTF_8));
      assertTrue(asked.stream().anyMatch(a -> a.endsWith(".woff2")), "the typeface is among them");
      for (String font : asked) {
        fetchedFromHere(font);
      }
    }
  }

  @Test
  public void problemsSayWhatHappenedAndWhatToDo() throws Exception {
    String id = boxJob();
    Answer refused = server.write(id, "mould.sidesMm", "12 kg");
    assertEquals(refused.status(), 422);
    assertEquals(refused.body().get("title").asString(), "Not understood");
    assertTrue(refused.body().get("detail").asString().contains("such as 12 mm or 3/8\""));
    Answer late = server.write(id, version(id) - 1, "mould.sidesMm", "12 mm");
    assertEquals(late.body().get("title").asString(), "Changed in another window");
    Answer none = server.get("/api/jobs/" + id + "/section?cut=SLANTED");
    assertEquals(none.status(), 400);
  }
}
