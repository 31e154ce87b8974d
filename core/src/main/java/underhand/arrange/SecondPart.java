package underhand.arrange;

/** A second guitar's part beside a first. */
public record SecondPart(Arrangement arrangement, Overlap overlap) {}
