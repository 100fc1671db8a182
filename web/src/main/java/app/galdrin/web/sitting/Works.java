package app.galdrin.web.sitting;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.RodMove;
import app.galdrin.core.marking.SittingWork;
import app.galdrin.core.marking.VerdictChoice;
import app.galdrin.core.marking.Written;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.layout.Keys;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What the entries of a sitting come to: the work as the core marks it, and the mark sheet. */
@Service
public class Works {

    private final Sittings sittings;

    Works(Sittings sittings) {
        this.sittings = sittings;
    }

    /** The mark sheet of a sitting as it stands, the instructor's overrides in place. */
    public MarkSheet markSheet(Sitting sitting, Log log) {
        return Marker.mark(sitting.task().toe(), work(sitting.task().toe(), log), references(sitting, log))
                .with(overrides(log));
    }

    /** The instructor's readings that a sitting is marked against; once released, those of that time. */
    public References references(Sitting sitting, Log log) {
        UUID centre = sitting.centreId();
        var asFound = sittings.findReferenceAsFound(centre, sitting.task().id());
        var asLeft = sittings.findReferenceAsLeft(centre, sitting.id());
        Instant until = log.at(Slot.of(Stage.MARK, "release")).map(Entry::at).orElse(Instant.MAX);
        int repeats = sitting.task().toe().repeats();
        return new References(
                readings(centre, asFound, until, Stage.AS_FOUND, repeats),
                readings(centre, asLeft, until, Stage.AS_LEFT, repeats));
    }

    private List<Map<String, Double>> readings(
            UUID centre, Optional<UUID> reference, Instant until, Stage stage, int repeats) {
        return reference
                .map(id -> sittings.log(centre, id).until(until).readings(stage, repeats))
                .orElse(List.of());
    }

    /** What stands in a log, as the core takes it. */
    public static SittingWork work(ToeTask task, Log log) {
        Map<Asked, Written> working = new EnumMap<>(Asked.class);
        Map<Asked, VerdictChoice> verdicts = new EnumMap<>(Asked.class);
        for (Asked asked : task.asked().figures()) {
            log.at(Slot.of(Stage.WORK, asked.key())).ifPresent(e -> {
                if (e.value() != null && e.step() != null) {
                    working.put(asked, new Written(e.value(), e.step()));
                }
            });
            log.at(Slot.of(Stage.JUDGE, asked.key()))
                    .flatMap(e -> VerdictChoice.ofKey(e.written()))
                    .ifPresent(verdict -> verdicts.put(asked, verdict));
        }
        return new SittingWork(
                log.in(Stage.PREPARE).stream().map(e -> e.slot().place()).collect(Collectors.toSet()),
                log.readings(Stage.AS_FOUND, task.repeats()),
                log.readings(Stage.AS_LEFT, task.repeats()),
                working,
                verdicts,
                log.at(Slot.of(Stage.JUDGE, SlotRules.ADJUSTABLE))
                        .map(e -> e.written().equals("yes")),
                plan(log));
    }

    private static Optional<SittingWork.Plan> plan(Log log) {
        return move(log, "left").flatMap(left -> move(log, "right").map(right -> new SittingWork.Plan(left, right)));
    }

    private static Optional<RodMove> move(Log log, String rod) {
        Optional<String> way = log.at(Slot.of(Stage.PLAN, rod + ".way")).map(Entry::written);
        Optional<Double> turns = log.at(Slot.of(Stage.PLAN, rod + ".turns")).map(Entry::value);
        if (way.isEmpty()) {
            return Optional.empty();
        }
        return switch (way.get()) {
            case "leave" -> Optional.of(RodMove.LEAVE);
            case "lengthen" -> turns.map(RodMove::new);
            default -> turns.map(t -> new RodMove(-t));
        };
    }

    /** The instructor's marks that stand in place of the computed ones. */
    public static Map<Criterion, MarkLine.Override> overrides(Log log) {
        Map<Criterion, MarkLine.Override> overrides = new EnumMap<>(Criterion.class);
        for (Entry entry : log.in(Stage.MARK)) {
            Double marks = entry.value();
            Keys.find(Criterion.values(), Criterion::key, entry.slot().place())
                    .filter(criterion -> marks != null)
                    .ifPresent(criterion -> overrides.put(
                            criterion,
                            new MarkLine.Override(BigDecimal.valueOf(marks == null ? 0 : marks), entry.written())));
        }
        return overrides;
    }
}
