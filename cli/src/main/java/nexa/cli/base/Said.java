package nexa.cli.base;

import com.fasterxml.jackson.annotation.JsonValue;
import nexa.core.shape.Shape;
import nexa.words.ShapeWords;

/**
 * What JSON has as it is stored, for programs, and a table as the user says it.
 *
 * @param words in the user's language
 */
record Said(@JsonValue String stored, String words) {
    static Said of(Shape shape) {
        return new Said(shape.text(), ShapeWords.of(shape));
    }
}
