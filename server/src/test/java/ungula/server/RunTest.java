package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.device.StandInScale;
import ungula.core.master.Tessellation;
import ungula.server.device.StandInDoor;

/** A mould made at the bench, over HTTP: what happened is kept, whatever happens. */
public class RunTest extends OnBench {

  private String job() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    server.write(id, "rubber.product", "marram-20");
    return id;
  }

  @Test
  public void aMouldIsMadeFromTheFirstStepToTheLast() throws Exception {
    String job = job();
    server.post("/api/stock", "{\"product\": \"marram-20\"}");
    double before = usable();
    String run = begun(job);
    JsonNode weighs = until(run, kind("WEIGH"));
    assertEquals(weighs.get("weighing").get("name").asString(), "base");
    until(run, t -> t.get("key").asString().endsWith(".stir"));
    JsonNode clocks = run(run).get("clocks");
    assertEquals(clocks.get(0).get("what").asString(), "POT_LIFE");
    assertEquals(clocks.get(0).get("rings").size(), 3);
    assertEquals(usable(), before, 1e-9, "it is still in the cup");
    JsonNode level = until(run, kind("LEVEL"));
    assertTrue(usable() < before - 100, "what was poured is not on the shelf");
    // a third less than there should be
    String expected = level.get("batches").get(0).get("expected").asString();
    double mm = Double.parseDouble(expected.replaceAll("[^0-9.]", ""));
    act(run, "LEVEL", "value", mm - 12 + " mm");
    JsonNode shortened = run(run).get("batches").get(0).get("level");
    assertEquals(shortened.get("verdict").asString(), "SHORT");
    assertTrue(shortened.get("lookAt").get(0).asString().contains("leak"), shortened.toString());
    act(run, "LEVEL", "value", expected);
    assertEquals(run(run).get("batches").get(0).get("level").get("verdict").asString(), "WITHIN");
    JsonNode end = until(run, t -> false);
    assertEquals(end.get("done").asInt(), end.get("tasks").size());
    JsonNode mould = moulds(job).get(0);
    assertEquals(
        server.get("/api/moulds/" + mould.get("code").asString()).body().get("run").asString(),
        run);
    assertFalse(mould.get("made").asString().isEmpty());
    assertTrue(end.get("entries").toString().contains("MB"));
    server.post("/api/runs/" + run + "/ended?ended=true", "");
    assertTrue(run(run).has("ended"));
    // made before moulds were kept, it is known after the start; and only once
    server.sql("DELETE FROM mould");
    server.restart();
    assertEquals(moulds(job).size(), 1);
    assertEquals(act(run, "FOAM", "foam", "RISES").status(), 409, "it is ended");
    assertEquals(act(run, "CORRECT", "number", 1, "why", "seen later").status(), 200);
    assertFalse(server.get("/api/runs").body().toString().contains(run));
    assertTrue(server.get("/api/jobs/" + job + "/runs").body().toString().contains(run));
  }

  private List<JsonNode> moulds(String job) throws Exception {
    List<JsonNode> its = new ArrayList<>();
    for (JsonNode m : server.get("/api/moulds").body().get("moulds")) {
      if (m.get("job").asString().equals(job)) {
        its.add(m);
      }
    }
    return its;
  }

  private double usable() throws Exception {
    for (JsonNode p : server.get("/api/stock").body().get("products")) {
      if (p.get("product").asString().equals("marram-20")) {
        return p.get("usable").get("value").asDouble();
      }
    }
    return 0;
  }

  /** One cup for two moulds: weighed once, it is known, clocked and taken from stock in both. */
  @Test
  public void oneBatchIsWeighedForTwoMoulds() throws Exception {
    String run = begun(job());
    String lid = server.addJob();
    server.post("/api/jobs/" + lid + "/name", "{\"name\": \"Lid\"}");
    server.upload(lid, "lid.stl", Running.stl(Tessellation.box(50, 45, 12)));
    server.write(lid, "rubber.product", "marram-20");
    String other = begun(lid);
    until(run, kind("WEIGH"));
    assertEquals(sharing(run, other), null, "the lid is not ready");
    until(other, kind("WEIGH"));
    double alone = grams(run(run).get("weighing").get("target").asString());
    double its = grams(run(other).get("weighing").get("target").asString());
    assertEquals(sharing(run, other).get("mould").asString(), "Lid");
    assertEquals(act(run, "SHARE", "key", other).status(), 200);
    assertEquals(sharing(run, other), null, "asked already");
    double both = grams(run(run).get("weighing").get("target").asString());
    assertEquals(both, alone + its, 0.11);
    act(run, "GRAMS", "value", both + " g");
    assertTrue(run(other).get("weighing").get("headline").asString().startsWith("Pour base"));
    act(run, "GRAMS", "value", run(run).get("weighing").get("target").asString());
    JsonNode fed = run(other);
    assertEquals(task(fed, "pour.1.1.weigh").get("status").asString(), "DONE");
    assertTrue(fed.get("entries").toString().contains("mixed in one cup with"), fed.toString());
    assertEquals(
        fed.get("clocks").get(0).get("fromMs"), run(run).get("clocks").get(0).get("fromMs"));
    until(run, kind("POUR"));
    JsonNode poured = run(other);
    assertEquals(
        task(poured, poured.get("next").asString()).get("kind").asString(),
        "POUR",
        "what was done with the cup was done for both");
    // what is known of both is made again of what is kept
    JsonNode before = run(other).get("entries");
    server.restart();
    assertEquals(run(other).get("entries"), before);
    act(run, "TICK", "key", "pour.1.1.pour");
    act(other, "TICK", "key", "pour.1.1.pour");
    double mixed = 0;
    for (String job : new String[] {run(run).get("job").asString(), lid}) {
      for (JsonNode m : server.get("/api/jobs/" + job + "/mixed").body()) {
        mixed += grams(m.get("text").asString().split(" of ")[0].split(" \\+ ")[0]);
      }
    }
    assertEquals(mixed, both, 0.2);
  }

  private JsonNode sharing(String run, String other) throws Exception {
    for (JsonNode offer : run(run).get("sharing")) {
      if (offer.get("run").asString().equals(other)) {
        return offer;
      }
    }
    return null;
  }

  /** Thrown away it is thrown away for both, and weighed anew for both. */
  @Test
  public void aSharedCupThatIsThrownAwayIsGoneForBoth() throws Exception {
    String run = begun(job());
    String other = begun(job());
    until(run, kind("WEIGH"));
    until(other, kind("WEIGH"));
    act(run, "SHARE", "key", other);
    until(run, kind("HANDS"));
    assertEquals(task(run(other), "pour.1.1.weigh").get("status").asString(), "DONE");
    assertEquals(act(run, "START_OVER", "key", "pour.1.1").status(), 200);
    assertEquals(task(run(other), "pour.1.1.weigh").get("status").asString(), "READY");
    until(run, kind("HANDS"));
    assertEquals(task(run(other), "pour.1.1.weigh").get("status").asString(), "DONE");
    assertEquals(act(other, "SHARE", "key", run).status(), 404, "it is weighed by now");
  }

  /** Pigment and thinner, each by its own weight, the hardener first where that is the habit. */
  @Test
  public void severalThingsAreStirredIn() throws Exception {
    String job = job();
    server.write(job, "rubber.first", "HARDENER");
    server.write(job, "rubber.additive.dosePct", "1 %");
    server.write(job, "rubber.also.kind", "THINNER");
    server.write(job, "rubber.also.dosePct", "2 %");
    JsonNode figures = server.job(job).get("figures");
    assertTrue(figures.has("mix.also"), "each is weighed");
    String run = begun(job);
    until(run, kind("WEIGH"));
    List<String> order = new ArrayList<>();
    while (task(run(run), "pour.1.1.weigh").get("status").asString().equals("READY")) {
      JsonNode weighing = run(run).get("weighing");
      order.add(weighing.get("name").asString());
      act(
          run,
          "GRAMS",
          "key",
          "pour.1.1",
          "part",
          weighing.get("part").asString(),
          "which",
          weighing.get("which").asInt(),
          "value",
          weighing.get("target").asString());
    }
    assertEquals(order, List.of("hardener", "base", "pigment", "thinner"));
  }

  /** Planned again, a mould goes on by what it was begun by, and what that is not is said. */
  @Test
  public void planningAgainChangesNoMouldThatIsBegun() throws Exception {
    String job = job();
    String run = begun(job);
    until(run, kind("GATE"));
    JsonNode before = run(run).get("tasks");
    assertEquals(changes(run).get("says").size(), 0);
    server.write(job, "rubber.batches", "2");
    assertEquals(changes(run).get("says").get(0).asString(), "2 batches in place of 1.");
    assertEquals(run(run).get("tasks"), before);
    String gate = task(run(run), "pour.1.gate.box").get("key").asString();
    act(run, "GATE", "key", gate, "yes", true);
    JsonNode entries = run(run).get("entries");
    assertEquals(entries.get(entries.size() - 1).get("step").asString(), gate);
  }

  private JsonNode changes(String run) throws Exception {
    return server.get("/api/runs/" + run + "/changes").body();
  }

  /** It goes on by the new plan where somebody says so, what happened stays, also when killed. */
  @Test
  public void aMouldThatIsBegunGoesOnByTheNewPlanWhenThatIsSaid() throws Exception {
    String job = job();
    String run = begun(job);
    until(run, t -> t.get("key").asString().equals("pour.1.1.weigh"));
    server.write(job, "rubber.batches", "2");
    assertTrue(changes(run).get("may").asBoolean());
    JsonNode before = run(run).get("entries");
    String next = run(run).get("next").asString();
    assertEquals(act(run, "REPLAN").status(), 200);
    JsonNode after = run(run);
    JsonNode told = after.get("entries");
    assertEquals(told.size(), before.size() + 1);
    for (int i = 0; i < before.size(); i++) {
      assertEquals(told.get(i), before.get(i));
    }
    String said = told.get(before.size()).get("text").asString();
    assertTrue(said.startsWith("Gone on by the new plan. 2 batches in place of 1."), said);
    assertEquals(after.get("next").asString(), next);
    assertEquals(after.get("batches").size(), 2);
    assertEquals(changes(run).get("says").size(), 0);
    server.restart();
    assertEquals(run(run).get("tasks"), after.get("tasks"));
    // once the first of two is mixed, the pour is finished as two
    until(run, t -> t.get("key").asString().equals("pour.1.2.weigh"));
    server.write(job, "rubber.batches", "3");
    assertEquals(changes(run).get("asBegun").get(0).asString(), "the pour");
    assertFalse(changes(run).get("may").asBoolean());
    server.write(job, "mould.overTopMm", "25");
    assertTrue(changes(run).get("why").asString().contains("box of another size"));
    Running.Answer no = act(run, "REPLAN");
    assertEquals(no.status(), 422, no.text());
    assertEquals(run(run).get("batches").size(), 2);
    until(run, t -> t.get("kind").asString().equals("NONE"));
    assertEquals(run(run).get("next").asString(), "");
  }

  @Test
  public void whatIsDeliveredTwiceHappensOnce() throws Exception {
    String run = begun(job());
    until(run, kind("WEIGH"));
    String id = UUID.randomUUID().toString();
    deliver(run, id, "GRAMS", "value", "100 g", "agoMs", 60_000);
    int after = run(run).get("version").asInt();
    deliver(run, id, "GRAMS", "value", "100 g", "agoMs", 60_000);
    assertEquals(run(run).get("version").asInt(), after);
    server.restart();
    deliver(run, id, "GRAMS", "value", "100 g", "agoMs", 60_000);
    assertEquals(run(run).get("version").asInt(), after, "not after a restart either");
  }

  @Test
  public void whatCannotBeIsRefusedInWords() throws Exception {
    String run = begun(job());
    int before = run(run).get("version").asInt();
    JsonNode weighs = task(run(run), "pour.1.1.weigh");
    assertEquals(weighs.get("status").asString(), "OPEN");
    Running.Answer no = act(run, "TICK", "key", "pour.1.1.stir");
    assertEquals(no.status(), 422);
    assertTrue(no.text().contains("The base is not weighed yet."), no.text());
    assertEquals(act(run, "GRAMS", "value", "much").status(), 422);
    assertEquals(act(run, "TARE").status(), 422, "there is no scale");
    assertEquals(deliver(run, "x".repeat(37), "TICK", "key", "box").status(), 422);
    assertEquals(run(run).get("version").asInt(), before);
    assertEquals(act(UUID.randomUUID().toString(), "TICK", "key", "x").status(), 404);
  }

  /** A gate is passed, an entry corrected: both are written down. */
  @Test
  public void nothingIsPassedWithoutARecord() throws Exception {
    String run = begun(job());
    until(run, kind("GATE"));
    act(run, "GATE", "key", "pour.1.gate.box", "yes", false);
    JsonNode gate = task(run(run), "pour.1.gate.box");
    assertEquals(gate.get("status").asString(), "SKIPPED");
    JsonNode entries = run(run).get("entries");
    JsonNode last = entries.get(entries.size() - 1);
    assertTrue(last.get("text").asString().startsWith("Skipped: "), last.toString());
    assertEquals(last.get("who").asString(), "MB");
    act(run, "CORRECT", "number", last.get("number").asInt(), "why", "it was looked at");
    assertEquals(task(run(run), "pour.1.gate.box").get("status").asString(), "READY");
    assertFalse(run(run).get("entries").get(entries.size() - 1).get("counts").asBoolean());
  }

  /** Planned again, a run goes on by what it was begun with. */
  @Test
  public void aRunKeepsThePlanItWasBegunWith() throws Exception {
    String job = job();
    String run = begun(job);
    String target = run(run).get("weighing").get("target").asString();
    server.write(job, "mould.sidesMm", "30 mm");
    assertEquals(run(run).get("weighing").get("target").asString(), target);
    assertNotEquals(run(begun(job)).get("weighing").get("target").asString(), target);
    String empty = server.addJob();
    assertEquals(server.post("/api/jobs/" + empty + "/runs", "").status(), 409);
  }

  private JsonNode live(String run) throws Exception {
    return server.get("/api/runs/" + run + "/now").body();
  }

  private JsonNode await(String run, Predicate<JsonNode> what) throws Exception {
    Instant late = Instant.now().plus(Duration.ofSeconds(60));
    for (JsonNode now = live(run); ; now = live(run)) {
      if (what.test(now)) {
        return now;
      }
      if (Instant.now().isAfter(late)) {
        throw new AssertionError("Not yet: " + now);
      }
      Running.lookLater();
    }
  }

  private static String left(JsonNode live) {
    return live.has("weighing") ? live.get("weighing").get("left").asString() : "";
  }

  /** Poured on a scale, lost, killed and gone on with: targets follow what was really poured. */
  @Test
  public void whatIsPouredOnAScaleIsKeptAsItIsPoured() throws Exception {
    String run = begun(job());
    until(run, kind("WEIGH"));
    try (StandInDoor door = new StandInDoor(StandInScale.usual(7), 0)) {
      String device = "{\"kind\": \"SCALE\", \"address\": \"127.0.0.1:" + door.port() + "\"}";
      String added = server.post("/api/devices", device).body().get("id").asString();
      await(run, l -> !l.get("scale").asString().isEmpty() && !l.get("laden").asBoolean());
      door.hand("put 45");
      await(run, l -> l.get("laden").asBoolean());
      await(run, l -> l.get("settled").asBoolean() && l.get("scale").asString().startsWith("45"));
      assertEquals(act(run, "TARE").status(), 200);
      String target = run(run).get("weighing").get("target").asString();
      double baseG = Double.parseDouble(target.replaceAll("[^0-9.]", ""));
      door.hand("put " + (baseG + 14));
      await(
          run,
          l -> l.has("weighing") && l.get("weighing").get("name").asString().equals("hardener"));
      JsonNode weighing = run(run).get("weighing");
      assertTrue(weighing.get("follows").asString().contains("more than planned"), "" + weighing);
      List<String> before = texts(run);
      server.restart();
      assertEquals(texts(run), before);
      assertEquals(run(run).get("weighing"), weighing, "the target is the same");
      await(run, l -> !l.get("scale").asString().isEmpty());
      act(run, "TARE");
      String second = weighing.get("target").asString();
      double hardenerG = Double.parseDouble(second.replaceAll("[^0-9.]", ""));
      door.hand("put " + hardenerG);
      await(run, l -> left(l).equals("in the green"));
      until(run, t -> t.get("key").asString().endsWith(".stir"));
      assertTrue(texts(run).toString().contains("from the scale"), texts(run).toString());
      server.delete("/api/devices/" + added);
      assertEquals(server.get("/api/devices").body().size(), 0);
    }
  }

  /** What is poured leaves the pack that was picked, not the one whose turn it is. */
  @Test
  public void rubberIsTakenFromThePackThatIsPicked() throws Exception {
    String run = begun(job());
    server.post("/api/stock", "{\"product\": \"marram-20\"}");
    server.post("/api/stock", "{\"product\": \"marram-20\"}");
    JsonNode gate = until(run, t -> t.get("lot").asBoolean());
    assertEquals(task(gate, gate.get("next").asString()).get("kind").asString(), "GATE");
    JsonNode packs = server.get("/api/runs/" + run + "/lots").body();
    JsonNode last = packs.get(packs.size() - 1);
    assertEquals(act(run, "LOT", "key", "no such pack").status(), 404);
    act(run, "LOT", "key", last.get("id").asString());
    assertTrue(texts(run).contains("Rubber is taken from a pack without a number"));
    until(run, kind("LEVEL"));
    JsonNode after = server.get("/api/runs/" + run + "/lots").body();
    assertEquals(after.size(), packs.size());
    for (int i = 0; i < packs.size(); i++) {
      JsonNode pack = after.get(i);
      boolean picked = pack.get("id").equals(last.get("id"));
      assertEquals(pack.get("picked").asBoolean(), picked);
      assertEquals(pack.get("left").equals(packs.get(i).get("left")), !picked, "" + pack);
    }
  }

  private String scale(StandInDoor door, String name) throws Exception {
    return server
        .post(
            "/api/devices",
            "{\"kind\": \"SCALE\", \"name\": \"%s\", \"address\": \"127.0.0.1:%d\"}"
                .formatted(name, door.port()))
        .body()
        .get("id")
        .asString();
  }

  /** Of two scales the one that is picked is read, also after a restart; a lost one by no other. */
  @Test
  public void ofTwoScalesTheOneThatIsPickedIsRead() throws Exception {
    String run = begun(job());
    until(run, kind("WEIGH"));
    StandInDoor lost = new StandInDoor(StandInScale.usual(8), 0);
    try (StandInDoor fine = new StandInDoor(StandInScale.usual(9), 0)) {
      String first = scale(lost, "Large scale");
      await(run, l -> !l.get("scale").asString().isEmpty());
      String second = scale(fine, "Fine scale");
      await(run, l -> l.get("others").size() == 1);
      lost.hand("put 45");
      await(run, l -> l.get("settled").asBoolean() && l.get("scale").asString().startsWith("45"));
      assertEquals(act(run, "TARE").status(), 200);
      fine.hand("put 12");
      act(run, "SCALE", "key", second);
      await(run, l -> l.get("settled").asBoolean() && l.get("scale").asString().startsWith("12"));
      JsonNode live = server.get("/api/runs/" + run + "/now").body();
      assertEquals(live.get("scaleSays").asString(), "set the scale to zero");
      assertEquals(live.get("others").get(0).get("id").asString(), first);
      assertTrue(texts(run).contains("Another scale is read: Fine scale"), "" + texts(run));
      act(run, "SCALE", "key", first);
      server.restart();
      await(run, l -> l.get("others").size() == 1 && l.get("scale").asString().startsWith("0"));
      lost.close();
      await(run, l -> l.get("scale").asString().isEmpty());
      assertEquals(
          server.get("/api/runs/" + run + "/now").body().get("scaleSays").asString(),
          "scale not heard: type it");
      server.delete("/api/devices/" + first);
      server.delete("/api/devices/" + second);
    } finally {
      lost.close();
    }
  }

  /** One scale for two moulds: set to zero for one, it is not known what the other's cup weighs. */
  @Test
  public void aScaleSetToZeroForAnotherMouldIsNotBelieved() throws Exception {
    String one = begun(job());
    until(one, kind("WEIGH"));
    String other = begun(job());
    until(other, kind("WEIGH"));
    String device = "";
    try (StandInDoor door = new StandInDoor(StandInScale.usual(10), 0)) {
      device = scale(door, "Only scale");
      await(one, l -> l.get("scale").asString().startsWith("0"));
      assertEquals(act(one, "TARE").status(), 200);
      await(one, l -> !l.get("weighing").get("toZero").asBoolean());
      assertEquals(act(other, "TARE").status(), 200);
      await(other, l -> !l.get("weighing").get("toZero").asBoolean());
      assertTrue(texts(one).contains("The scale was set to zero for another mould"));
      act(one, "SCALE");
      await(one, l -> l.get("weighing").get("toZero").asBoolean());
    } finally {
      server.delete("/api/devices/" + device);
    }
  }

  private List<String> texts(String run) throws Exception {
    List<String> all = new ArrayList<>();
    run(run).get("entries").forEach(e -> all.add(e.get("text").asString()));
    return all;
  }

  /** Twelve times stopped in the middle of a batch, with a scale that goes on. */
  @Test
  public void noKillLosesWhatWasAcknowledged() throws Exception {
    String run = begun(job());
    until(run, kind("WEIGH"));
    List<String> kept = texts(run);
    for (int i = 0; i < 12; i++) {
      Running.Answer done =
          act(run, "FOAM", "foam", "RISES").status() == 200
              ? act(run, "FOAM", "foam", "FALLEN")
              : does(run, run(run), task(run(run), run(run).get("next").asString()));
      assertEquals(done.status(), 200, done.text());
      List<String> now = texts(run);
      assertEquals(now.subList(0, kept.size()), kept);
      kept = now;
      JsonNode clocks = run(run).get("clocks");
      server.restart();
      assertEquals(texts(run), kept);
      assertEquals(run(run).get("clocks"), clocks, "no clock moved");
    }
  }

  /** The same bench with stand-ins and a hurried clock; nothing of it is kept. */
  @Test
  public void aRehearsalGoesByTheSameRulesAndIsKeptNowhere() throws Exception {
    String job = job();
    server.post("/api/stock", "{\"product\": \"marram-20\"}");
    double before = usable();
    Running.Answer begun = server.post("/api/jobs/" + job + "/rehearsals", "");
    assertEquals(begun.status(), 200, begun.text());
    String run = begun.body().get("id").asString();
    assertTrue(begun.body().get("rehearsal").asBoolean());
    until(run, kind("WEIGH"));
    hand(run, "put 45");
    await(run, l -> l.get("settled").asBoolean() && l.get("scale").asString().startsWith("45"));
    assertEquals(act(run, "TARE").status(), 200);
    double base = grams(run(run).get("weighing").get("target").asString());
    hand(run, "put " + base);
    await(
        run, l -> l.has("weighing") && l.get("weighing").get("name").asString().equals("hardener"));
    hand(run, "put " + 1.1 * grams(run(run).get("weighing").get("target").asString()));
    await(
        run,
        l -> left(l).endsWith("to go") && l.get("weighing").get("name").asString().equals("base"));
    server.post("/api/runs/" + run + "/speed?times=600", "");
    assertEquals(server.post("/api/runs/" + run + "/speed?times=0", "").status(), 422);
    // an hour in six seconds: the pot life is over
    await(run, l -> score(run).contains("stands mixed since"));
    assertTrue(score(run).contains("got too much hardener"), score(run));
    assertEquals(server.get("/api/jobs/" + job + "/runs").body().size(), 0);
    assertFalse(server.get("/api/runs").body().toString().contains(run));
    assertEquals(usable(), before, 1e-9);
    assertEquals(
        server.postFile("/api/runs/" + run + "/pictures?who=&step=box", new byte[3]).status(), 415);
    assertEquals(server.post("/api/runs/" + run + "/ended?ended=true", "").status(), 404);
    server.restart();
    assertEquals(server.get("/api/runs/" + run).status(), 404);
  }

  private String score(String run) {
    try {
      return server.get("/api/runs/" + run + "/score").text();
    } catch (Exception e) {
      throw new AssertionError(e);
    }
  }

  private void hand(String run, String deed) throws Exception {
    String body = JSON.writeValueAsString(Map.of("kind", "SCALE", "deed", deed));
    assertEquals(server.post("/api/runs/" + run + "/hand", body).status(), 200);
  }

  private static double grams(String text) {
    return Double.parseDouble(text.replaceAll("[^0-9.]", ""));
  }

  @Test
  public void aPictureIsKeptWithItsStep() throws Exception {
    String run = begun(job());
    String step = run(run).get("next").asString();
    byte[] png;
    try (var in = RunTest.class.getResourceAsStream("/kept/point.png")) {
      png = in.readAllBytes();
    }
    String path = "/api/runs/" + run + "/pictures?who=MB&step=" + step;
    Running.Answer answer = server.postFile(path, png);
    assertEquals(answer.status(), 200, answer.text());
    String id = task(answer.body(), step).get("pictures").get(0).asString();
    byte[] jpeg = server.get("/api/runs/" + run + "/pictures/" + id).raw();
    assertEquals(jpeg[0] & 0xff, 0xff);
    assertEquals(server.postFile(path, new byte[] {1, 2, 3}).status(), 415);
    assertEquals(server.postFile(path.replace(step, "nowhere"), png).status(), 422);
    assertEquals(server.get("/api/runs/" + run + "/pictures/none").status(), 404);
  }

  @Test
  public void aDeviceThatDoesNotAnswerSaysSo() throws Exception {
    assertEquals(
        server.post("/api/devices", "{\"kind\": \"ROOM\", \"address\": \"here\"}").status(), 422);
    String id =
        server
            .post("/api/devices", "{\"kind\": \"ROOM\", \"address\": \"127.0.0.1:1\"}")
            .body()
            .get("id")
            .asString();
    Instant late = Instant.now().plus(Duration.ofSeconds(30));
    String trouble = "";
    while (!trouble.startsWith("Nothing answers") && Instant.now().isBefore(late)) {
      Running.lookLater();
      trouble = server.get("/api/devices").body().get(0).get("trouble").asString();
    }
    assertTrue(trouble.startsWith("Nothing answers at 127.0.0.1:1"), trouble);
    String named = "{\"kind\": \"ROOM\", \"name\": \"wall\", \"address\": \"127.0.0.1:2\"}";
    assertEquals(server.post("/api/devices/" + id, named).body().get("name").asString(), "wall");
    server.delete("/api/devices/" + id);
    assertEquals(server.delete("/api/devices/" + id).status(), 404);
  }
}
