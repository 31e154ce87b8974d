package underhand.arrange;

import underhand.solve.Overlap;

/** A second guitar's part beside a first. */
public record SecondPart(Arrangement arrangement, Overlap overlap) {}
