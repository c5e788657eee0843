package ungula.core.plan;

import ungula.core.mark.MarkedPlaces;
import ungula.core.study.FormStudy;
import ungula.core.study.ShapeStudy;

/**
 * What is found out about a master's shape, as it stands in its box.
 *
 * @param study what follows from how it stands
 * @param form what does not
 * @param marked places on it
 */
public record ShapeFacts(ShapeStudy study, FormStudy form, MarkedPlaces marked) {}
