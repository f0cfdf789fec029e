package nexa.imaging.lens;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import nexa.core.geometry.Point;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.BendModel;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.CameraProfile;
import nexa.core.lens.data.LensProfile;
import nexa.core.lens.data.LightMeasure;
import nexa.imaging.lens.LensEntry.Measure;

/**
 * What a file of the open lens calibration format, version 1, holds.
 *
 * @param compatible by mount, the others whose lenses it takes
 * @param leftOut what of it says nothing sensible, each with its place in the file
 */
public record LensFile(
        List<CameraProfile> cameras,
        List<Measured> lenses,
        Map<String, Set<String>> compatible,
        List<LeftOut> leftOut) {

    /** A lens and all that was measured of it. */
    public record Measured(LensProfile lens, Calibration calibration) {}

    /**
     * @param line in the file, from 1
     * @param what the element
     */
    public record LeftOut(int line, String what) {}

    /** The sensor that is meant where a lens names none. */
    private static final double USUAL_ASPECT = 1.5;

    public LensFile {
        cameras = List.copyOf(cameras);
        lenses = List.copyOf(lenses);
        compatible = Map.copyOf(compatible);
        leftOut = List.copyOf(leftOut);
    }

    /** Reads a file; never fails: what can't be read is left out, and from broken markup on all the rest. */
    public static LensFile read(InputStream file) {
        Reading reading = new Reading();
        try {
            XMLStreamReader xml = reader(file);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                    reading.element(xml);
                }
            }
        } catch (XMLStreamException broken) {
            reading.leaveOut(
                    broken.getLocation() == null ? 0 : broken.getLocation().getLineNumber(), "xml");
        } catch (RuntimeException broken) { // the reader of the JDK also fails in ways it does not declare
            reading.leaveOut(0, "xml");
        }
        return new LensFile(reading.cameras, reading.lenses, reading.compatible, reading.leftOut);
    }

    private static XMLStreamReader reader(InputStream file) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory.createXMLStreamReader(file);
    }

    private static final class Reading {
        private final List<CameraProfile> cameras = new ArrayList<>();
        private final List<Measured> lenses = new ArrayList<>();
        private final Map<String, Set<String>> compatible = new HashMap<>();
        private final List<LeftOut> leftOut = new ArrayList<>();

        void leaveOut(int line, String what) {
            leftOut.add(new LeftOut(line, what));
        }

        void element(XMLStreamReader xml) throws XMLStreamException {
            int line = xml.getLocation().getLineNumber();
            String name = xml.getLocalName();
            switch (name) {
                case "mount", "camera", "lens" -> entry(name, LensEntry.read(xml), line);
                case "lensdatabase" -> version(xml, line);
                default -> leaveOut(line, name);
            }
        }

        private void version(XMLStreamReader xml, int line) throws XMLStreamException {
            String version = xml.getAttributeValue(null, "version");
            if (version != null && !version.equals("1")) {
                throw new XMLStreamException("version " + version, xml.getLocation());
            }
        }

        private void entry(String name, LensEntry entry, int line) {
            try {
                switch (name) {
                    case "mount" -> mount(entry);
                    case "camera" -> cameras.add(camera(entry));
                    default -> lenses.add(new Measured(lens(entry), calibration(entry, line)));
                }
            } catch (IllegalArgumentException nonsense) { // a number that is none among them
                leaveOut(line, name);
            }
        }

        private void mount(LensEntry entry) {
            compatible
                    .computeIfAbsent(entry.text("name"), mount -> new HashSet<>())
                    .addAll(entry.all("compat"));
        }

        private static CameraProfile camera(LensEntry entry) {
            return new CameraProfile(
                    entry.text("maker"),
                    entry.all("model"),
                    entry.text("mount"),
                    Double.parseDouble(entry.text("cropfactor")));
        }

        private static LensProfile lens(LensEntry entry) {
            List<Double> focals = new ArrayList<>();
            for (Measure measure : entry.measures()) {
                if (measure.name().equals("focal")) {
                    measure.values().values().forEach(text -> focals.add(Double.parseDouble(text)));
                }
            }
            focals.addAll(FocalWords.in(entry.text("model")));
            return new LensProfile(
                    entry.text("maker"),
                    entry.all("model"),
                    entry.all("mount"),
                    Double.parseDouble(entry.text("cropfactor")),
                    aspect(entry.text("aspect-ratio")),
                    focals);
        }

        /** "4:3" or "1.333". */
        private static double aspect(String text) {
            if (text.isEmpty()) {
                return USUAL_ASPECT;
            }
            String[] sides = text.split(":", 2);
            double aspect = Double.parseDouble(sides[0]) / (sides.length == 2 ? Double.parseDouble(sides[1]) : 1);
            return Math.max(aspect, 1 / aspect);
        }

        private Calibration calibration(LensEntry entry, int line) {
            List<BendMeasure> distortion = new ArrayList<>();
            List<BendMeasure> red = new ArrayList<>();
            List<BendMeasure> blue = new ArrayList<>();
            List<LightMeasure> light = new ArrayList<>();
            Point centre = Point.ORIGIN;
            for (Measure measure : entry.measures()) {
                try {
                    switch (measure.name()) {
                        case "distortion" -> distortion.add(distortion(measure));
                        case "tca" -> {
                            BendMeasure ofRed = colour(measure, "r");
                            blue.add(colour(measure, "b"));
                            red.add(ofRed);
                        }
                        case "vignetting" -> light.add(light(measure));
                        case "center" -> centre = new Point(measure.number("x", 0), measure.number("y", 0));
                        default -> {} // of what Nexa makes no use
                    }
                } catch (IllegalArgumentException nonsense) { // a number that is none among them
                    leaveOut(line, measure.name());
                }
            }
            return new Calibration(distortion, red, blue, light, centre);
        }

        private static BendMeasure distortion(Measure measure) {
            BendModel model = BendModel.distortion(measure.values().getOrDefault("model", ""))
                    .orElseThrow(() -> new IllegalArgumentException("model of distortion"));
            List<Double> terms =
                    switch (model) {
                        case PTLENS -> List.of(measure.number("a", 0), measure.number("b", 0), measure.number("c", 0));
                        case POLY3 -> List.of(measure.number("k1", 0));
                        default -> List.of(measure.number("k1", 0), measure.number("k2", 0));
                    };
            return new BendMeasure(measure.number("focal"), model, terms);
        }

        /** @param colour r or b */
        private static BendMeasure colour(Measure measure, String colour) {
            BendModel model = BendModel.colour(measure.values().getOrDefault("model", ""))
                    .orElseThrow(() -> new IllegalArgumentException("model of fringes"));
            List<Double> terms = model == BendModel.COLOUR_LINEAR
                    ? List.of(measure.number("k" + colour, 1))
                    : List.of(
                            measure.number("v" + colour, 1),
                            measure.number("c" + colour, 0),
                            measure.number("b" + colour, 0));
            return new BendMeasure(measure.number("focal"), model, terms);
        }

        private static LightMeasure light(Measure measure) {
            if (!"pa".equals(measure.values().get("model"))) {
                throw new IllegalArgumentException("model of light");
            }
            return new LightMeasure(
                    measure.number("focal"),
                    measure.number("aperture"),
                    measure.number("distance"),
                    measure.number("k1", 0),
                    measure.number("k2", 0),
                    measure.number("k3", 0));
        }
    }
}
