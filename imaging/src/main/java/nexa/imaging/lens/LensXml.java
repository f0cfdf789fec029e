package nexa.imaging.lens;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import nexa.core.geometry.Point;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.LensProfile;
import nexa.core.lens.data.LightMeasure;

/** Writes one lens as a file of the open lens calibration format, version 1. */
public final class LensXml {
    private final XMLStreamWriter xml;

    private LensXml(XMLStreamWriter xml) {
        this.xml = xml;
    }

    /** @param camera the model that the lens was measured on; empty if it is not known */
    public static byte[] of(LensProfile lens, Calibration calibration, String camera) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
            new LensXml(xml).write(lens, calibration, camera);
            xml.close();
        } catch (XMLStreamException impossible) { // it goes to memory
            throw new IllegalStateException(impossible);
        }
        return (bytes.toString(StandardCharsets.UTF_8) + "\n").getBytes(StandardCharsets.UTF_8);
    }

    private void write(LensProfile lens, Calibration calibration, String camera) throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        begin(0, "lensdatabase");
        xml.writeAttribute("version", "1");
        for (String mount : lens.mounts()) {
            begin(1, "mount");
            text("name", mount);
            end(1);
        }
        if (!camera.isEmpty()) {
            begin(1, "camera");
            text("maker", lens.maker());
            text("model", camera);
            text("mount", lens.mounts().getFirst());
            text("cropfactor", number(lens.crop()));
            end(1);
        }
        begin(1, "lens");
        text("maker", lens.maker());
        text("model", lens.model());
        for (String mount : lens.mounts()) {
            text("mount", mount);
        }
        text("cropfactor", number(lens.crop()));
        text("aspect-ratio", number(lens.aspect()));
        if (!calibration.centre().equals(Point.ORIGIN)) {
            measure(
                    2,
                    "center",
                    "x",
                    number(calibration.centre().x()),
                    "y",
                    number(calibration.centre().y()));
        }
        calibration(calibration);
        end(1);
        end(0);
        xml.writeEndDocument();
    }

    private void calibration(Calibration calibration) throws XMLStreamException {
        begin(2, "calibration");
        for (BendMeasure measure : calibration.distortion()) {
            measure(3, "distortion", "model", "ptlens", "focal", number(measure.focal()));
            terms(List.of("a", "b", "c"), measure);
        }
        for (int i = 0; i < calibration.red().size(); i++) {
            BendMeasure red = calibration.red().get(i);
            measure(3, "tca", "model", "poly3", "focal", number(red.focal()));
            terms(List.of("vr", "cr", "br"), red);
            terms(List.of("vb", "cb", "bb"), calibration.blue().get(i));
        }
        for (LightMeasure light : calibration.light()) {
            measure(
                    3,
                    "vignetting",
                    "model",
                    "pa",
                    "focal",
                    number(light.focal()),
                    "aperture",
                    number(light.aperture()),
                    "distance",
                    number(light.distance()),
                    "k1",
                    number(light.k1()),
                    "k2",
                    number(light.k2()),
                    "k3",
                    number(light.k3()));
        }
        end(2);
    }

    private void measure(int depth, String name, String... values) throws XMLStreamException {
        indent(depth);
        xml.writeEmptyElement(name);
        for (int i = 0; i < values.length; i += 2) {
            xml.writeAttribute(values[i], values[i + 1]);
        }
    }

    private void terms(List<String> names, BendMeasure measure) throws XMLStreamException {
        for (int i = 0; i < names.size(); i++) {
            xml.writeAttribute(names.get(i), number(measure.terms().get(i)));
        }
    }

    private void begin(int depth, String name) throws XMLStreamException {
        indent(depth);
        xml.writeStartElement(name);
    }

    private void end(int depth) throws XMLStreamException {
        indent(depth);
        xml.writeEndElement();
    }

    private void text(String name, String text) throws XMLStreamException {
        indent(2);
        xml.writeStartElement(name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    private void indent(int depth) throws XMLStreamException {
        xml.writeCharacters("\n" + "  ".repeat(depth));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.6g", value)
                .replaceFirst("(\\.\\d*?)0+$", "$1")
                .replaceFirst("\\.$", "");
    }
}
