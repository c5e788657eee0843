package ungula.core.rubber;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import ungula.core.quantity.Numbers;

/**
 * The packs to buy for a need: the cheapest that cover it, exactly, by dynamic programming over
 * grams; of equally cheap ones those that leave least over.
 *
 * @param packs largest first
 * @param massG of them together
 * @param price of them together
 * @param leftG over the need
 */
public record Purchase(List<Pack> packs, double massG, double price, double leftG) {

  /** Prices closer than this are one price. */
  private static final double SAME_PRICE = 1e-6;

  /** Beyond this the pack cheapest by mass is bought for all that is more, g. */
  private static final int LOOKED_AT_G = 400_000;

  /**
   * @param needG base and hardener together
   * @param offered any order; packs lighter than a gram are left out
   * @return empty when nothing is offered
   */
  public static Optional<Purchase> cheapest(double needG, List<Pack> offered) {
    List<Pack> packs = offered.stream().filter(p -> p.massG() >= 1).toList();
    if (packs.isEmpty()) {
      return Optional.empty();
    }
    List<Pack> bought = new ArrayList<>();
    double need = needG;
    Pack bulk =
        packs.stream()
            .min((a, b) -> Double.compare(a.price() / a.massG(), b.price() / b.massG()))
            .orElseThrow();
    while (need > LOOKED_AT_G) {
      int count = (int) Math.ceil((need - LOOKED_AT_G) / bulk.massG());
      bought.addAll(Collections.nCopies(count, bulk));
      need -= count * bulk.massG();
    }
    bought.addAll(covering((int) Math.ceil(need - 1e-9), packs));
    bought.sort((a, b) -> Double.compare(b.massG(), a.massG()));
    double mass = bought.stream().mapToDouble(Pack::massG).sum();
    double price = bought.stream().mapToDouble(Pack::price).sum();
    return Optional.of(new Purchase(List.copyOf(bought), mass, price, mass - needG));
  }

  /** Cheapest, then lightest, for every need up to this one. */
  private static List<Pack> covering(int need, List<Pack> packs) {
    double[] price = new double[need + 1];
    long[] mass = new long[need + 1];
    int[] last = new int[need + 1];
    Arrays.fill(price, Double.POSITIVE_INFINITY);
    price[0] = 0;
    for (int g = 1; g <= need; g++) {
      for (int p = 0; p < packs.size(); p++) {
        int grams = (int) Math.min(need, packs.get(p).massG());
        int rest = Math.max(0, g - grams);
        double at = price[rest] + packs.get(p).price();
        long all = mass[rest] + (long) packs.get(p).massG();
        boolean cheaper = at < price[g] - SAME_PRICE;
        if (cheaper || at < price[g] + SAME_PRICE && all < mass[g]) {
          price[g] = at;
          mass[g] = all;
          last[g] = p;
        }
      }
    }
    List<Pack> bought = new ArrayList<>();
    for (int g = need; g > 0; g -= (int) packs.get(last[g]).massG()) {
      bought.add(packs.get(last[g]));
    }
    return bought;
  }

  /**
   * The cheapest without the smallest pack of this one: dearer, fewer packs, more left over. Empty
   * when there is none, or it costs more than a share.
   */
  public Optional<Purchase> inLargerPacks(double needG, List<Pack> offered, double dearerShare) {
    if (packs.isEmpty()) {
      return Optional.empty();
    }
    double smallest = packs.get(packs.size() - 1).massG();
    return cheapest(needG, offered.stream().filter(p -> p.massG() > smallest).toList())
        .filter(other -> other.price <= (1 + dearerShare) * price);
  }

  /** "5 kg + 1 kg + 1 kg", each by its mass in kilograms; many alike as "4 × 1 kg". */
  public String text() {
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < packs.size(); ) {
      Pack pack = packs.get(i);
      int count = (int) packs.stream().filter(pack::equals).count();
      String kg = Numbers.trimmed(pack.massG() / 1000, 3) + " kg";
      parts.add(count == 1 ? kg : count + " × " + kg);
      i += count;
    }
    return String.join(" + ", parts);
  }
}
