package nexa.imaging.boxes;

/** A piece of a file, in bytes from its beginning. */
public record Extent(long start, long length) {}
