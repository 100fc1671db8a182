package app.galdrin.core.proof;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.slip.SenseSlips;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Slips in the readings of a sheet, and misreadings that are none. */
final class ReadingTrial {

    /** A figure that a slip moves by more than so many U of the difference is to be named. */
    private static final double TIMES_U = 3.2;

    /** The numbers of marks by which people misread a scale. */
    private static final int[] MISREAD = {2, 4, 10, 20};

    private static final double INCH = 25.4;

    private final Trial trial;
    private final SimulatedSitting sat;
    private final List<Map<String, Double>> readings;

    /** Tries mistakes on a sheet that was read. */
    ReadingTrial(Trial trial, SimulatedSitting sat) {
        this.trial = trial;
        this.sat = sat;
        this.readings = sat.answers().readings(trial.measure(), 0);
    }

    /** One place, in every repeat or one of them. */
    void misread() {
        Place place = trial.one(trial.places());
        double shift = (trial.random().nextBoolean() ? 1 : -1)
                * MISREAD[trial.random().nextInt(MISREAD.length)]
                * SimulatedSitting.markOf(place.instrument());
        for (int repeat : place.eachRepeat() ? repeats() : List.of(1)) {
            double was = readings.get(repeat - 1).getOrDefault(place.id(), 0.0);
            if (!canBeWritten(place, Math.abs(was + shift))) {
                return;
            }
            sat.write(trial.measure(), place, repeat, was + shift);
        }
        List<ReadingEvidence> marked = marked();
        if (marked.stream().anyMatch(ReadingEvidence::off)) {
            trial.tally().count(ProofMeasure.MISREAD_NAMED, trial.name(), Naming.accuses(marked));
        }
    }

    private List<Integer> repeats() {
        int repeats = trial.measure().repeats();
        return trial.random().nextBoolean()
                ? IntStream.rangeClosed(1, repeats).boxed().toList()
                : List.of(1 + trial.random().nextInt(repeats));
    }

    /** Chooses the wrong sense at one place, in every repeat. */
    void wrongSense() {
        List<Place> sensed = sensed().filter(Place::eachRepeat).toList();
        if (sensed.isEmpty()) {
            return;
        }
        Place place = trial.one(sensed);
        Map<FigureId, Estimate> before = means();
        writeTurned(List.of(place));
        if (moved(before, means()) > 0) {
            List<ReadingEvidence> marked = marked();
            count(ProofMeasure.SENSE_SLIP_NAMED, trial.name(), SenseSlips.WRONG_SENSE, marked);
            trial.tally()
                    .count(
                            ProofMeasure.SENSE_SLIP_MISNAMED,
                            trial.name(),
                            Naming.namesAnother(marked, SenseSlips.WRONG_SENSE));
        }
    }

    private Stream<Place> sensed() {
        return trial.places().stream().filter(p -> p.answer() instanceof SizeAndSense);
    }

    /** Several figures moved by one slip, which no sense turned back wherever the same is read puts right as well. */
    void slip() {
        var listed = trial.listed();
        List<String> slips = Stream.of(
                        "frontRearSwapped", "leftRightSwapped", "inchesUnconverted", "steeringNotStraight")
                .filter(listed::contains)
                .toList();
        if (slips.isEmpty()) {
            return;
        }
        Map<FigureId, Estimate> before = means();
        String slip = trial.one(slips);
        if (slip.equals("steeringNotStraight")) {
            sat.readTurned();
        } else {
            misplace(slip);
        }
        if (moved(before, means()) > 1 && turnedBack().noneMatch(other -> isSame(before, other))) {
            count(ProofMeasure.READING_SLIP_NAMED, slip, slip, marked());
        }
    }

    /** Returns what the figures come to with each kind of reading turned wherever it is written. */
    private Stream<Map<FigureId, Estimate>> turnedBack() {
        List<Map<FigureId, Estimate>> all = new ArrayList<>();
        sensed().collect(Collectors.groupingBy(Place::reading))
                .values()
                .forEach(places -> sat.trying(() -> {
                    writeTurned(places);
                    all.add(means());
                }));
        return all.stream();
    }

    private void writeTurned(List<Place> places) {
        List<Map<String, Double>> written = sat.answers().readings(trial.measure(), 0);
        for (Place place : places) {
            for (int repeat = 1; repeat <= written.size(); repeat++) {
                double was = written.get(repeat - 1).getOrDefault(place.id(), 0.0);
                sat.write(trial.measure(), place, repeat, -was);
            }
        }
    }

    private void misplace(String slip) {
        for (Place place : trial.places()) {
            @Nullable
            Place from = switch (slip) {
                case "frontRearSwapped" ->
                    trial.measure().procedure().otherEnd(place).orElse(null);
                case "leftRightSwapped" ->
                    trial.measure().procedure().otherSide(place).orElse(null);
                default -> place.amount().quantity() == Quantity.LENGTH ? place : null;
            };
            for (int repeat = 1; from != null && place.eachRepeat() && repeat <= readings.size(); repeat++) {
                double read = readings.get(repeat - 1).getOrDefault(from.id(), 0.0);
                double wrote = slip.equals("inchesUnconverted") ? read / INCH : read;
                if (canBeWritten(place, Math.abs(wrote))) {
                    sat.write(trial.measure(), place, repeat, wrote);
                }
            }
        }
    }

    private void count(ProofMeasure measured, String apart, String slip, List<ReadingEvidence> marked) {
        trial.tally().count(measured, apart, Naming.names(marked, slip), Naming.isPossible(marked, slip));
    }

    private List<ReadingEvidence> marked() {
        return Naming.evidence(sat.mark(), ReadingEvidence.class);
    }

    /** Returns the means of all figures that are read by themselves. */
    private Map<FigureId, Estimate> means() {
        Map<FigureId, Estimate> means = new HashMap<>();
        trial.measure().figures().stream()
                .filter(figure -> !figure.ofBothWheels())
                .forEach(f -> sat.own().mean(trial.measure(), 0, f).ifPresent(e -> means.put(f, e)));
        return means;
    }

    /** Returns how many figures lie elsewhere now. */
    private long moved(Map<FigureId, Estimate> before, Map<FigureId, Estimate> now) {
        return before.keySet().stream()
                .filter(figure -> inU(figure, before, now) > TIMES_U)
                .count();
    }

    /** Returns whether no figure lies further from where it lay than its doubt reaches. */
    private boolean isSame(Map<FigureId, Estimate> before, Map<FigureId, Estimate> now) {
        return before.keySet().stream().allMatch(figure -> inU(figure, before, now) <= 1);
    }

    /** Returns how far a figure lies from where it lay, in U of its difference from the reference; 0 where there is no telling. */
    private double inU(FigureId figure, Map<FigureId, Estimate> before, Map<FigureId, Estimate> now) {
        return sat.reference()
                .mean(trial.measure(), 0, figure)
                .filter(any -> now.containsKey(figure))
                .map(reference -> {
                    Estimate is = Objects.requireNonNull(now.get(figure));
                    Estimate was = Objects.requireNonNull(before.get(figure));
                    return Math.abs(is.value() - was.value())
                            / (Judgement.K * Math.hypot(is.standardUncertainty(), reference.standardUncertainty()));
                })
                .orElse(0.0);
    }

    /** A reading that can't be real is refused as it is written. */
    private static boolean canBeWritten(Place place, double value) {
        return value >= place.amount().least() && value <= place.amount().most();
    }
}
