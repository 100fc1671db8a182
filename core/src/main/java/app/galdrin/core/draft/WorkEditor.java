package app.galdrin.core.draft;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Edits workings: which figures in which unit, what is written on the way, which target readings. */
@AutoService(StepEditor.class)
public final class WorkEditor implements StepEditor {

    /** The unit of a figure that is not asked. */
    public static final String NOT_ASKED = "none";

    private static final int TURN = 20;
    private static final int MOST_TARGETS = 6;

    @Override
    public String kind() {
        return Work.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition("work", "work", "step.work.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Work(id, List.of());
    }

    @Override
    public int turn(Step step) {
        return TURN;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var work = (Work) step;
        return switch (field) {
            case "unit" -> unit(work, part, typed, setting);
            case "ways" -> FieldText.isTicked(typed) == asksForWays(work) ? work : ways(work, typed, setting);
            case "target" -> target(work, part, FieldText.isTicked(typed), setting);
            default -> step;
        };
    }

    /** Returns the figures that a working of a task can ask. */
    public static List<FigureId> figures(Practical practical, Work work) {
        return possible(work, StepsBefore.of(practical, work)).stream()
                .map(Work.Item::figure)
                .toList();
    }

    /** Returns whether intermediate figures are asked for. */
    public static boolean asksForWays(Work work) {
        return work.asked().stream().anyMatch(item -> !item.steps().isEmpty());
    }

    private static Work unit(Work work, String key, String typed, DraftSetting setting) throws FieldRefusal {
        Optional<Work.Item> possible = possible(work, setting.now()).stream()
                .filter(item -> item.figure().key().equals(key))
                .findFirst();
        if (possible.isEmpty()) {
            return work;
        }
        FigureId figure = possible.get().figure();
        Optional<Work.Item> asked = work.item(figure);
        List<Work.Item> items = new ArrayList<>(work.asked());
        if (typed.equals(NOT_ASKED)) {
            items.removeIf(item -> item.figure().equals(figure));
            return new Work(work.id(), items, work.targets());
        }
        AnswerUnit unit = FieldText.word(AnswerUnit.values(), typed).orFitting(figure);
        if (asked.isPresent()) {
            items.replaceAll(item ->
                    item.figure().equals(figure) ? new Work.Item(figure, item.from(), unit, item.steps()) : item);
            return new Work(work.id(), items, work.targets());
        }
        items.add(new Work.Item(
                figure,
                possible.get().from(),
                unit,
                asksForWays(work) ? onTheWay(possible.get(), setting) : List.of()));
        return new Work(work.id(), inOrder(items, possible(work, setting.now())), work.targets());
    }

    private static Work ways(Work work, String typed, DraftSetting setting) {
        return new Work(
                work.id(),
                work.asked().stream()
                        .map(item -> new Work.Item(
                                item.figure(),
                                item.from(),
                                item.unit(),
                                FieldText.isTicked(typed) ? onTheWay(item, setting) : List.of()))
                        .toList(),
                work.targets());
    }

    private static List<Intermediate> onTheWay(Work.Item item, DraftSetting setting) {
        return setting.now()
                .measure(item.from())
                .map(m -> m.onTheWay(item.figure(), setting.sheet()))
                .orElse(List.of());
    }

    private static Work target(Work work, String from, boolean wanted, DraftSetting setting) {
        List<Target> targets = new ArrayList<>(work.targets());
        boolean there = targets.removeIf(t -> t.from().equals(from));
        Optional<Target> made = setting.now()
                .measure(from)
                .map(Measure::target)
                .filter(t -> !t.on(setting.sheet()).isEmpty());
        if (wanted && made.isPresent() && targets.size() < MOST_TARGETS) {
            if (there) {
                return work;
            }
            targets.add(made.get());
        }
        return new Work(work.id(), work.asked(), targets);
    }

    /** Returns what can be asked, each figure once from its first measurement, and what a working before it asks already left out; in no unit yet. */
    private static List<Work.Item> possible(Work work, StepsBefore before) {
        List<Work.Item> possible = new ArrayList<>();
        for (Measure measure : before.measures()) {
            for (FigureId figure : measure.figures()) {
                boolean already = possible.stream().anyMatch(i -> i.figure().equals(figure))
                        || before.works().stream()
                                .filter(earlier -> !earlier.id().equals(work.id()))
                                .flatMap(earlier -> earlier.item(figure).stream())
                                .anyMatch(i -> i.from().equals(measure.id()));
                if (!already && measure.tells(figure) && measure.procedure().isWorkedOnPaper(figure)) {
                    possible.add(new Work.Item(figure, measure.id(), AnswerUnit.DEGREES));
                }
            }
        }
        return possible;
    }

    private static List<Work.Item> inOrder(List<Work.Item> items, List<Work.Item> possible) {
        List<FigureId> order = possible.stream().map(Work.Item::figure).toList();
        return items.stream()
                .sorted(Comparator.comparingInt(item -> order.indexOf(item.figure())))
                .toList();
    }

    @Override
    public Step answeredIn(Step step, AnswerUnit before, AnswerUnit unit) {
        var work = (Work) step;
        return new Work(
                work.id(),
                work.asked().stream()
                        .map(i -> i.unit() == before.orFitting(i.figure())
                                ? new Work.Item(i.figure(), i.from(), unit.orFitting(i.figure()), i.steps())
                                : i)
                        .toList(),
                work.targets());
    }

    @Override
    public Step following(Step step, DraftSetting setting) {
        var work = (Work) step;
        List<Work.Item> possible = possible(work, setting.now());
        Set<FigureId> before = setting.then().map(then -> possible(work, then)).orElse(List.of()).stream()
                .map(Work.Item::figure)
                .collect(Collectors.toSet());
        boolean ways = asksForWays(work);
        List<Work.Item> items = new ArrayList<>();
        for (Work.Item item : work.asked()) {
            kept(item, possible, setting).ifPresent(items::add);
        }
        boolean more = false;
        for (Work.Item item : possible) {
            boolean there = items.stream().anyMatch(i -> i.figure().equals(item.figure()));
            if (!there && !before.contains(item.figure())) {
                AnswerUnit unit = setting.unit().orFitting(item.figure());
                items.add(new Work.Item(item.figure(), item.from(), unit, ways ? onTheWay(item, setting) : List.of()));
                more = true;
            }
        }
        List<Target> targets = work.targets().stream()
                .flatMap(t -> setting.now().measure(t.from()).map(m -> retargeted(t, m, setting)).stream())
                .filter(t -> !t.on(setting.sheet()).isEmpty())
                .toList();
        return new Work(work.id(), more ? inOrder(items, possible) : items, targets);
    }

    /** An item whose readings are still there, from the first measurement that has it where its own has gone. */
    private static Optional<Work.Item> kept(Work.Item item, List<Work.Item> possible, DraftSetting setting) {
        boolean wasWanted = setting.then()
                .flatMap(then -> then.measure(item.from()))
                .filter(m -> m.figures().contains(item.figure()))
                .isPresent();
        Optional<Measure> own = setting.now()
                .measure(item.from())
                .filter(m -> m.tells(item.figure()) && (m.figures().contains(item.figure()) || !wasWanted))
                .filter(m -> m.procedure().isWorkedOnPaper(item.figure()));
        Optional<String> from = own.map(Measure::id)
                .or(() -> possible.stream()
                        .filter(p -> p.figure().equals(item.figure()))
                        .map(Work.Item::from)
                        .findFirst());
        return from.map(id -> {
            var moved = new Work.Item(item.figure(), id, item.unit(), item.steps());
            if (item.steps().isEmpty()) {
                return moved;
            }
            var way = onTheWay(moved, setting);
            return new Work.Item(item.figure(), id, item.unit(), way.containsAll(item.steps()) ? item.steps() : way);
        });
    }

    /** The target of a measurement as it is by now; of one that has not changed as it was asked. */
    private static Target retargeted(Target target, Measure now, DraftSetting setting) {
        boolean same = setting.then()
                .flatMap(then -> then.measure(now.id()))
                .filter(now::equals)
                .isPresent();
        return same ? target : now.target();
    }
}
