package app.galdrin.core.proof;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/** Slips in the working of a sheet, and errors there that are none. */
final class WorkingTrial {

    /** A worked figure that a slip moves by more than so many places as written is to be named. */
    private static final double STEPS = 2.5;

    /** Reach of an error that is no slip, in sizes of the figure or its tolerance. */
    private static final double REACH = 5;

    private final Trial trial;
    private final SimulatedSitting sat;
    private final Map<FigureId, Double> honest;
    private final List<PaperSlip> slips;

    /** Tries mistakes on a sheet that was read. */
    WorkingTrial(Trial trial, SimulatedSitting sat) {
        this.trial = trial;
        this.sat = sat;
        this.honest = sat.onPaper(null, Habit.AT_THE_END);
        var listed = trial.listed();
        this.slips = Arrays.stream(PaperSlip.values())
                .filter(slip -> listed.contains(slip.key()))
                .toList();
    }

    // ---- slips

    /** Makes a slip in all figures, and in one of them. */
    void slip() {
        PaperSlip slip = trial.one(slips);
        var tried = new SlipTrial(slip, trial.one(List.of(1.0, 1.0, 5.0, 10.0)));
        FigureId alone = trial.one(List.copyOf(honest.keySet()));
        tried.count(ProofMeasure.SLIP_NAMED, slip.key() + " all", List.of(this::everywhere));
        tried.count(ProofMeasure.SLIP_NAMED, slip.key() + " one", List.of(s -> only(alone, everywhere(s))));
    }

    /** Makes a slip at one wheel with the figures that follow from it, or in one repeat of several. */
    void partialSlip() {
        PaperSlip slip = trial.one(
                slips.stream().filter(s -> s != PaperSlip.FIRST_REPEAT_ONLY).toList());
        var tried = new SlipTrial(slip, 1);
        if (trial.random().nextBoolean()) {
            List<Function<PaperSlip, Map<FigureId, Double>>> ways = new ArrayList<>();
            sat.answers().readings(trial.measure(), 0).forEach(repeat -> ways.add(s -> inRepeat(s, repeat)));
            ways.add(this::everywhere);
            if (tried.moved(ways.get(0).apply(slip))
                    > 1) { // one figure can't say in which repeat: any number is some repeat's
                tried.count(ProofMeasure.PARTIAL_SLIP_NAMED, slip.key() + " repeat", ways);
            }
        } else {
            List<FigureId> wheels =
                    honest.keySet().stream().filter(f -> f.wheel().isPresent()).toList();
            if (!wheels.isEmpty()) {
                FigureId wheel = trial.one(wheels);
                tried.count(
                        ProofMeasure.PARTIAL_SLIP_NAMED,
                        slip.key() + " wheel",
                        List.of(s -> atWheel(wheel, everywhere(s)), this::everywhere));
            }
        }
    }

    private Map<FigureId, Double> everywhere(PaperSlip slip) {
        return sat.onPaper(slip, Habit.AT_THE_END);
    }

    private Map<FigureId, Double> only(FigureId figure, Map<FigureId, Double> slipped) {
        Map<FigureId, Double> mixed = new LinkedHashMap<>(honest);
        mixed.put(figure, slipped.getOrDefault(figure, Double.NaN));
        return mixed;
    }

    private Map<FigureId, Double> inRepeat(PaperSlip slip, Map<String, Double> repeat) {
        int repeats = sat.answers().readings(trial.measure(), 0).size();
        Map<FigureId, Double> before = sat.onPaper(List.of(repeat), null, Habit.AT_THE_END);
        Map<FigureId, Double> after = sat.onPaper(List.of(repeat), slip, Habit.AT_THE_END);
        Map<FigureId, Double> mean = new LinkedHashMap<>(honest);
        mean.replaceAll(
                (f, v) -> v + (after.getOrDefault(f, Double.NaN) - before.getOrDefault(f, Double.NaN)) / repeats);
        return mean;
    }

    private Map<FigureId, Double> atWheel(FigureId wheel, Map<FigureId, Double> slipped) {
        Map<FigureId, Double> mixed = new LinkedHashMap<>(honest);
        double was = honest.getOrDefault(wheel, 0.0);
        double is = slipped.getOrDefault(wheel, Double.NaN);
        mixed.put(wheel, is);
        mixed.replaceAll((f, v) -> f.ofBothWheels()
                        && f.axle().equals(wheel.axle())
                        && f.measurand().base() == wheel.measurand()
                ? v
                        + (wheel.wheel().orElseThrow().left()
                                        ? 1
                                        : f.measurand().form().rightFactor())
                                * (is - was)
                : v);
        return mixed;
    }

    /** Trial of a slip on a sheet that is written to places so many times as coarse as asked. */
    private final class SlipTrial {
        private final PaperSlip slip;
        private final double coarser;

        SlipTrial(PaperSlip slip, double coarser) {
            this.slip = slip;
            this.coarser = coarser;
        }

        /** Counts the first of the ways it is made in, where no other listed slip gives the same figures in any of them. */
        void count(ProofMeasure measured, String how, List<Function<PaperSlip, Map<FigureId, Double>>> ways) {
            Map<FigureId, Double> slipped = ways.get(0).apply(slip);
            boolean alike = slips.stream()
                    .filter(other -> !other.key().equals(slip.key()))
                    .anyMatch(other -> ways.stream().anyMatch(way -> gives(way.apply(other), slipped)));
            if (moved(slipped) == 0 || alike) {
                return;
            }
            List<WorkingEvidence> marked = written(slipped, coarser);
            trial.tally().count(measured, how, Naming.names(marked, slip.key()), Naming.isPossible(marked, slip.key()));
            if (measured == ProofMeasure.PARTIAL_SLIP_NAMED) {
                trial.tally().count(ProofMeasure.PARTIAL_SLIP_MISNAMED, how, Naming.namesAnother(marked, slip.key()));
            }
        }

        /** Returns whether another gives all that is off, within the place that is written. */
        private boolean gives(Map<FigureId, Double> other, Map<FigureId, Double> slipped) {
            return slipped.entrySet().stream()
                    .filter(e -> off(e.getKey(), e.getValue(), honest) > 1)
                    .allMatch(e -> off(e.getKey(), e.getValue(), other) <= 1);
        }

        /** Returns how many figures lie off, whatever the habit of rounding, and whatever follows from others as they are written. */
        long moved(Map<FigureId, Double> slipped) {
            List<Map<FigureId, Double>> right = Stream.concat(
                            Arrays.stream(Habit.values()).map(habit -> sat.onPaper(null, habit)),
                            Stream.of(following(slipped)))
                    .toList();
            return slipped.entrySet().stream()
                    .filter(e -> right.stream().allMatch(r -> off(e.getKey(), e.getValue(), r) > STEPS))
                    .count();
        }

        /** Returns what is put together of two figures as they are written. */
        private Map<FigureId, Double> following(Map<FigureId, Double> slipped) {
            Map<FigureId, Double> following = new LinkedHashMap<>();
            slipped.keySet()
                    .forEach(figure -> Derivation.of(figure)
                            .filter(made -> slipped.keySet().containsAll(made.parts()))
                            .ifPresent(made -> following.put(
                                    figure,
                                    made.of(
                                            rounded(made.parts().get(0), slipped),
                                            rounded(made.parts().get(1), slipped)))));
            return following;
        }

        private double rounded(FigureId figure, Map<FigureId, Double> figures) {
            double place = coarser * trial.step(figure);
            return Math.rint(figures.getOrDefault(figure, Double.NaN) / place) * place;
        }

        /** Returns the distance in places as written; large if the figure is missing. */
        private double off(FigureId figure, double value, Map<FigureId, Double> from) {
            double place = coarser * trial.step(figure);
            double wrote = Math.rint(value / place) * place;
            Double right = from.get(figure);
            if (Double.isNaN(wrote)) {
                return 0;
            }
            return right == null || right.isNaN() ? Double.POSITIVE_INFINITY : Math.abs(wrote - right) / place;
        }
    }

    private List<WorkingEvidence> written(Map<FigureId, Double> figures, double coarser) {
        figures.forEach((figure, value) -> {
            if (Double.isFinite(value)) {
                sat.write(figure, value, coarser * trial.step(figure));
            }
        });
        return Naming.evidence(sat.mark(), WorkingEvidence.class);
    }

    // ---- errors that are no slip

    /** One worked figure, a digit of it another, its point moved, or two digits exchanged. */
    void penError() {
        sat.work(Habit.AT_THE_END);
        FigureId figure = trial.one(List.copyOf(honest.keySet()));
        AnswerUnit unit = trial.subject().work().item(figure).orElseThrow().unit();
        if (unit == AnswerUnit.DEGREES_MINUTES) {
            return;
        }
        double right = honest.getOrDefault(figure, 0.0);
        long counted = Math.round(Math.abs(right) / unit.step());
        String error = trial.one(List.of("digit", "point", "exchanged"));
        double size = switch (error) {
            case "point" -> Math.abs(right) * (trial.random().nextBoolean() ? 10 : 0.1);
            case "digit" -> anotherDigit(counted) * unit.step();
            default -> exchanged(counted) * unit.step();
        };
        sat.write(figure, Math.signum(right) * size, unit.step());
        countUnlisted(ProofMeasure.HUMAN_ERROR_NAMED, error);
    }

    private long anotherDigit(long counted) {
        int digits = Math.max(3, Long.toString(counted).length());
        long power = Math.round(Math.pow(10, trial.random().nextInt(digits)));
        long digit = counted / power % 10;
        return counted + (trial.random().nextInt(10) - digit) * power;
    }

    private long exchanged(long counted) {
        int digits = Math.max(3, Long.toString(counted).length());
        long power = Math.round(Math.pow(10, trial.random().nextInt(digits - 1)));
        long low = counted / power % 10;
        long high = counted / (10 * power) % 10;
        return counted - 9 * (high - low) * power;
    }

    /** One figure of the sheet, or all of them, drawn evenly. */
    void drawn() {
        sat.work(Habit.AT_THE_END);
        boolean all = trial.random().nextBoolean();
        FigureId one = trial.one(List.copyOf(honest.keySet()));
        honest.forEach((figure, right) -> {
            if (all || figure.equals(one)) {
                double reach = REACH * Math.max(Math.abs(right), tolerance(figure));
                sat.write(figure, trial.random().nextDouble(-reach, reach), trial.step(figure));
            }
        });
        countUnlisted(ProofMeasure.UNLISTED_NAMED, all ? "all" : "one");
    }

    /** Counts a sheet on which some figure is wrong. */
    private void countUnlisted(ProofMeasure measured, String how) {
        MarkSheet marks = sat.mark();
        List<WorkingEvidence> marked = Naming.evidence(marks, WorkingEvidence.class);
        if (marked.stream().anyMatch(e -> e.credit() == 0)) {
            trial.tally().count(measured, how, Naming.accuses(marked));
        }
    }

    /** Half of it, in the answer's unit. */
    private double tolerance(FigureId figure) {
        Work.Item item = trial.subject().work().item(figure).orElseThrow();
        Measure measure = trial.measure();
        return trial.subject()
                .assignment()
                .sheet()
                .limits(figure)
                .map(l -> (l.max().orElseThrow() - l.min().orElseThrow()) / 2)
                .map(half ->
                        Math.abs(item.unit().ofFigure(half, figure, sat.own().baseline(measure))))
                .orElse(0.0);
    }
}
