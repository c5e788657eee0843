package ungula.core.learn;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** Something of a workshop that its own jobs say better than any rule of thumb. */
public sealed interface Lesson {

  /** All of them. */
  static List<Lesson> all() {
    List<Lesson> all = new ArrayList<>(List.of(Share.values()));
    all.add(new Room());
    Arrays.stream(Rate.values()).map(Pace::new).forEach(all::add);
    return all;
  }

  /** Empty where there is none of that key. */
  static Optional<Lesson> of(String key) {
    return all().stream().filter(l -> l.key().equals(key)).findFirst();
  }

  /** Its name where it is kept. */
  String key();

  /** What is learned. */
  String text();

  /** Word of the workshop that follows from it; empty where it is only told. */
  String word();

  /** What one job can be wrong by because nobody reads closer. */
  double readingError();

  /** A difference under this is none. */
  double worthSaying();

  /** What the workshop goes by now. */
  double now(Workshop w);

  /** What it would go by. */
  double offered(Learned l, Workshop w);

  /** A value as it is written into its word. */
  String typed(double value);

  /** A value in words. */
  String said(double value, Units units);

  /** What it comes to for somebody who cannot be offered anything; empty otherwise. */
  default String told(Learned l) {
    return "";
  }

  /** Whether that is another value than the workshop goes by. */
  default boolean differs(Learned l, Workshop w) {
    return Math.abs(offered(l, w) - now(w)) >= worthSaying();
  }

  /** Of the whole, %. */
  enum Share implements Lesson {
    /** Rubber that was mixed, less what stood over the line, against what was computed. */
    ALLOWANCE("allowancePct", "rubber a mould took over what was computed", 0.5, 0.2) {
      @Override
      public double now(Workshop w) {
        return w.allowancePct();
      }

      /** What nearly all jobs stay under, and never less than is lost in the cup. */
      @Override
      public double offered(Learned l, Workshop w) {
        return Math.max(w.cupLossPct(), Math.ceil(10 * l.allowance() - 1e-9) / 10);
      }
    },
    /** A skin on the scale against what its coats were planned to come to. */
    COATS("coatsPct", "coats that went on over what was asked for", 1, 1) {
      @Override
      public double now(Workshop w) {
        return w.coatsPct();
      }

      @Override
      public double offered(Learned l, Workshop w) {
        return Math.rint(2 * l.median()) / 2;
      }
    },
    /** What a scale shows over a weight that is known. */
    SCALE("", "what the scale shows over a known weight", 0.02, 0.2) {
      @Override
      public double now(Workshop w) {
        return 0;
      }

      @Override
      public double offered(Learned l, Workshop w) {
        return l.median();
      }

      @Override
      public String told(Learned l) {
        if (Math.abs(l.median()) < worthSaying()) {
          return "It can be believed.";
        }
        String off = Numbers.fixed(Math.abs(l.median()), 1) + " %";
        return "Have it adjusted: it shows "
            + off
            + (l.median() > 0 ? " too much" : " too little")
            + ". Both parts are off alike, so the ratio holds, and every mix comes out "
            + off
            + (l.median() > 0 ? " short." : " over.");
      }
    };

    private final String word;
    private final String text;
    private final double readingError;
    private final double worthSaying;

    Share(String word, String text, double readingError, double worthSaying) {
      this.word = word;
      this.text = text;
      this.readingError = readingError;
      this.worthSaying = worthSaying;
    }

    @Override
    public String key() {
      return name();
    }

    @Override
    public String text() {
      return text;
    }

    @Override
    public String word() {
      return word;
    }

    @Override
    public double readingError() {
      return readingError;
    }

    @Override
    public double worthSaying() {
      return worthSaying;
    }

    @Override
    public String typed(double value) {
      return value + " %";
    }

    @Override
    public String said(double value, Units units) {
      return Numbers.fixed(value, 1) + " %";
    }
  }

  /** How warm the room was as rubber was mixed, °C: its middle. */
  record Room() implements Lesson {

    @Override
    public String key() {
      return "ROOM";
    }

    @Override
    public String text() {
      return "the room when rubber is mixed";
    }

    @Override
    public String word() {
      return "roomC";
    }

    @Override
    public double readingError() {
      return 0.5;
    }

    @Override
    public double worthSaying() {
      return 0.75;
    }

    @Override
    public double now(Workshop w) {
      return w.roomC();
    }

    @Override
    public double offered(Learned l, Workshop w) {
      return Math.rint(2 * l.median()) / 2;
    }

    @Override
    public String typed(double value) {
      return value + " \u00b0C";
    }

    @Override
    public String said(double value, Units units) {
      return Temperature.format(value, units);
    }
  }

  /** How long work by hand takes, minutes: its middle. */
  record Pace(Rate rate) implements Lesson {

    /** A fifth more or less is no other pace. */
    private static final double WORTH = 0.2;

    @Override
    public String key() {
      return "PACE." + rate.name();
    }

    @Override
    public String text() {
      return "time to " + rate.text() + (rate.per().isEmpty() ? "" : ", " + rate.per());
    }

    @Override
    public String word() {
      return Workshop.rates(rate);
    }

    /** Nobody notes the minute. */
    @Override
    public double readingError() {
      return 0.5;
    }

    @Override
    public double worthSaying() {
      return WORTH * rate.usualMin();
    }

    @Override
    public double now(Workshop w) {
      return w.rates().get(rate);
    }

    @Override
    public double offered(Learned l, Workshop w) {
      double half = Math.rint(2 * l.median()) / 2;
      return half > 0 ? half : Math.rint(10 * l.median()) / 10;
    }

    @Override
    public String typed(double value) {
      return value + " min";
    }

    @Override
    public String said(double value, Units units) {
      return Timespan.formatMin(value);
    }
  }
}
