package app.galdrin.web.marksheet;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence.MissingEntry;
import app.galdrin.core.marking.Lack;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.sitting.VehicleHistories.KnownVehicle;
import app.galdrin.web.sitting.VehicleHistories.StateReader;
import app.galdrin.web.sitting.VehicleReferences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Readings that an instructor has to take of a vehicle before it is moved on: those that somebody's marks wait for, and no others. */
@Service
public class ReadingList {

    private final Sittings sittings;
    private final SittingMarks marks;
    private final VehicleHistories histories;
    private final VehicleReferences references;

    ReadingList(Sittings sittings, SittingMarks marks, VehicleHistories histories, VehicleReferences references) {
        this.sittings = sittings;
        this.marks = marks;
        this.histories = histories;
        this.references = references;
    }

    /**
     * Figures to be read by one procedure.
     *
     * @param taskId the task whose lines are filled
     * @param procedure its key
     * @param leftBy the sheet whose as-left state is read; null where the vehicle is read as found
     * @param isAgain whether that state was read once, and everything is set up again
     * @param canWait whether somebody else has read the state, so that readings still to come can settle it
     * @param places how many readings that takes
     * @param names of those whose marks wait
     */
    public record WaitingReading(
            UUID taskId,
            String procedure,
            Set<FigureId> figures,
            @Nullable UUID leftBy,
            boolean isAgain,
            boolean canWait,
            int places,
            Set<String> names) {}

    /** One figure that one sheet waits for. */
    private record Lacking(Sitting sitting, Measure measure, Set<FigureId> figures, boolean isLeft, boolean canWait) {

        /** Returns what is read together: one setting-up settles it for all sheets that are marked by everybody's readings. */
        List<Object> together() {
            return SittingMarks.isCombined(sitting)
                    ? List.of(measure.procedure().key(), measure.steering(), measure.stance())
                    : List.of(sitting.task().id(), measure.id(), isLeft ? sitting.id() : "");
        }
    }

    /** Returns what is to be read of a vehicle in the state it is in, the shortest first; what can wait behind it. */
    public List<WaitingReading> of(UUID centreId, VehicleStanding standing) {
        List<StateReader> readers = histories.readersOf(centreId, standing.settingId());
        if (readers.isEmpty()) {
            return List.of();
        }
        KnownVehicle known = histories.around(centreId, List.of(standing.stateId()), VehicleHistories.alsoOpen());
        Map<List<Object>, List<Lacking>> together = new LinkedHashMap<>();
        for (StateReader reader : readers) {
            Sitting sitting = sittings.whole(centreId, reader.sittingId());
            if (!sitting.isReference()
                    && !sitting.state().released()
                    && !sitting.state().stopped()) {
                lacking(sitting, reader, known, readers)
                        .forEach(one -> together.computeIfAbsent(one.together(), key -> new ArrayList<>())
                                .add(one));
            }
        }
        return together.values().stream()
                .map(this::reading)
                .sorted(Comparator.comparing(WaitingReading::canWait).thenComparing(WaitingReading::places))
                .toList();
    }

    private WaitingReading reading(List<Lacking> all) {
        Lacking first = all.stream().filter(one -> !one.isLeft()).findFirst().orElse(all.get(0));
        Set<FigureId> figures = new TreeSet<>();
        Set<String> names = new TreeSet<>();
        all.forEach(one -> {
            figures.addAll(one.figures());
            names.add(one.sitting().names());
        });
        Sitting sitting = first.sitting();
        int round = sittings.lastRound(sitting, sittings.log(sitting));
        return new WaitingReading(
                sitting.task().id(),
                first.measure().procedure().key(),
                figures,
                first.isLeft() ? sitting.id() : null,
                first.isLeft() && references.findReferenceAfter(sitting, round).isPresent(),
                all.stream().allMatch(Lacking::canWait),
                first.measure().procedure().places(List.copyOf(figures)).size()
                        * first.measure().repeats(),
                names);
    }

    private List<Lacking> lacking(Sitting sitting, StateReader reader, KnownVehicle known, List<StateReader> readers) {
        Log log = sittings.log(sitting);
        Practical practical = sitting.markedBy().practical();
        boolean isLeft = reader.round() > 0;
        if (isLeft && reader.round() != sittings.lastRound(sitting, log)) {
            return List.of();
        }
        boolean readByOthers = readers.stream()
                .anyMatch(other -> other.round() == 0 && !other.sittingId().equals(sitting.id()));
        MarkSheet sheet = marks.markSheet(
                sitting, log, marks.references(sitting, log, known).references());
        List<Lacking> lacking = new ArrayList<>();
        for (MarkLine line : sheet.lines()) {
            if (line.criterion().aspect() == (isLeft ? Aspect.AS_LEFT : Aspect.READING)
                    && line.override().isEmpty()) {
                Step step = practical.step(line.criterion().step()).orElseThrow();
                line.evidence().stream()
                        .filter(e -> e instanceof MissingEntry missing
                                && missing.what().isInstructors())
                        .map(MissingEntry.class::cast)
                        .forEach(missing -> measures(step)
                                .flatMap(measure -> lacking(
                                        sitting,
                                        measure,
                                        missing,
                                        isLeft,
                                        readByOthers && missing.what() == Lack.AS_LEFT_AGAIN)
                                        .stream())
                                .forEach(lacking::add));
            }
        }
        return lacking;
    }

    private static Stream<Measure> measures(Step step) {
        return Stream.concat(Stream.of(step), step.within().stream())
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast);
    }

    private static List<Lacking> lacking(
            Sitting sitting, Measure measure, MissingEntry missing, boolean isLeft, boolean canWait) {
        Set<FigureId> figures = new TreeSet<>(measure.figures());
        if (!missing.subject().isEmpty()) {
            FigureId subject = FigureId.parse(missing.subject()).orElseThrow();
            figures.removeIf(figure -> !figure.equals(subject)
                    && !(subject.ofBothWheels()
                            && figure.measurand() == subject.measurand().base()
                            && figure.axle().equals(subject.axle())));
        }
        return figures.isEmpty() ? List.of() : List.of(new Lacking(sitting, measure, figures, isLeft, canWait));
    }
}
