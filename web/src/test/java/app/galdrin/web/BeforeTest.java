package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.web.account.People;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.callback.Callback;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sittings that were written before a practical was a list of steps: a dump of 51 of them, made by the version before, is migrated and
 * re-marked. Every line keeps its mark to the last tenth, its status and the slips that were named, but for those that a later engine
 * marks otherwise.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"management.server.port=0", "logging.structured.format.console=", "logging.level.app.galdrin=warn"
        })
@Import(BeforeTest.Before.class)
class BeforeTest {

    private static final Map<String, String> CRITERIA = Map.of(
            "criticalSteps", "prepare.critical",
            "preparation", "prepare.done",
            "reading", "asFound.reading",
            "repeatability", "asFound.repeatability",
            "working", "work.working",
            "verdict", "judge.verdict",
            "plan", "plan.plan",
            "asLeft", "adjust.asLeft");

    /** A database of its own, at the version before, filled with the dump, then migrated. */
    @TestConfiguration
    static class Before {
        @Bean
        FlywayMigrationStrategy theVersionBefore() {
            return flyway -> {
                Flyway.configure()
                        .configuration(flyway.getConfiguration())
                        .target("2")
                        .callbacks(new Callback[0])
                        .skipDefaultCallbacks(true)
                        .load()
                        .migrate();
                new JdbcTemplate(flyway.getConfiguration().getDataSource()).execute(text("sittings-before.sql.gz"));
                flyway.migrate();
            };
        }
    }

    @DynamicPropertySource
    static void aDatabaseOfItsOwn(DynamicPropertyRegistry registry) {
        String url = System.getProperty("GALDRIN_DB_URL") + "_before";
        registry.add("spring.datasource.url", () -> url);
        registry.add("spring.flyway.url", () -> url);
    }

    private static String text(String file) {
        try (InputStream in = BeforeTest.class.getResourceAsStream("/before/" + file)) {
            byte[] bytes = (file.endsWith(".gz") ? new GZIPInputStream(in) : in).readAllBytes();
            return new String(bytes, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What the version before made of a sitting; a line is marks, computed marks, status and slips. */
    record Expected(
            UUID sitting,
            String total,
            String percent,
            boolean competent,
            boolean complete,
            boolean released,
            Map<String, String> lines) {}

    private static List<Expected> expected() {
        return JsonMapper.shared().readValue(text("expected.json"), new TypeReference<List<Expected>>() {});
    }

    /** Lines that the present marking engine marks otherwise (decision 0016), by sitting; and what that makes of the whole. */
    private static Map<String, Map<String, String>> marksOfThePresentEngine() {
        return JsonMapper.shared()
                .readValue(text("present-engine.json"), new TypeReference<Map<String, Map<String, String>>>() {});
    }

    private static Map<String, String> lines(Expected before) {
        Map<String, String> lines = new TreeMap<>();
        before.lines().forEach((name, line) -> lines.put(CRITERIA.get(name), sorted(line)));
        otherwise(before).forEach((name, line) -> {
            if (name.contains(".")) {
                lines.put(name, line);
            }
        });
        return lines;
    }

    private static Map<String, String> otherwise(Expected before) {
        return marksOfThePresentEngine().getOrDefault(before.sitting().toString(), Map.of());
    }

    /** What the present engine makes of the whole sheet, {@code competent} or {@code complete}. */
    private static boolean whole(Expected before, String what, boolean then) {
        return Boolean.parseBoolean(otherwise(before).getOrDefault(what, String.valueOf(then)));
    }

    private static BigDecimal total(Expected before) {
        return lines(before).values().stream()
                .map(line -> new BigDecimal(line.split(" ", 2)[0]))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private People people;

    @Autowired
    private Sittings sittings;

    @Autowired
    private SittingMarks sittingMarks;

    @Autowired
    private MarkSheets sheets;

    private Sitting sitting(UUID id) {
        UUID centre = jdbc.queryForObject("select centre_id from sitting where id = ?", UUID.class, id);
        UUID teacher = jdbc.queryForObject(
                "select id from person where centre_id = ? and role = 'INSTRUCTOR' order by id limit 1",
                UUID.class,
                centre);
        return sittings.sitting(people.session(centre, teacher), id);
    }

    private static String slips(MarkLine line) {
        List<String> slips = new ArrayList<>();
        for (Evidence evidence : line.evidence()) {
            if (evidence instanceof WorkingEvidence w) {
                w.slips().forEach(set -> slips.add(String.join("&", new TreeSet<>(set))));
            } else if (evidence instanceof ReadingEvidence r) {
                r.slips().forEach(set -> slips.add("r:" + String.join("&", new TreeSet<>(set))));
            }
        }
        return slips.stream().sorted().collect(Collectors.joining(";"));
    }

    /** No mark of a checklist or of repeats; of readings what missing repeats cost, and the slips. */
    /** Each task keeps its vehicle, which stands in one place and in a state that was worked with; no two stand in one bay. */
    @Test
    void everyVehicle_standsWhereItWasUsedLast() {
        String newest =
                "(select distinct on (centre_id, vehicle_id) * from vehicle_standing order by centre_id, vehicle_id, seq desc)";
        assertTrue(count("select count(*) from task_version") > 0);
        assertEquals(
                0,
                count("select count(*) from task_version t where not exists (select from task_vehicle v join " + newest
                        + " n on n.centre_id = v.centre_id and n.vehicle_id = v.vehicle_id"
                        + " where v.centre_id = t.centre_id and v.task_id = t.id)"));
        assertEquals(
                0,
                count("select count(*) from (select from " + newest
                        + " n where bay is not null group by centre_id, bay having count(*) > 1) shared"));
        assertEquals(
                0,
                count(
                        "select count(*) from " + newest + " n where not exists (select from vehicle_state s"
                                + " left join sitting i on i.centre_id = s.centre_id and i.state_id = s.id"
                                + " where s.centre_id = n.centre_id and s.id = n.state_id and (s.made_by = 'round' or i.id is not null))"));
    }

    private int count(String sql) {
        return Objects.requireNonNull(jdbc.queryForObject(sql, Integer.class));
    }

    @Test
    void thePresentEngine_marksOtherwise_whatItWasToChange() {
        Map<String, String> first = new TreeMap<>();
        marksOfThePresentEngine().values().forEach(first::putAll);
        assertEquals(
                Set.of(
                        "adjust.asLeft",
                        "asFound.reading",
                        "competent",
                        "complete",
                        "judge.verdict",
                        "plan.plan",
                        "work.working"),
                first.keySet());
        for (Expected before : expected()) {
            String reading = otherwise(before).get("asFound.reading");
            String then = before.lines().get("reading");
            boolean lower = reading != null && marks(reading).compareTo(marks(then)) < 0;
            assertTrue(
                    reading == null || lower || marks(reading).equals(marks(then)), "repeats that were not taken cost");
        }
    }

    private static BigDecimal marks(String line) {
        return new BigDecimal(line.split(" ", 2)[0]);
    }

    private static String sorted(String line) {
        String[] parts = line.split(" ", 4);
        String slips = Arrays.stream(parts[3].split(";")).sorted().collect(Collectors.joining(";"));
        return parts[0] + " " + parts[1] + " " + parts[2].toLowerCase(Locale.ROOT) + " " + slips;
    }

    @Test
    void everySitting_keepsItsMarksToTheLastTenth() {
        List<Expected> all = expected();
        assertTrue(all.size() > 50);
        for (Expected before : all) {
            Sitting sitting = sitting(before.sitting());
            Log log = sittings.log(sitting.centreId(), sitting.id());
            var references = sittingMarks.references(sitting, log).references();
            MarkSheet now = sittingMarks.markSheet(sitting, log, before.released() ? references.toStand() : references);
            Map<String, String> then = new TreeMap<>();
            then.putAll(lines(before));
            Map<String, String> here = new TreeMap<>();
            now.lines()
                    .forEach(l -> here.put(
                            l.criterion().key(),
                            l.marks() + " " + l.computed() + " " + l.status().key() + " " + slips(l)));
            String which = sitting.task().title() + " by " + sitting.names();
            assertEquals(then, here, which);
            assertEquals(total(before), now.total(), which);
            assertEquals(whole(before, "competent", before.competent()), now.competent(), which);
            assertEquals(whole(before, "complete", before.complete()), now.complete(), which);
            assertEquals(before.released(), sitting.state().released(), which);
        }
    }

    @Test
    void whatWasReleased_isStored_andShownAsStored() {
        for (Expected before : expected()) {
            Sitting sitting = sitting(before.sitting());
            assertEquals(before.released(), sheets.stored(sitting).isPresent());
            sheets.stored(sitting).ifPresent(stored -> assertEquals(total(before), stored.total()));
        }
        assertFalse(expected().stream().noneMatch(Expected::released));
    }

    @Test
    void everyDigit_survivesTheMove() {
        Integer odd = jdbc.queryForObject(
                "select count(*) from entry where value is not null and scale(value) > 15", Integer.class);
        assertTrue(odd > 0, "a direct cast would have kept 15 digits");
        assertEquals(0, sheets.storeReleased(), "stored once");
    }
}
