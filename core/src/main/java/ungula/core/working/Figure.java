package ungula.core.working;

/**
 * A computed number as it is shown, never without its working.
 *
 * @param key names it for the page and the sheet
 * @param label what it is, in a few words
 * @param value in the core's unit (mm, mm², mm³, g, or as the key says)
 * @param text as shown, with its unit
 * @param exact the same with more decimals
 * @param working how it came about
 */
public record Figure(
    String key, String label, double value, String text, String exact, Working working) {}
