package app.galdrin.core.draft;

import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edits rounds of adjusting: how many, how near, what is read again. */
@AutoService(StepEditor.class)
public final class RoundEditor implements StepEditor {

    private static final int TURN = 50;
    private static final int ROUNDS = 2;
    private static final int MOST_MEASURES = 6;

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition("round", "adjust", "step.adjust.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Round(id, List.of(), ROUNDS);
    }

    @Override
    public int turn(Step step) {
        return TURN;
    }

    /** Returns whether a round reads a measurement again. */
    public static boolean readsAgain(Round round, Measure measure) {
        return round.measures().stream().anyMatch(m -> isOf(round, m, measure));
    }

    private static boolean isOf(Round round, Measure again, Measure measure) {
        return again.id().equals(Round.again(round.id(), measure).id());
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var round = (Round) step;
        return switch (field) {
            case "most" ->
                new Round(round.id(), round.measures(), FieldText.whole(typed, 1, Practical.MOST_ROUNDS), round.aim());
            case "aim" ->
                new Round(
                        round.id(),
                        round.measures(),
                        round.most(),
                        FieldText.whole(typed, Round.LEAST_AIM, Round.INSIDE));
            case "again" ->
                setting.now()
                        .measure(part)
                        .map(measure -> again(round, measure, FieldText.isTicked(typed), setting))
                        .orElse(round);
            default -> step;
        };
    }

    private static Round again(Round round, Measure measure, boolean wanted, DraftSetting setting) {
        if (wanted == readsAgain(round, measure) || wanted && round.measures().size() == MOST_MEASURES) {
            return round;
        }
        List<Measure> measures = new ArrayList<>(round.measures());
        if (wanted) {
            measures.add(Round.again(round.id(), measure));
        } else {
            measures.removeIf(m -> isOf(round, m, measure));
        }
        return new Round(round.id(), inOrder(round, measures, setting.now()), round.most(), round.aim());
    }

    private static List<Measure> inOrder(Round round, List<Measure> again, StepsBefore before) {
        List<Measure> ordered = new ArrayList<>();
        before.measures()
                .forEach(measure ->
                        again.stream().filter(m -> isOf(round, m, measure)).forEach(ordered::add));
        again.stream().filter(m -> !ordered.contains(m)).forEach(ordered::add);
        return ordered;
    }

    /** Changes what is read again with its measurement; a new one is read again where something on the vehicle adjusts it. */
    @Override
    public Step following(Step step, DraftSetting setting) {
        var round = (Round) step;
        List<Measure> again = new ArrayList<>();
        for (Measure inner : round.measures()) {
            Optional<Measure> now = setting.now().measures().stream()
                    .filter(m -> isOf(round, inner, m))
                    .findFirst();
            Optional<Measure> then = setting.then()
                    .flatMap(before -> before.measures().stream()
                            .filter(m -> isOf(round, inner, m))
                            .findFirst());
            if (now.isPresent()) {
                again.add(now.equals(then) ? inner : now.get().as(inner.id()));
            } else if (then.isEmpty()) {
                again.add(inner); // one of the task's own, which follows from no other
            }
        }
        boolean more = false;
        for (Measure measure : setting.now().measures()) {
            boolean fresh =
                    setting.then().flatMap(then -> then.measure(measure.id())).isEmpty();
            boolean there = again.stream().anyMatch(m -> isOf(round, m, measure));
            boolean adjustable = measure.figures().stream()
                    .anyMatch(f -> setting.sheet().adjustable(f.adjustment()) != Adjustable.NO);
            if (fresh && !there && adjustable && again.size() < MOST_MEASURES) {
                again.add(Round.again(round.id(), measure));
                more = true;
            }
        }
        return new Round(round.id(), more ? inOrder(round, again, setting.now()) : again, round.most(), round.aim());
    }
}
