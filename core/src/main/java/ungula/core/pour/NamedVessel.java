package ungula.core.pour;

/** A vessel by what it is called. */
public record NamedVessel(String name, Vessel vessel) {}
