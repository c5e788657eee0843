package ungula.core.step;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import ungula.core.quantity.Timespan;
import ungula.core.step.Step.After;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Kind;
import ungula.core.step.Step.Noted;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** Steps as they are told, one after the other: each waits for the one before unless it says so. */
final class StepList {

  private final Workshop workshop;
  private final List<Step> steps = new ArrayList<>();
  private String part = "";

  StepList(Workshop workshop) {
    this.workshop = workshop;
  }

  List<Step> all() {
    return List.copyOf(steps);
  }

  /** What follows belongs to this part of the work. */
  void part(String heading) {
    part = heading;
  }

  /** Key of the last step; null before the first. */
  String last() {
    return steps.isEmpty() ? null : steps.get(steps.size() - 1).key();
  }

  /** By a rate of the workshop's, so many times. */
  Takes rate(Rate rate, double times, String of) {
    double each = workshop.rates().get(rate);
    String per = rate.per().isEmpty() ? "" : " " + rate.per();
    List<Given> from = new ArrayList<>();
    boolean learned = workshop.learned(Workshop.rates(rate));
    Given.Source source = learned ? Given.Source.LEARNED : Given.Source.DEFAULT;
    from.add(new Given("to " + rate.text(), Timespan.formatMin(each) + per, source));
    if (!of.isEmpty()) {
      from.add(new Given("of it", of, Given.Source.COMPUTED));
    }
    return Takes.of(times * each, from, rate);
  }

  Takes rate(Rate rate) {
    return rate(rate, 1, "");
  }

  /** One more step, to be told more of. */
  Making hands(String key, Takes takes, String what) {
    return new Making(key, Kind.HANDS, takes, what);
  }

  Making wait(String key, Takes takes, String what) {
    return new Making(key, Kind.WAIT, takes, what);
  }

  Making gate(String key, String what) {
    return new Making(key, Kind.GATE, Takes.of(0, List.of()), what);
  }

  /** A step in the making; {@link #add} puts it into the list. */
  final class Making {

    private final String key;
    private final Kind kind;
    private final Takes takes;
    private final String what;
    private String why = "";
    private String unbroken = "";
    private String label = "";
    private List<After> after;
    private final Set<Hold> holds = EnumSet.noneOf(Hold.class);
    private List<String> figures = List.of();
    private List<String> cautions = List.of();
    private final Set<Noted> records = EnumSet.noneOf(Noted.class);

    private Making(String key, Kind kind, Takes takes, String what) {
      this.key = key;
      this.kind = kind;
      this.takes = takes;
      this.what = what;
      if (kind != Kind.WAIT) {
        holds.add(Hold.PERSON);
      }
    }

    Making why(String reason) {
      why = reason;
      return this;
    }

    /** In a few words, where the sentence does not begin with what is done to what. */
    Making called(String name) {
      label = name;
      return this;
    }

    Making unbroken(String group) {
      unbroken = group;
      return this;
    }

    Making after(After... others) {
      after = List.of(others);
      return this;
    }

    Making holds(Hold... what) {
      holds.addAll(List.of(what));
      return this;
    }

    Making shows(String... keys) {
      figures = List.of(keys);
      return this;
    }

    Making against(String... ids) {
      cautions = List.of(ids);
      return this;
    }

    Making notes(Noted... what) {
      records.addAll(List.of(what));
      return this;
    }

    void add() {
      String before = last();
      List<After> waits =
          after != null ? after : before == null ? List.of() : List.of(After.end(before));
      steps.add(
          new Step(
              key,
              part,
              label.isEmpty() ? Labels.of(kind, unbroken, what) : label,
              what,
              why,
              kind,
              takes,
              waits,
              unbroken,
              Set.copyOf(holds),
              figures,
              cautions,
              Set.copyOf(records)));
    }
  }
}
