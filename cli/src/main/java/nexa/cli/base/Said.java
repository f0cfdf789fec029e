package nexa.cli.base;

import com.fasterxml.jackson.annotation.JsonValue;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import nexa.words.ShapeWords;
import nexa.words.SizeWords;

/**
 * What JSON has as it is stored, for programs, and a table as the user says it.
 *
 * @param words in the user's language
 */
public record Said(@JsonValue String stored, String words) {
    public static Said of(Shape shape) {
        return new Said(shape.text(), ShapeWords.of(shape));
    }

    public static Said of(SizeTarget target) {
        return new Said(target.text(), SizeWords.of(target));
    }
}
