package ungula.core.working;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;

/** The figures of one thing in the order they are worked out, shown in the job's units. */
public final class FigureBook {

  private final FigureKeys keys;
  private final Units units;
  private final String currency;
  private final Map<String, Figure> figures = new LinkedHashMap<>();

  /**
   * @param keys of the figures it may hold
   */
  public FigureBook(FigureKeys keys, Units units, String currency) {
    this.keys = keys;
    this.units = units;
    this.currency = currency;
  }

  public Map<String, Figure> all() {
    return Collections.unmodifiableMap(figures);
  }

  public Figure get(String key) {
    return figures.get(key);
  }

  public boolean has(String key) {
    return figures.containsKey(key);
  }

  public double value(String key) {
    return figures.get(key).value();
  }

  public void put(String key, String label, double value, String text, Working w) {
    put(new Figure(key, label, value, text, text, w));
  }

  public void length(String key, String label, double mm, Working w) {
    put(new Figure(key, label, mm, Length.format(mm, units), Length.exact(mm, units), w));
  }

  /** Of a length run along, such as a seam. */
  public void run(String key, String label, double mm, Working w) {
    put(new Figure(key, label, mm, Length.run(mm, units), Length.exact(mm, units), w));
  }

  public void volume(String key, String label, double mm3, Working w) {
    put(
        new Figure(
            key, label, mm3, orNone(Volume.format(mm3, units)), Volume.exact(mm3, units), w));
  }

  public void mass(String key, String label, double g, Working w) {
    put(new Figure(key, label, g, orNone(Mass.format(g, units)), Mass.exact(g, units), w));
  }

  /** A part of a whole. */
  public void share(String key, String label, double share, int decimals, Working w) {
    String text = Share.format(share, decimals);
    put(new Figure(key, label, share, orNone(text), text, w));
  }

  public void cost(String key, String label, double amount, Working w) {
    put(key, label, amount, money(amount), w);
  }

  /** What is not there is none, and not nought of something. */
  private static String orNone(String text) {
    return text.chars().anyMatch(c -> c >= '1' && c <= '9') ? text : "none";
  }

  private void put(Figure f) {
    if (!keys.known(f.key())) {
      throw new IllegalArgumentException(keys.of() + " has no figure “" + f.key() + "”.");
    }
    figures.put(f.key(), f);
  }

  public String money(double amount) {
    return currency + "\u202f" + Numbers.fixed(amount, 2);
  }
}
