package nexa.shoot.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.lens.data.Camera;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.overlay.OverlayChoice;
import nexa.core.sight.Sight;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.core.told.Told;
import nexa.core.trim.Trim;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.FoundFile;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The photos and what was asked of them. */
final class PhotoTable {
    private static final Logger LOG = LoggerFactory.getLogger(PhotoTable.class);
    private static final String INSERT = """
            INSERT INTO photo (file, bytes, modified, fingerprint, kind, width, height, exif_orientation, taken, trouble, percent,
              profile, remarks, camera)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""";
    private static final String UPDATE = """
            UPDATE photo SET file = ?, bytes = ?, modified = ?, fingerprint = ?, kind = ?, width = ?, height = ?,
              exif_orientation = ?, taken = ?, trouble = ?, percent = ?, profile = ?, remarks = ?, camera = ?,
              sight = CASE WHEN fingerprint = ? THEN sight END
            WHERE id = ?""";

    private final Connection connection;
    private final Spoiled spoiled;
    private final CropTable crops;

    PhotoTable(Connection connection, Spoiled spoiled) {
        this.connection = connection;
        this.spoiled = spoiled;
        this.crops = new CropTable(connection, spoiled);
    }

    List<StoredPhoto> all() throws SQLException {
        Map<Long, Map<Integer, Crop>> placed = crops.crops();
        Map<Long, Map<Integer, List<Alternate>>> alternates = crops.alternates();
        List<StoredPhoto> all = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT * FROM photo")) {
            while (row.next()) {
                long id = row.getLong("id");
                all.add(photo(row, placed.getOrDefault(id, Map.of()), alternates.getOrDefault(id, Map.of())));
            }
        }
        return all;
    }

    private StoredPhoto photo(ResultSet row, Map<Integer, Crop> crops, Map<Integer, List<Alternate>> alternates)
            throws SQLException {
        String file = row.getString("file");
        String fingerprint = Objects.requireNonNullElse(row.getString("fingerprint"), "");
        FoundFile found = new FoundFile(file, row.getLong("bytes"), row.getLong("modified"));
        Probe probe;
        try {
            probe = probe(row);
        } catch (RuntimeException bad) { // of whichever value; the file is looked at again
            LOG.warn("What is stored of {} can't be read: {}", file, bad.toString());
            probe = Probe.unreadable(Trouble.Kind.READ_FAILED);
        }
        return new StoredPhoto(
                new Photo(row.getLong("id"), file, fingerprint, probe), found, framing(row, file, crops, alternates));
    }

    private Framing framing(
            ResultSet row, String file, Map<Integer, Crop> crops, Map<Integer, List<Alternate>> alternates)
            throws SQLException {
        try {
            return new Framing(
                    pose(row),
                    crops,
                    alternates,
                    Cells.flag(row, "set_aside"),
                    subject(row),
                    level(row),
                    Optional.ofNullable(row.getString("overlay")).map(OverlayChoice::parse));
        } catch (RuntimeException bad) { // of whichever value
            spoiled.add(Told.of("told.store.pose-spoiled", file), bad);
            return new Framing(
                    Pose.AS_SHOT, crops, alternates, false, Subject.UNKNOWN, Optional.empty(), Optional.empty());
        }
    }

    private static Subject subject(ResultSet row) throws SQLException {
        String marks = row.getString("marks");
        return new Subject(
                marks == null ? Marks.NONE : Marks.parse(marks),
                Optional.ofNullable(row.getString("rule")).map(Composition::parse),
                Optional.ofNullable(row.getString("sight")).flatMap(Sight::parse));
    }

    private static Pose pose(ResultSet row) throws SQLException {
        return new Pose(
                correction(row),
                new Turn(Cells.whole(row, "quarter_turns"), Cells.flag(row, "mirrored")),
                new Tilt(Cells.number(row, "tilt")),
                trim(row));
    }

    private static Correction correction(ResultSet row) throws SQLException {
        Map<String, String> texts = new HashMap<>();
        for (String name : Correction.NAMES) {
            texts.put(name, row.getString(name));
        }
        return Correction.parse(texts::get);
    }

    private static Trim trim(ResultSet row) throws SQLException {
        String trim = row.getString("trim");
        return trim == null ? Trim.NONE : Trim.parse(trim);
    }

    private static Optional<Tilt> level(ResultSet row) throws SQLException {
        return row.getObject("level") == null ? Optional.empty() : Optional.of(new Tilt(Cells.number(row, "level")));
    }

    private static Probe probe(ResultSet row) throws SQLException {
        String trouble = row.getString("trouble");
        if (trouble != null) {
            return new Probe.Unreadable(new Trouble(Trouble.Kind.valueOf(trouble), Cells.whole(row, "percent")));
        }
        String taken = row.getString("taken");
        return new Probe.Readable(new PhotoFacts(
                FileKind.valueOf(row.getString("kind")),
                new PixelSize(Cells.whole(row, "width"), Cells.whole(row, "height")),
                orientation(row),
                taken == null ? null : LocalDateTime.parse(taken),
                row.getString("profile"),
                remarks(row.getString("remarks")),
                camera(row)));
    }

    private static Camera camera(ResultSet row) throws SQLException {
        String camera = row.getString("camera");
        return camera == null ? Camera.UNKNOWN : Camera.parse(camera);
    }

    private static int orientation(ResultSet row) throws SQLException {
        int orientation = Cells.whole(row, "exif_orientation");
        Turn.ofExif(orientation);
        return orientation;
    }

    /** Those of a later version are passed over. */
    private static Set<Remark> remarks(@Nullable String text) {
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        for (Remark remark : Remark.values()) {
            if (text != null && List.of(text.split(" ")).contains(remark.name())) {
                remarks.add(remark);
            }
        }
        return remarks;
    }

    /**
     * Files may have exchanged names since, so all known ones first step aside: a name is unique at every moment. A photo
     * that is gone gives its name up to the one that has it now, and is known again by its content.
     */
    List<StoredPhoto> save(List<StoredPhoto> scanned) throws SQLException {
        stepAside(scanned);
        giveUpNames(scanned);
        List<StoredPhoto> saved = new ArrayList<>();
        try (PreparedStatement insert = connection.prepareStatement(INSERT, Statement.RETURN_GENERATED_KEYS);
                PreparedStatement update = connection.prepareStatement(UPDATE)) {
            for (StoredPhoto each : scanned) {
                Photo photo = each.photo();
                if (photo.id() == 0) {
                    bind(insert, each).executeUpdate();
                    try (ResultSet key = insert.getGeneratedKeys()) {
                        photo = new Photo(key.getLong(1), photo.file(), photo.fingerprint(), photo.probe());
                    }
                } else {
                    PreparedStatement bound = bind(update, each);
                    bound.setString(15, photo.fingerprint());
                    bound.setLong(16, photo.id());
                    bound.executeUpdate();
                }
                saved.add(new StoredPhoto(photo, each.found(), each.framing()));
            }
        }
        return saved;
    }

    private void stepAside(List<StoredPhoto> scanned) throws SQLException {
        try (PreparedStatement rename = connection.prepareStatement("UPDATE photo SET file = ? WHERE id = ?")) {
            for (StoredPhoto each : scanned) {
                if (each.photo().id() != 0) {
                    rename.setString(1, "/aside/" + each.photo().id());
                    rename.setLong(2, each.photo().id());
                    rename.executeUpdate();
                }
            }
        }
    }

    private void giveUpNames(List<StoredPhoto> scanned) throws SQLException {
        try (PreparedStatement rename =
                connection.prepareStatement("UPDATE photo SET file = '/gone/' || id || '/' || file WHERE file = ?")) {
            for (StoredPhoto each : scanned) {
                rename.setString(1, each.photo().file());
                rename.addBatch();
            }
            rename.executeBatch();
        }
    }

    private static PreparedStatement bind(PreparedStatement statement, StoredPhoto each) throws SQLException {
        statement.setString(1, each.photo().file());
        statement.setLong(2, each.found().bytes());
        statement.setLong(3, each.found().modified());
        statement.setString(4, each.photo().fingerprint());
        switch (each.photo().probe()) {
            case Probe.Readable(PhotoFacts facts) -> bind(statement, facts);
            case Probe.Unreadable(Trouble trouble) -> {
                for (int column = 5; column <= 9; column++) {
                    statement.setObject(column, null);
                }
                statement.setString(10, trouble.kind().name());
                statement.setInt(11, trouble.percent());
                statement.setObject(12, null);
                statement.setObject(13, null);
                statement.setObject(14, null);
            }
        }
        return statement;
    }

    private static void bind(PreparedStatement statement, PhotoFacts facts) throws SQLException {
        statement.setString(5, facts.kind().name());
        statement.setInt(6, facts.asShot().width());
        statement.setInt(7, facts.asShot().height());
        statement.setInt(8, facts.exifOrientation());
        statement.setString(9, facts.taken() == null ? null : facts.taken().toString());
        statement.setObject(10, null);
        statement.setObject(11, null);
        statement.setString(12, facts.profile());
        statement.setString(
                13, facts.remarks().stream().sorted().map(Remark::name).collect(Collectors.joining(" ")));
        statement.setString(14, facts.camera().text());
    }

    /** Stores what is asked of photos now. */
    void saveFramings(List<FramingChange> changes) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement("""
                UPDATE photo SET quarter_turns = ?, mirrored = ?, tilt = ?, set_aside = ?, marks = ?, rule = ?, level = ?,
                  overlay = ?, trim = ?, lens = ?, plumb = ?, neutral = ?, eyes = ?, bands = ?, sight = COALESCE(?, sight)
                WHERE id = ?""")) {
            for (FramingChange change : changes) {
                bind(update, change.photo(), change.after());
                update.addBatch();
            }
            update.executeBatch();
        }
        crops.save(changes);
    }

    /** Stores what photos show. */
    int saveSights(Map<Long, Sight> seen) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement("UPDATE photo SET sight = ? WHERE id = ?")) {
            for (Map.Entry<Long, Sight> each : seen.entrySet()) {
                update.setString(1, each.getValue().text());
                update.setLong(2, each.getKey());
                update.addBatch();
            }
            return update.executeBatch().length;
        }
    }

    private static @Nullable String orNull(String text) {
        return text.isEmpty() ? null : text;
    }

    private static void bind(PreparedStatement update, long photo, Framing framing) throws SQLException {
        update.setInt(1, framing.pose().turn().quarterTurns());
        update.setBoolean(2, framing.pose().turn().mirrored());
        update.setDouble(3, framing.pose().tilt().degrees());
        update.setBoolean(4, framing.setAside());
        update.setString(5, framing.marks().isEmpty() ? null : framing.marks().text());
        update.setString(6, framing.subject().rule().map(Composition::text).orElse(null));
        update.setObject(7, framing.level().map(Tilt::degrees).orElse(null));
        update.setString(8, framing.overlay().map(OverlayChoice::text).orElse(null));
        update.setString(9, orNull(framing.pose().trim().text()));
        int column = 10;
        for (String text : framing.pose().correction().texts().values()) {
            update.setString(column++, orNull(text));
        }
        update.setString(column++, orNull(framing.subject().sightText()));
        update.setLong(column, photo);
    }
}
