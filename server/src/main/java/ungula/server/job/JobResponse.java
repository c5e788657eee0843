package ungula.server.job;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import ungula.core.caution.Caution;
import ungula.core.contact.Contact;
import ungula.core.exercise.Exercise;
import ungula.core.job.Stage;
import ungula.core.mark.Mark;
import ungula.core.mould.Dipstick;
import ungula.core.plan.PlanPart;
import ungula.core.plan.Touching;
import ungula.core.pour.Batches;
import ungula.core.rubber.SecondPart;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.product.Products;

/**
 * A job as the page shows it.
 *
 * @param version to send back with an edit
 * @param demo whether it belongs to the made-up shelf
 * @param exercise what is practised on it; null for a job
 * @param undo what undo would take back; null when nothing
 * @param redo what redo would bring again; null when nothing
 * @param words every changeable word, by key
 * @param figures every number with its working, by key
 * @param cautions worst first
 * @param stages how far each stage is
 * @param undecided what the plan is not whole without, what to decide first before the rest
 * @param model the model file; null without one
 * @param hasShape whether there is a mesh to draw and turn
 * @param shapeKey changes when the drawn shape does
 * @param liftMm how far the master stands clear of the plate
 * @param measures of the chosen solid, by word
 * @param box what its shape allows
 * @param stopped what stops the mould itself, so that nothing is weighed; empty when nothing does
 * @param assumed what the plan rests on that nobody has said, weightiest first
 * @param ways to know the volume that are complete, most certain first
 * @param solids parts of the mould the solid view shows beside box and coats
 * @param marks that can be painted on the master
 * @param marksKey changes when they do
 * @param dipstick null while there is no box
 * @param cut of a cut mould; null for any other
 * @param castLabel cast into the rubber; null without one, and where there is no room
 * @param skin of a skin mould; null for any other, and while it is not worked out
 * @param order of work, a sentence a step
 * @param ratioSentence the ratio in plain words; empty while there is none
 * @param second the second part after the first was weighed; null before
 * @param rubbers to choose from
 * @param sealants to choose from for build coats
 * @param thickeners to choose from for what the build coats are of
 * @param casts products to cast to choose from
 * @param catalysts grades the rubber is sold with, to choose from
 * @param touching what the rubber touches, with a verdict each
 * @param packs of the rubber, one line each
 * @param parts that take a closer look at the shape, and how far each is known
 */
public record JobResponse(
    String id,
    String name,
    int version,
    boolean demo,
    boolean archived,
    @Nullable Exercise exercise,
    @Nullable Change undo,
    @Nullable Change redo,
    @KeyedBy("JobWord") Map<String, Word.State> words,
    @KeyedBy("JobFigure") Map<String, Figure> figures,
    List<Caution> cautions,
    Map<String, Stage.State> stages,
    List<UndecidedView> undecided,
    List<AssumedView> assumed,
    String stopped,
    @Nullable ModelView model,
    boolean hasShape,
    String shapeKey,
    double liftMm,
    List<String> measures,
    BoxKind box,
    List<WayView> ways,
    List<Drawings.SolidPart> solids,
    List<MarkView> marks,
    String marksKey,
    @Nullable DipstickView dipstick,
    @Nullable CutView cut,
    @Nullable CastLabelView castLabel,
    @Nullable SkinView skin,
    List<StepView> order,
    List<StepView> casting,
    String ratioSentence,
    @Nullable SecondPart second,
    Batches batches,
    List<Products.Offer> rubbers,
    List<Products.Offer> sealants,
    List<Kind.Option> thickeners,
    List<Products.Offer> casts,
    List<Kind.Option> catalysts,
    List<TouchView> touching,
    List<String> packs,
    List<PlanPartView> parts) {

  /**
   * @param word that decides it
   * @param stage the word stands on
   */
  public record UndecidedView(String word, String stage, String text) {}

  /**
   * A step of the work.
   *
   * @param part of the work it belongs to, as a heading
   * @param takes how long; null for a look
   * @param waits what for, besides the step before; empty where that is all
   * @param cautions ids of those that stand against it now
   */
  public record StepView(
      String key,
      String part,
      String what,
      String why,
      Step.Kind kind,
      @Nullable Figure takes,
      String waits,
      List<String> cautions) {}

  /**
   * A step of the job's history.
   *
   * @param what it did, in words
   * @param stages that show it, the one to look at first coming first
   */
  public record Change(String what, List<String> stages) {}

  /**
   * Something the plan rests on that nobody has said.
   *
   * @param word that says it; null when the Workshop page does
   * @param stage the word stands on; empty when the Workshop page has it
   * @param text as it is assumed
   * @param confirm makes it said; null when the Workshop page has it
   */
  public record AssumedView(
      @Nullable String word, String stage, String text, @Nullable Edit confirm) {}

  /**
   * A part of the plan that takes a closer look at the shape.
   *
   * @param text what it is, in words
   * @param why it cannot be known, and what would help; empty otherwise
   */
  public record PlanPartView(String text, PlanPart.State state, String why) {}

  /**
   * @param surface it is, in words
   * @param verdict in words
   * @param level of the verdict
   * @param text why, and what helps; empty when nothing is needed
   */
  public record TouchView(
      Touching.What what, String surface, String verdict, Contact.Verdict level, String text) {}

  /**
   * What can be said of the box chosen.
   *
   * @param sided each side may have a wall of its own
   * @param ofPipe its wall is not cut from sheet
   * @param onPlate masters stand in it on the plate, so that several can
   * @param poured whether there is a box at all: skins are brushed on
   * @param cupped whether rubber runs over a rim into a hollow of the master
   */
  public record BoxKind(
      boolean sided, boolean ofPipe, boolean onPlate, boolean poured, boolean cupped) {}

  /**
   * A label as it reads in the rubber.
   *
   * @param where it is set, in words
   * @param lines of text
   * @param letters as an SVG path round its middle, y down, mm
   */
  public record CastLabelView(
      String where, List<String> lines, double widthMm, double heightMm, String letters) {}

  /**
   * @param coats from the master outwards
   * @param clock when each goes on; null while the rubber's times are not known
   * @param off how it comes off, in words
   * @param cutDegrees the way it is cut open; null when it is not
   * @param gaps how a coat can follow the one before
   * @param partings of the jacket, degrees from the right counter-clockwise, seen from above
   * @param moved whether they were moved one by one or turned
   * @param stepDegrees they are moved by
   * @param needs of the jacket, keys of their figures
   */
  public record SkinView(
      List<CoatView> coats,
      @Nullable CoatClockView clock,
      List<Kind.Option> gaps,
      String off,
      @Nullable Double cutDegrees,
      List<Double> partings,
      boolean moved,
      double stepDegrees,
      List<String> needs) {}

  /**
   * @param key its figures begin so
   * @param rubber it is of, when not all coats are of one
   * @param cloth whether cloth is bedded in it
   * @param gap how the next follows, by name; empty after the last
   */
  public record CoatView(
      String key,
      int number,
      String name,
      String thickness,
      String thickener,
      String rubber,
      boolean cloth,
      String gap) {}

  /**
   * @param coats in turn
   * @param days on which they go on or may, by name
   */
  public record CoatClockView(List<BrushingView> coats, List<String> days) {}

  /**
   * One coat on the clock, minutes from midnight before the first.
   *
   * @param window when the next may go on, in words; empty after the last
   * @param missed what to do once the next can no longer go on; empty after the last
   */
  public record BrushingView(
      int number,
      double fromMin,
      double toMin,
      double opensMin,
      double closesMin,
      String window,
      String missed) {}

  /**
   * @param degrees it runs towards, 0 to the right, 90 to the back
   * @param stepDegrees it is turned by
   */
  public record CutView(double degrees, double stepDegrees) {}

  /**
   * @param guessedUnit what its lengths are taken to be in; null when the file or the user says
   * @param lines the report in words
   * @param defects what is wrong, in words
   */
  public record ModelView(
      String name,
      String format,
      String size,
      @Nullable String guessedUnit,
      List<String> lines,
      List<String> defects) {}

  /**
   * @param way its name among the choices
   * @param figure key of its figure
   * @param plusMinus its error, as shown
   * @param advice how to do better; empty when there is nothing to say
   */
  public record WayView(String way, String text, String figure, String plusMinus, String advice) {}

  /**
   * @param meaning what follows from it
   * @param area painted so, in words; empty when none is
   */
  public record MarkView(Mark mark, String text, String meaning, String area) {}

  /**
   * @param mm above the plate
   */
  public record Tick(double mm, String text) {}

  /**
   * @param heightMm of the box
   * @param lineMm the pour line
   * @param masterTopMm the master's highest point
   * @param line what the dipstick reads at the pour line
   * @param parting what it reads where a mould parts; null where it does not
   */
  public record DipstickView(
      double heightMm,
      double lineMm,
      double masterTopMm,
      List<Tick> ticks,
      Dipstick.Reading line,
      Dipstick.@Nullable Reading parting) {}
}
