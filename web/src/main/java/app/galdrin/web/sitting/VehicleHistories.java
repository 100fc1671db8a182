package app.galdrin.web.sitting;

import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.reference.StateMove;
import app.galdrin.core.reference.StateReading;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Practical;
import app.galdrin.web.bay.PartMove;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.library.Library;
import app.galdrin.web.sitting.HistoryMapper.EarlierRow;
import app.galdrin.web.sitting.HistoryMapper.ReaderRow;
import app.galdrin.web.sitting.HistoryMapper.StateRow;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Histories of vehicles: who read which of their states, and what was moved between these. A sheet that was stopped or is of a practice says nothing
 * of a vehicle, and of several sheets of one person on a state the last counts.
 */
@Service
public class VehicleHistories {

    private static final int MOST_STATES = 120;
    private static final int MOST_READERS = 240;

    private final HistoryMapper mapper;
    private final Sittings sittings;
    private final Standings standings;
    private final Library library;

    VehicleHistories(HistoryMapper mapper, Sittings sittings, Standings standings, Library library) {
        this.library = library;
        this.mapper = mapper;
        this.sittings = sittings;
        this.standings = standings;
    }

    /** Sheets that count: those handed in, all that are there, or those that were there at a time. */
    public interface CountingSheets {

        /** Returns whether sheets that were not handed in count too. */
        boolean alsoOpen();

        /** Returns the log of a sheet as it counts; empty where the sheet does not. */
        Optional<Log> count(Sitting sitting, Log log);
    }

    /** Returns that every sheet counts that was handed in, as it stands. */
    public static CountingSheets handedIn() {
        return sheets(false, (sitting, log) -> Optional.of(log));
    }

    /** Returns that every sheet counts, also one that somebody still writes. */
    public static CountingSheets alsoOpen() {
        return sheets(true, (sitting, log) -> Optional.of(log));
    }

    /** Returns that instructors' readings count as they stand, and of apprentices' sheets some as they stood at an entry. */
    public static CountingSheets asTheyStood(Map<UUID, Integer> seqs) {
        return sheets(
                false,
                (sitting, log) -> sitting.isReference()
                        ? Optional.of(log)
                        : Optional.ofNullable(seqs.get(sitting.id())).map(log::until));
    }

    private interface Count {
        Optional<Log> of(Sitting sitting, Log log);
    }

    private static CountingSheets sheets(boolean alsoOpen, Count count) {
        return new CountingSheets() {
            @Override
            public boolean alsoOpen() {
                return alsoOpen;
            }

            @Override
            public Optional<Log> count(Sitting sitting, Log log) {
                return count.of(sitting, log);
            }
        };
    }

    /**
     * A vehicle's history with what it was made from.
     *
     * @param seqs how many entries each sheet had, by its id
     */
    public record KnownVehicle(VehicleHistory history, Map<UUID, Integer> seqs) {

        /** One that nobody has read. */
        public static final KnownVehicle UNKNOWN = new KnownVehicle(new VehicleHistory(List.of(), List.of()), Map.of());
    }

    /** A sheet that counts. */
    private record CountedSheet(Sitting sitting, Log log, Assignment assignment, OwnFigures figures) {}

    /**
     * Sheet that reads a state.
     *
     * @param round the round whose lines hold the readings; 0 as found
     */
    public record StateReader(UUID sittingId, UUID stateId, int round) {}

    /** A sheet, or what it has up to an entry where it went on at another vehicle; 0 for the whole of it. */
    private record SheetPart(UUID sittingId, int until) {}

    /** Returns the sheets that read a setting of a vehicle and are still at it, also those that somebody still writes. */
    public List<StateReader> readersOf(UUID centreId, UUID settingId) {
        List<UUID> states = mapper.ofSetting(centreId, settingId, MOST_STATES);
        return states.isEmpty()
                ? List.of()
                : mapper.readers(centreId, states, true, MOST_READERS).stream()
                        .filter(row -> row.until() == 0)
                        .map(row -> new StateReader(row.sittingId(), row.stateId(), row.round()))
                        .toList();
    }

    /** Returns the history of the states that known moves join to some. */
    public KnownVehicle around(UUID centreId, Collection<UUID> states, CountingSheets counting) {
        List<StateRow> rows = mapper.joined(centreId, states, MOST_STATES);
        if (rows.isEmpty()) {
            return KnownVehicle.UNKNOWN;
        }
        List<UUID> ids = rows.stream().map(StateRow::id).toList();
        Map<SheetPart, Optional<CountedSheet>> sheets = new LinkedHashMap<>();
        Function<SheetPart, Optional<CountedSheet>> sheet =
                part -> sheets.computeIfAbsent(part, p -> counted(centreId, p, counting));
        // of one person's readings of a state those handed in last
        Map<List<Object>, StateReading> readings = new LinkedHashMap<>();
        for (ReaderRow row : mapper.readers(centreId, ids, counting.alsoOpen(), MOST_READERS)) {
            sheet.apply(new SheetPart(row.sittingId(), row.until()))
                    .map(s -> reading(s, row))
                    .ifPresent(reading -> {
                        if (!reading.figures().isEmpty()) {
                            Object who = reading.isInstructor() ? reading.id() : reading.people();
                            readings.put(List.of(reading.state(), who), reading);
                        }
                    });
        }
        List<StateMove> moves = rows.stream()
                .flatMap(row -> move(centreId, row, sheet).stream())
                .toList();
        Map<UUID, Integer> seqs = new LinkedHashMap<>();
        sheets.forEach((part, counted) ->
                counted.ifPresent(s -> seqs.merge(part.sittingId(), s.log().lastSeq(), Math::max)));
        return new KnownVehicle(new VehicleHistory(List.copyOf(readings.values()), moves), seqs);
    }

    private Optional<CountedSheet> counted(UUID centreId, SheetPart part, CountingSheets counting) {
        Sitting sitting = sittings.whole(centreId, part.sittingId());
        boolean counts = sitting.isReference()
                || !sitting.state().stopped() && sitting.task().practical().mode() != Mode.PRACTICE;
        return counts
                ? counting.count(sitting, sittings.log(sitting))
                        .map(log -> part.until() > 0 ? log.until(part.until()) : log)
                        .map(log -> {
                            Assignment assignment = assignment(sitting, part);
                            return new CountedSheet(
                                    sitting, log, assignment, OwnFigures.ofReference(assignment, log.answers()));
                        })
                : Optional.empty();
    }

    private Assignment assignment(Sitting sitting, SheetPart part) {
        Practical practical = sitting.markedBy().practical();
        if (part.until() == 0) {
            return new Assignment(practical, sitting.markedOn().sheet(), sitting.floor(), sitting.kit());
        }
        EarlierRow earlier = mapper.earlier(sitting.centreId(), sitting.id(), part.until());
        return new Assignment(
                practical,
                library.sheet(sitting.centreId(), earlier.sheetId()).sheet(),
                Optional.ofNullable(earlier.floor()).flatMap(FloorRow::floor).orElse(BayFloor.LEVEL),
                sitting.kit());
    }

    private static StateReading reading(CountedSheet sheet, ReaderRow row) {
        return StateReading.of(
                sheet.sitting().id().toString(),
                row.stateId().toString(),
                sheet.sitting().isReference(),
                people(sheet.sitting()),
                sheet.figures(),
                row.round(),
                sheet.assignment().practical().measures(row.round()));
    }

    /** Returns the ids of those who sit a sheet. */
    public static Set<String> people(Sitting sitting) {
        return sitting.people().stream().map(person -> person.id().toString()).collect(Collectors.toSet());
    }

    private Optional<StateMove> move(UUID centreId, StateRow row, Function<SheetPart, Optional<CountedSheet>> sheet) {
        UUID before = row.before();
        if (before == null) {
            return Optional.empty();
        }
        if (row.madeBy() == StandingCause.ROUND) {
            return row.sittingId() == null
                    ? Optional.empty()
                    : sheet.apply(new SheetPart(row.sittingId(), 0)).flatMap(s -> round(s, before, row));
        }
        SpecificationSheet parts =
                library.versions(centreId, row.vehicleId()).get(0).sheet();
        boolean isBack = row.madeBy() == StandingCause.PUT_BACK;
        List<String> back = isBack ? standings.partsPutBack(centreId, before, row.id()) : List.of();
        List<PartDoubt> returned = parts.adjusters().stream()
                .filter(part -> back.contains(part.id()))
                .map(PartDoubt::ofReturn)
                .toList();
        Map<Adjuster, Double> set = isBack ? Map.of() : amounts(parts, standings.moves(centreId, row.id()));
        return Optional.of(
                new StateMove(before.toString(), row.id().toString(), Set.of(), new PartMoves(set), returned));
    }

    private static Map<Adjuster, Double> amounts(SpecificationSheet sheet, List<PartMove> moves) {
        Map<Adjuster, Double> amounts = new HashMap<>();
        for (PartMove move : moves) {
            sheet.adjusters().stream()
                    .filter(part -> part.id().equals(move.part()) && move.amount() != null)
                    .forEach(part -> amounts.put(part, move.amount()));
        }
        return amounts;
    }

    private static Optional<StateMove> round(CountedSheet sheet, UUID before, StateRow row) {
        return NetMoves.ofRound(
                        sheet.assignment().practical(),
                        sheet.assignment().sheet(),
                        sheet.log().answers(),
                        row.round())
                .map(moves -> new StateMove(
                        before.toString(), row.id().toString(), people(sheet.sitting()), moves, new ArrayList<>()));
    }
}
