package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Marks the order in which parts were moved in the rounds: nothing before what disturbs it, the rear axle before the front, and the last of
 * all read again after the last other move. Going back is allowed.
 */
@AutoService(AspectMarker.class)
public final class OrderMarker implements AspectMarker {

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.ORDER;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        return new OneRound(sitting, (Round) step).evidence();
    }

    private static final class OneRound {
        private final Case sitting;
        private final Round round;
        private final OrderSchool school;
        private final int last;
        private final List<FigureId> figures;

        OneRound(Case sitting, Round round) {
            this.sitting = sitting;
            this.round = round;
            this.school = sitting.practical().school();
            this.last = new Sheet(sitting.assignment()).rounds(round, sitting.answers());
            this.figures = round.measures().stream()
                    .flatMap(m -> m.figures().stream())
                    .distinct()
                    .toList();
        }

        List<Evidence> evidence() {
            List<Evidence> lost = new ArrayList<>();
            Set<Adjuster> touched = new HashSet<>();
            boolean anything = false;
            int lastOther = 0;
            for (int r = 1; r <= last; r++) {
                List<Adjuster> moved = moved(r);
                anything |= isWritten(r);
                touched.addAll(moved);
                for (Adjuster part : moved) {
                    int number = r;
                    untouchedBefore(part, touched, r)
                            .ifPresent(f -> lost.add(new Evidence.Sequence(number, part.id(), f.key())));
                    lastOther = isLast(part) ? lastOther : r;
                }
            }
            notReadAgain(lastOther).ifPresent(f -> lost.add(new Evidence.Sequence(last, "", f.key())));
            if (!lost.isEmpty()) {
                return lost;
            }
            return List.of(anything ? Evidence.Sequence.kept(last) : new Evidence.MissingEntry(Lack.MOVES, ""));
        }

        private List<Adjuster> moved(int r) {
            return sitting.assignment().sheet().adjusters().stream()
                    .filter(a -> way(a, r)
                            .filter(way -> !way.equals(Direction.LEAVE.key()))
                            .isPresent())
                    .toList();
        }

        /** Returns whether anything was said of any part, be it that it was left alone. */
        private boolean isWritten(int r) {
            return sitting.assignment().sheet().adjusters().stream()
                    .anyMatch(a -> way(a, r).isPresent());
        }

        private Optional<String> way(Adjuster part, int r) {
            return sitting.answers().text(MoveLines.way(round.id(), part, r));
        }

        /** A figure that was found outside, comes before what a part is moved for, and has not been moved yet. */
        private Optional<FigureId> untouchedBefore(Adjuster part, Set<Adjuster> touched, int r) {
            return figures.stream()
                    .filter(f -> comesBefore(f, part))
                    .filter(f -> sitting.assignment().sheet().adjustable(f.adjustment()) != Adjustable.NO)
                    .filter(f -> touched.stream().noneMatch(a -> moves(a, f)))
                    .filter(f -> zoneBefore(f, r).filter(z -> z == Zone.OUTSIDE).isPresent())
                    .findFirst();
        }

        /** Returns whether a part is moved for a figure: for the first of its figures in the school's order, whatever else it disturbs. */
        private static boolean moves(Adjuster part, FigureId figure) {
            return part.moves(figure.adjustment());
        }

        private boolean comesBefore(FigureId figure, Adjuster part) {
            Optional<Integer> turn = school.turn(figure.measurand());
            Optional<Integer> mine = turn(part);
            if (turn.isEmpty() || mine.isEmpty()) {
                return false;
            }
            boolean rearFirst = figure.axle().equals(Optional.of(Axle.REAR))
                    && part.where().axle().equals(Optional.of(Axle.FRONT));
            boolean sameAxle = figure.axle().equals(part.where().axle());
            return rearFirst || sameAxle && turn.get() < mine.get();
        }

        private Optional<Integer> turn(Adjuster part) {
            return part.effects().keySet().stream()
                    .flatMap(f -> school.turn(f.measurand()).stream())
                    .min(Comparator.naturalOrder());
        }

        private boolean isLast(Adjuster part) {
            return turn(part).filter(t -> t == school.order().size() - 1).isPresent();
        }

        /** Returns the zone of a figure when a round began, by the last reading before it. */
        private Optional<Zone> zoneBefore(FigureId figure, int r) {
            Optional<Estimate> value = sitting.standing(figure, round.id());
            for (int before = 1; before < r; before++) {
                for (Measure measure : round.measures()) {
                    Optional<Estimate> read = sitting.own().mean(measure, before, figure);
                    value = read.isPresent() ? read : value;
                }
            }
            return value.flatMap(v -> sitting.judged(figure, v)).map(j -> j.zone());
        }

        /** Returns the figure adjusted last if it was not read after the last other move. */
        private Optional<FigureId> notReadAgain(int lastOther) {
            Measurand lastTurn = school.order().get(school.order().size() - 1);
            List<Measure> reading = round.measures().stream()
                    .filter(m ->
                            m.figures().stream().anyMatch(f -> f.measurand().base() == lastTurn))
                    .toList();
            if (lastOther == 0 || reading.isEmpty()) {
                return Optional.empty();
            }
            for (int r = lastOther; r <= last; r++) {
                for (Measure measure : reading) {
                    if (!sitting.own().repeats(measure, r).isEmpty()) {
                        return Optional.empty();
                    }
                }
            }
            return reading.get(0).figures().stream()
                    .filter(f -> f.measurand().base() == lastTurn)
                    .findFirst();
        }
    }
}
