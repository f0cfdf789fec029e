package nexa.imaging.lens;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * One element of a file with all that is in it.
 *
 * @param texts by name, the texts of plain elements inside, in order; those in a language of their own come last
 * @param measures elements inside that have attributes
 */
record LensEntry(Map<String, List<String>> texts, List<Measure> measures) {
    /** An element's name and its attributes. */
    record Measure(String name, Map<String, String> values) {
        double number(String value, double missing) {
            String text = values.get(value);
            return text == null ? missing : Double.parseDouble(text);
        }

        double number(String value) {
            return number(value, Double.NaN);
        }
    }

    /** Nobody nests deeper. */
    private static final int DEEPEST = 8;

    String text(String name) {
        List<String> all = texts.getOrDefault(name, List.of());
        return all.isEmpty() ? "" : all.getFirst();
    }

    List<String> all(String name) {
        return texts.getOrDefault(name, List.of());
    }

    /** Reads from an element's start to its end. */
    static LensEntry read(XMLStreamReader xml) throws XMLStreamException {
        Reading reading = new Reading();
        reading.element(xml, 0);
        reading.foreign.forEach((name, more) ->
                reading.texts.computeIfAbsent(name, n -> new ArrayList<>()).addAll(more));
        return new LensEntry(reading.texts, reading.measures);
    }

    private static final class Reading {
        private final Map<String, List<String>> texts = new HashMap<>();
        private final Map<String, List<String>> foreign = new HashMap<>();
        private final List<Measure> measures = new ArrayList<>();

        void element(XMLStreamReader xml, int depth) throws XMLStreamException {
            String name = xml.getLocalName();
            Map<String, String> values = values(xml);
            StringBuilder text = new StringBuilder();
            boolean inner = false;
            for (int event = xml.next(); event != XMLStreamConstants.END_ELEMENT; event = xml.next()) {
                if (event == XMLStreamConstants.START_ELEMENT) {
                    if (depth == DEEPEST) {
                        throw new XMLStreamException("elements within elements", xml.getLocation());
                    }
                    inner = true;
                    element(xml, depth + 1);
                } else if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                    text.append(xml.getText());
                }
            }
            if (depth > 0 && !inner) {
                keep(name, values, text.toString().strip());
            }
        }

        private void keep(String name, Map<String, String> values, String text) {
            if (!text.isEmpty()) {
                (values.containsKey("lang") ? foreign : texts)
                        .computeIfAbsent(name, n -> new ArrayList<>())
                        .add(text);
            } else if (!values.isEmpty()) {
                measures.add(new Measure(name, values));
            }
        }

        private static Map<String, String> values(XMLStreamReader xml) {
            Map<String, String> values = new HashMap<>();
            for (int i = 0; i < xml.getAttributeCount(); i++) {
                values.put(xml.getAttributeLocalName(i), xml.getAttributeValue(i));
            }
            return values;
        }
    }
}
