package ungula.core.rubber;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;

/**
 * The packs to buy for a need: the cheapest that cover it, exactly, by dynamic programming over
 * grams; of equally cheap ones those that leave least over. Where parts are sold together and
 * apart, every number of the smallest packs of both is tried, and the rest bought apart.
 *
 * @param packs largest first, those of both parts before those of one
 * @param massG of them together
 * @param price of them together
 * @param leftG over the need
 * @param left of each part, where any is bought apart; null where both are bought together
 * @param missing the part no pack is known of; empty when the need is covered
 */
public record Purchase(
    List<Pack> packs, double massG, double price, double leftG, Parts left, String missing) {

  /** Prices closer than this are one price. */
  private static final double SAME_PRICE = 1e-6;

  /** Beyond this the pack cheapest by mass is bought for all that is more, g. */
  private static final int LOOKED_AT_G = 400_000;

  /** Packs of both parts tried beside parts bought apart. */
  private static final int MOST_TRIED = 60;

  /**
   * What covers the need of either part.
   *
   * @param product with the grade of catalyst picked: packs of others do not count
   * @return empty when its sheet names no packs of it
   */
  public static Optional<Purchase> cheapest(Parts need, Product product) {
    List<Pack> both = holding(product, Pack.Holds.BOTH);
    List<Pack> first = holding(product, Pack.Holds.FIRST);
    List<Pack> second = holding(product, Pack.Holds.SECOND);
    double h = product.soldHardenerPerBase();
    double scarcer = h > 0 ? Math.max(need.firstG(), need.secondG() / h) : need.firstG();
    if (first.isEmpty() && second.isEmpty()) {
      return cheapest(scarcer * (1 + h), both).map(p -> p.against(need));
    }
    Purchase best = apart(need, List.of(), product, first, second);
    if (!both.isEmpty()) {
      double all = scarcer * (1 + h);
      double step = Math.max(both.get(0).massG(), all / MOST_TRIED);
      for (int n = 1; n <= Math.ceil(all / step - 1e-9); n++) {
        List<Pack> some = cheapest(n * step, both).orElseThrow().packs;
        Purchase other = apart(need, some, product, first, second);
        boolean covers = other.missing.isEmpty();
        if (covers && (!best.missing.isEmpty() || other.price < best.price - SAME_PRICE)) {
          best = other;
        }
      }
    }
    return best.packs.isEmpty() && !best.missing.isEmpty() ? Optional.empty() : Optional.of(best);
  }

  private static List<Pack> holding(Product product, Pack.Holds what) {
    return product.packs().stream().filter(p -> p.holds(product) == what).toList();
  }

  /** What some packs of both parts leave to buy, bought apart. */
  private static Purchase apart(
      Parts need, List<Pack> both, Product product, List<Pack> first, List<Pack> second) {
    Parts there = Parts.of(product, both.stream().mapToDouble(Pack::massG).sum());
    Parts rest = need.less(there);
    List<Pack> packs = new ArrayList<>(both);
    List<String> missing = new ArrayList<>();
    Parts bought = there;
    if (rest.firstG() > 0) {
      Optional<Purchase> its = cheapest(rest.firstG(), first);
      its.ifPresentOrElse(p -> packs.addAll(p.packs), () -> missing.add(product.role().first()));
      bought = bought.plus(new Parts(its.map(Purchase::massG).orElse(0.0), 0));
    }
    if (rest.secondG() > 0) {
      Optional<Purchase> its = cheapest(rest.secondG(), second);
      its.ifPresentOrElse(p -> packs.addAll(p.packs), () -> missing.add(product.role().second()));
      bought = bought.plus(new Parts(0, its.map(Purchase::massG).orElse(0.0)));
    }
    Parts left = bought.less(need);
    return new Purchase(
        List.copyOf(packs),
        bought.totalG(),
        packs.stream().mapToDouble(Pack::price).sum(),
        left.totalG(),
        left,
        String.join(" and ", missing));
  }

  /** The same, with what it leaves over of a need of both parts. */
  private Purchase against(Parts need) {
    return new Purchase(packs, massG, price, massG - need.totalG(), null, "");
  }

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
    return Optional.of(new Purchase(List.copyOf(bought), mass, price, mass - needG, null, ""));
  }

  /** Cheapest, then lightest, for every need up to this one, in steps that all packs are of. */
  private static List<Pack> covering(int needG, List<Pack> packs) {
    int step =
        packs.stream()
            .map(p -> BigInteger.valueOf((long) p.massG()))
            .reduce(BigInteger.ZERO, BigInteger::gcd)
            .intValue();
    int need = (needG + step - 1) / step;
    double[] price = new double[need + 1];
    long[] mass = new long[need + 1];
    int[] last = new int[need + 1];
    Arrays.fill(price, Double.POSITIVE_INFINITY);
    price[0] = 0;
    for (int g = 1; g <= need; g++) {
      for (int p = 0; p < packs.size(); p++) {
        int rest = Math.max(0, g - (int) packs.get(p).massG() / step);
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
    for (int g = need; g > 0; g -= (int) packs.get(last[g]).massG() / step) {
      bought.add(packs.get(last[g]));
    }
    return bought;
  }

  /**
   * The cheapest without the smallest pack of this one: dearer, fewer packs, more left over. Empty
   * when there is none, it costs more than a share, or parts are bought apart.
   */
  public Optional<Purchase> inLargerPacks(double needG, List<Pack> offered, double dearerShare) {
    if (packs.isEmpty() || left != null) {
      return Optional.empty();
    }
    double smallest = packs.get(packs.size() - 1).massG();
    return cheapest(needG, offered.stream().filter(p -> p.massG() > smallest).toList())
        .filter(other -> other.price <= (1 + dearerShare) * price);
  }

  /** What is left over: of each part where they are bought apart. */
  public String leftText(Product product, Units units) {
    return left == null
        ? Mass.format(leftG, units)
        : Mass.format(left.firstG(), units)
            + " of "
            + product.role().first()
            + " and "
            + Mass.format(left.secondG(), units)
            + " of "
            + product.role().second();
  }

  /** "5 kg + 1 kg + 1 kg", each by its mass in kilograms; many alike as "4 × 1 kg". */
  public String text() {
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < packs.size(); ) {
      Pack pack = packs.get(i);
      int count = (int) packs.stream().filter(pack::equals).count();
      parts.add(count == 1 ? pack.text() : count + " × " + pack.text());
      i += count;
    }
    return String.join(" + ", parts);
  }
}
