package app.galdrin.web.workshop.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.DaySitting;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.marksheet.ReadingList;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.OpenTask;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Words;
import app.galdrin.web.workshop.VehicleCard;
import app.galdrin.web.workshop.VehicleCards;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The day sheet: each vehicle with its bay, how it is set, who sits on it, what has to be read and what has to be put back. */
@Controller
class DaySheetController {

    private final VehicleCards cards;
    private final Tasks tasks;
    private final VehicleReferences references;
    private final Sittings sittings;
    private final ReadingList list;
    private final VehicleHistories histories;
    private final Standings standings;
    private final Words words;

    DaySheetController(
            VehicleCards cards,
            Tasks tasks,
            VehicleReferences references,
            Sittings sittings,
            ReadingList list,
            VehicleHistories histories,
            Standings standings,
            Words words) {
        this.words = words;
        this.standings = standings;
        this.list = list;
        this.histories = histories;
        this.cards = cards;
        this.tasks = tasks;
        this.references = references;
        this.sittings = sittings;
    }

    /** State of the instructor's readings of a vehicle for a task. */
    enum Reading {
        /** Readings of the state that the vehicle is in. */
        READ("read"),
        /** Readings of the same setting, before it was adjusted and put back. */
        BEFORE("before"),
        /** No readings of an instructor, and none are needed yet: everybody's count. */
        TOGETHER("together"),
        /** No readings of an instructor, and somebody's marks wait for one. */
        WAITS("waits"),
        /** No readings: nobody can be marked against them. */
        NONE("none");

        private final String key;

        Reading(String key) {
            this.key = key;
        }

        /** Returns the end of its message's key. */
        public String key() {
            return key;
        }
    }

    /** A task that is open on a vehicle, and whether the vehicle has been read for it. */
    record OpenUse(OpenTask task, Reading reading) {}

    /** A figure of a vehicle as it was left. */
    record LeftFigure(FigureId figure, double value, double expanded, Zone zone) {}

    /**
     * A line of the sheet.
     *
     * @param begun the sheets begun on it today
     * @param outside figures that are not as the specification wants them, as the vehicle is now; none where nobody has read it
     * @param isReadSince whether anybody has read it in the state it is in, or it follows from what was moved
     */
    record Line(
            VehicleCard card,
            List<OpenUse> uses,
            List<DaySitting> begun,
            List<LeftFigure> outside,
            boolean isReadSince) {

        /** Returns whether an instructor has something to do with it: put it back, or read it. */
        public boolean isDue() {
            return card.isAdjusted()
                    || uses.stream().anyMatch(use -> use.reading() == Reading.NONE || use.reading() == Reading.WAITS);
        }
    }

    @GetMapping("/bays/day")
    String page(@AuthenticationPrincipal SignedIn me, Model model) {
        Map<UUID, List<OpenTask>> open = tasks.openByVehicle(me.centreId());
        List<Line> lines = cards.all(me).stream()
                .filter(card -> isInUse(card, open))
                .sorted(Comparator.comparing(DaySheetController::bay))
                .map(card -> line(me, card, open.getOrDefault(card.vehicleId(), List.of())))
                .toList();
        model.addAttribute("lines", lines);
        model.addAttribute("due", lines.stream().filter(Line::isDue).count());
        model.addAttribute("day", words.day(Instant.now(), me.zoneId()));
        return "workshop/day";
    }

    private Line line(SignedIn me, VehicleCard card, List<OpenTask> open) {
        Map<FigureId, ReferenceValue> known = card.standing() == null ? Map.of() : known(me, card);
        SpecificationSheet sheet = card.sheet().sheet();
        List<LeftFigure> outside = new ArrayList<>();
        known.forEach((figure, value) -> sheet.limits(figure).ifPresent(limits -> {
            Judgement judged = sheet.scale(figure).judge(figure, value.value(), limits, DecisionRule.SIMPLE);
            if (!judged.accepted()) {
                outside.add(new LeftFigure(
                        figure,
                        value.value().value(),
                        Judgement.K * value.value().standardUncertainty(),
                        judged.zone()));
            }
        }));
        boolean isWaiting = open.stream().anyMatch(task -> isCombined(me, task)) && isWaiting(me, card);
        return new Line(
                card,
                open.stream()
                        .map(task -> new OpenUse(task, reading(me, task, card, isWaiting)))
                        .toList(),
                standings.begunSince(
                        me.centreId(),
                        card.vehicleId(),
                        LocalDate.now(me.zoneId()).atStartOfDay(me.zoneId()).toInstant()),
                outside,
                !known.isEmpty());
    }

    private Map<FigureId, ReferenceValue> known(SignedIn me, VehicleCard card) {
        UUID state = Objects.requireNonNull(card.standing()).stateId();
        return histories
                .around(me.centreId(), List.of(state), VehicleHistories.alsoOpen())
                .history()
                .best(state.toString());
    }

    /** Returns whether it stands in a bay, is open to a class, or has to be put back. */
    private static boolean isInUse(VehicleCard card, Map<UUID, List<OpenTask>> open) {
        return bay(card) < Integer.MAX_VALUE || open.containsKey(card.vehicleId()) || card.isAdjusted();
    }

    private static int bay(VehicleCard card) {
        return Optional.ofNullable(card.standing())
                .flatMap(VehicleStanding::bayNumber)
                .orElse(Integer.MAX_VALUE);
    }

    private boolean isCombined(SignedIn me, OpenTask task) {
        return tasks.task(me.centreId(), task.taskId()).practical().references() == ReferenceRule.COMBINED;
    }

    /** Returns whether somebody's marks wait for an instructor's reading of the state a vehicle is in. */
    private boolean isWaiting(SignedIn me, VehicleCard card) {
        return card.standing() != null
                && list.of(me.centreId(), card.standing()).stream().anyMatch(reading -> !reading.canWait());
    }

    private Reading reading(SignedIn me, OpenTask task, VehicleCard card, boolean isWaiting) {
        if (card.standing() == null) {
            return Reading.NONE;
        }
        UUID state = card.standing().stateId();
        Optional<FoundReference> found = references
                .findReference(me.centreId(), task.taskId(), state)
                .filter(reference -> isWritten(me, reference));
        boolean isCombined = isCombined(me, task);
        if (isCombined && isWaiting) {
            return Reading.WAITS;
        }
        if (found.isEmpty()) {
            return isCombined ? Reading.TOGETHER : Reading.NONE;
        }
        return found.get().stateId().equals(state) ? Reading.READ : Reading.BEFORE;
    }

    private boolean isWritten(SignedIn me, FoundReference reference) {
        Sitting sitting = sittings.sitting(me, reference.id());
        return sitting.state().lastSeq() > 0;
    }
}
