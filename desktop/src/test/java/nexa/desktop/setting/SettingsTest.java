package nexa.desktop.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.mockito.Mockito.withSettings;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import nexa.core.exact.Unit;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.shape.Shape;
import nexa.desktop.keys.Keys;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.words.PrintUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SettingsTest {
    @TempDir
    Path base;

    private Preferences preferences() {
        return Preferences.open(new Locations(base.resolve("data"), base.resolve("cache")));
    }

    @Test
    void everySetting_isThereAtTheNextStart() {
        OverlayOptions options = OverlayOptions.DEFAULT
                .withCells(9)
                .withNested(List.of(new Shape.Ratio(5, 7)))
                .withMargins(0.1, 0.2);
        try (Preferences first = preferences()) {
            Settings settings = new Settings(first);
            settings.overlayProperty().set(OverlayChoice.of(Overlay.NESTED).turned());
            settings.overlayOptionsProperty().set(options);
            settings.overlayShowProperty().set(OverlayShow.ADJUSTING);
            settings.moverProperty().set(Mover.PHOTO);
            settings.matStrengthProperty().set(0.25);
            settings.unitProperty().set(Unit.INCH);
            settings.printUnitProperty().set(PrintUnit.INCH);
            settings.rememberShape("20x30 cm");
            settings.rememberShape(" 8.5:11 ");
            settings.rememberShape("20x30 cm");
        }
        try (Preferences second = preferences()) {
            Settings settings = new Settings(second);
            assertEquals(
                    OverlayChoice.of(Overlay.NESTED).turned(),
                    settings.overlayProperty().get());
            assertEquals(options, settings.overlayOptionsProperty().get());
            assertEquals(OverlayShow.ADJUSTING, settings.overlayShowProperty().get());
            assertEquals(Mover.PHOTO, settings.moverProperty().get());
            assertEquals(0.25, settings.matStrengthProperty().get());
            assertEquals(Unit.INCH, settings.unitProperty().get());
            assertEquals(PrintUnit.INCH, settings.printUnitProperty().get());
            assertEquals(
                    List.of("20x30 cm", "8.5:11"), settings.shapesProperty().get());
        }
    }

    /** Whatever a hand or another version wrote. */
    @Test
    void anyTexts_giveSettings() {
        List<String> words = List.of(
                "",
                " ",
                ";",
                "x",
                "1",
                "-1",
                "0.5",
                "NaN",
                "Infinity",
                "1e999",
                "99999999999",
                "THIRDS",
                "NESTED",
                "SHAPE",
                "4:5",
                "PERCEPTUAL",
                "LIGHT",
                "true",
                "de",
                "\n",
                "=",
                "Ctrl");
        Random random = new Random(20261129);
        for (int i = 0; i < 500; i++) {
            Preferences preferences = mock(withSettings().stubOnly());
            when(preferences.get(any()))
                    .thenAnswer(asked -> Optional.of(random.ints(random.nextInt(5), 0, words.size())
                            .mapToObj(words::get)
                            .collect(Collectors.joining(random.nextBoolean() ? " " : ";"))));
            Settings settings = new Settings(preferences);
            assertTrue(settings.matStrengthProperty().get() <= 1);
            assertTrue(settings.plumbFarProperty().get() <= 1);
            assertTrue(settings.ppiProperty().get() >= 1);
            assertTrue(settings.overlayLookProperty().get().thickness() <= 4);
            assertTrue(settings.pictures().memoryBytes() > 0);
            assertNotNull(settings.pictures().screenColours());
            assertNotNull(new Keys(preferences).map());
        }
    }

    @Test
    void settingsChangedByHandToNonsense_giveTheDefaults() {
        try (Preferences preferences = preferences()) {
            preferences.put("mover", "SIDEWAYS");
            preferences.put("mat strength", "much");
            preferences.put("overlay options", "1;2");
            preferences.put("shapes", "4:5\nnonsense\n");
            Settings settings = new Settings(preferences);
            assertEquals(Mover.FRAME, settings.moverProperty().get());
            assertEquals(0.7, settings.matStrengthProperty().get());
            assertEquals(
                    OverlayOptions.DEFAULT, settings.overlayOptionsProperty().get());
            assertEquals(List.of("4:5"), settings.shapesProperty().get());
        }
    }
}
