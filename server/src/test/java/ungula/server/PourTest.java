package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** Batches follow what the workshop says it has; contact follows what is done to the master. */
public class PourTest extends OnServer {

  private void workshop(String word, String text) throws Exception {
    int version = server.get("/api/workshop").body().get("version").asInt();
    String edits = Running.edits(version, word, text);
    assertEquals(server.post("/api/workshop/edits", edits).status(), 200, word);
  }

  private String job(String... edits) throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(200, 150, 60)));
    server.write(id, "rubber.product", "marram-20");
    for (int i = 0; i < edits.length; i += 2) {
      server.write(id, edits[i], edits[i + 1]);
    }
    return id;
  }

  private static int count(JsonNode job) {
    return job.get("batches").get("each").size();
  }

  private static String fill(JsonNode job) {
    return job.get("figures").get("batch.1.fill").get("text").asString();
  }

  @Test
  public void theWorkshopsLimitsSplitEveryJob() throws Exception {
    String[][] vessels = {
      {"cup.bottomMm", "84 mm"}, {"cup.topMm", "108 mm"}, {"cup.heightMm", "140 mm"},
      {"jug.bottomMm", "130 mm"}, {"jug.topMm", "165 mm"}, {"jug.heightMm", "200 mm"}
    };
    for (String[] v : vessels) {
      workshop("mixing." + v[0], v[1]);
    }
    workshop("handMixG", "2.5 kg");
    String id = job();
    JsonNode one = server.job(id);
    assertEquals(count(one), 1);
    assertEquals(one.get("batches").get("reason").asString(), "");
    workshop("handMixG", "400 g");
    JsonNode many = server.job(id);
    int n = count(many);
    assertTrue(n > 1, "rubber for a block that size is over 400 g");
    assertTrue(Running.value(many, "mix.total") <= 400);
    assertTrue(many.get("batches").get("reason").asString().contains("stirred"));
    assertTrue(many.get("batches").get("fewer").toString().contains("1 batch with a mixer"));
    // each has its mark in the smallest vessel that holds it
    assertTrue(fill(many).endsWith(", cup"), fill(many));
    workshop("mixing.cup.bottomMm", "");
    JsonNode marked = server.job(id);
    assertTrue(fill(marked).endsWith(", jug"), fill(marked));
    assertEquals(
        Running.value(marked, "batch." + count(marked) + ".level"),
        Running.value(marked, "batch.1.level") * count(marked),
        60);
    workshop("handMixG", "2.5 kg");
  }

  @Test
  public void packsAreBoughtForAllMoulds() throws Exception {
    String id = job();
    String one = server.job(id).get("figures").get("buy.0").get("text").asString();
    assertTrue(one.contains(" kg for "), one);
    server.write(id, "rubber.moulds", "12");
    JsonNode twelve = server.job(id);
    assertTrue(Running.value(twelve, "buy.0") > 3 * Running.value(server.job(job()), "buy.0"));
    server.write(id, "rubber.product", "");
    assertFalse(server.job(id).get("figures").has("buy.0"));
  }

  /** 1 : 1 by volume, 1.04 and 1.22: 600 mL are 312 g and 366 g. */
  @Test
  public void aBareVolumeIsMixedWithoutAJob() throws Exception {
    JsonNode mix = server.get("/api/mix?product=samphire-15&amount=600%20mL").body();
    assertEquals(mix.get("figures").get("now.base").get("value").asDouble(), 312, 0.1);
    assertEquals(mix.get("figures").get("now.hardener").get("value").asDouble(), 366, 0.1);
    JsonNode stopped =
        server.get("/api/mix?product=gannet-25&amount=1%20kg&ratio=4%20:%201%20by%20weight").body();
    assertTrue(stopped.get("stop").asString().contains("25 g of hardener"), stopped.toString());
    assertEquals(stopped.get("figures").size(), 0);
    assertEquals(server.get("/api/mix?product=samphire-15&amount=much").status(), 422);
    assertEquals(server.get("/api/mix?product=nothing&amount=1%20kg").status(), 404);
  }

  @Test
  public void contactIsStoppedAndLifted() throws Exception {
    String id = job();
    assertTrue(Running.caution(server.job(id), "contact.master").contains("CHECK"), "unknown yet");
    server.write(id, "master.material", "PRINT_RESIN");
    server.write(id, "master.preparation", "BARE");
    assertTrue(Running.caution(server.job(id), "contact.master").contains("STOP"));
    server.write(id, "master.preparation", "CURED");
    assertTrue(Running.caution(server.job(id), "contact.master").contains("CHECK"));
    server.write(id, "master.patch", "CURED");
    assertEquals(Running.caution(server.job(id), "contact.master"), "");
    // of another rubber nobody tried a patch yet
    server.write(id, "rubber.product", "samphire-15");
    assertTrue(Running.caution(server.job(id), "contact.master").contains("Try a patch"));
    server.write(id, "rubber.product", "gannet-25");
    assertEquals(Running.caution(server.job(id), "contact.master"), "");
  }
}
