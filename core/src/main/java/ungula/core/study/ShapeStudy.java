package ungula.core.study;

/**
 * What a master's shape decides for its block mould, in three parts that follow from different
 * things: a change of one leaves the others as they are.
 *
 * @param rubber round it in its box
 * @param cast in the mould as it lies then
 * @param release of the mould from the master
 */
public record ShapeStudy(RubberStudy rubber, CastStudy cast, ReleaseStudy release) {}
