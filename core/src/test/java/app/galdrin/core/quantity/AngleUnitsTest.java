package app.galdrin.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Angles turn from degrees to radians and back in {@link Quantity} alone. */
class AngleUnitsTest {

    private static final Path SOURCES = Path.of("src/main/java/app/galdrin/core");

    /**
     * Where degrees are the subject: the calculator works in them; the virtual workshop and the proof's paper check the core by a second way,
     * and share no conversion with it.
     */
    private static final List<String> APART =
            List.of("quantity/Quantity.java", "quantity/Calculation.java", "workshop/", "proof/");

    /** A constant that a person reads in degrees is no conversion of a value. */
    private static final Pattern CONSTANT = Pattern.compile("Math\\.toRadians\\((?:[0-9.e-]+|[A-Z_]+)\\)");

    @Test
    void anglesAreConverted_inQuantityAlone() throws IOException {
        List<String> elsewhere = new ArrayList<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                String name = SOURCES.relativize(file).toString();
                if (APART.stream().noneMatch(name::startsWith)) {
                    Files.readString(file)
                            .lines()
                            .map(line -> CONSTANT.matcher(line).replaceAll(""))
                            .filter(line -> line.contains("toRadians") || line.contains("toDegrees"))
                            .forEach(line -> elsewhere.add(name + ": " + line.strip()));
                }
            }
        }
        assertEquals(List.of(), elsewhere);
    }

    @ParameterizedTest
    @CsvSource({
        "ANGLE, 180, 3.141592653589793",
        "ANGLE, -0.3, -0.005235987755982988",
        "LENGTH, 12.5, 12.5",
        "COUNT, 2, 2"
    })
    void aValue_turnsIntoTheUnitOfTheCore_andBack(Quantity quantity, double documented, double core) {
        assertEquals(core, quantity.toCore(documented), 1e-15);
        assertEquals(documented, quantity.toDocument(core), 1e-13);
    }
}
