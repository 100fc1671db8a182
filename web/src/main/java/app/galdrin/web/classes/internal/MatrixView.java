package app.galdrin.web.classes.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.classes.internal.MatrixMapper.Cell;
import app.galdrin.web.classes.internal.MatrixMapper.Person;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * People by criteria.
 *
 * @param columns criteria in the order of the work
 * @param rows those in need first, or by name
 */
public record MatrixView(List<Column> columns, List<Row> rows) {

    /** The number of people from which criteria are compared. */
    private static final int ENOUGH = 5;

    /**
     * A criterion.
     *
     * @param share of the marks that the class has, whole percent; empty where nobody is marked in it
     * @param alike whether everybody has the same of it, so that it tells nobody from anybody
     * @param carefulLosing how many of the better half lose marks on a band, where those are so many that it may be too narrow; else 0
     */
    public record Column(String key, String name, Optional<Integer> share, boolean alike, int carefulLosing) {}

    /** One person's marks in the order of the columns; a cell is empty where the criterion is none of their sheet. */
    public record Row(Person person, List<Optional<Mark>> marks) {}

    /** A cell as it is shown. */
    public record Mark(String anchor, MarkLine.Status status, BigDecimal marks, int available, boolean given) {
        static Mark of(Cell cell) {
            return new Mark(
                    cell.step() + "-" + cell.aspect().key(),
                    status(cell),
                    cell.marks(),
                    cell.available(),
                    cell.given());
        }

        private static MarkLine.Status status(Cell cell) {
            if (cell.waiting()) {
                return MarkLine.Status.WAITING;
            }
            if (cell.available() == 0) {
                return cell.credit().compareTo(BigDecimal.ONE) >= 0 ? MarkLine.Status.FULL : MarkLine.Status.NONE;
            }
            // by the marks as they are printed: a thousandth of a mark is none
            if (cell.marks().compareTo(BigDecimal.valueOf(cell.available())) >= 0) {
                return MarkLine.Status.FULL;
            }
            return cell.marks().signum() == 0 ? MarkLine.Status.NONE : MarkLine.Status.PART;
        }
    }

    static MatrixView of(List<Person> people, List<Cell> cells, boolean byNeed, Function<Criterion.Id, String> names) {
        Map<Criterion.Id, List<Cell>> byCriterion = new LinkedHashMap<>();
        Map<UUID, Map<Criterion.Id, Cell>> byPerson = new LinkedHashMap<>();
        for (Cell cell : cells) {
            var id = new Criterion.Id(cell.step(), cell.aspect());
            byCriterion.computeIfAbsent(id, c -> new ArrayList<>()).add(cell);
            byPerson.computeIfAbsent(cell.personId(), p -> new LinkedHashMap<>())
                    .put(id, cell);
        }
        List<Column> columns = new ArrayList<>();
        Set<UUID> better = betterHalf(people);
        byCriterion.forEach((id, all) -> columns.add(
                new Column(id.key(), names.apply(id), share(all), alike(all), carefulLosing(id, all, better))));
        List<Row> rows = new ArrayList<>();
        for (Person person : byNeed ? inNeed(people) : people) {
            Map<Criterion.Id, Cell> mine = byPerson.getOrDefault(person.personId(), Map.of());
            rows.add(new Row(
                    person,
                    byCriterion.keySet().stream()
                            .map(id -> Optional.ofNullable(mine.get(id)).map(Mark::of))
                            .toList()));
        }
        return new MatrixView(columns, rows);
    }

    /** Returns who is not yet competent and has the least first; who is not marked yet last. */
    private static List<Person> inNeed(List<Person> people) {
        return people.stream()
                .sorted(Comparator.comparing((Person p) -> p.percent() == null)
                        .thenComparing(p -> Boolean.TRUE.equals(p.competent()))
                        .thenComparing(p -> p.percent() == null ? BigDecimal.ZERO : p.percent())
                        .thenComparing(Person::name))
                .toList();
    }

    private static Optional<Integer> share(List<Cell> cells) {
        BigDecimal sum = cells.stream().map(Cell::credit).reduce(BigDecimal.ZERO, BigDecimal::add);
        return cells.isEmpty()
                ? Optional.empty()
                : Optional.of(sum.multiply(BigDecimal.valueOf(100))
                        .divide(BigDecimal.valueOf(cells.size()), 0, RoundingMode.HALF_UP)
                        .intValue());
    }

    /** The half with the most marks, of those who are marked; nobody where they are too few to say anything. */
    private static Set<UUID> betterHalf(List<Person> people) {
        List<Person> marked = people.stream()
                .filter(p -> p.percent() != null)
                .sorted(Comparator.comparing(
                                (Person p) -> Optional.ofNullable(p.percent()).orElse(BigDecimal.ZERO))
                        .reversed())
                .toList();
        return marked.size() < ENOUGH
                ? Set.of()
                : marked.stream()
                        .limit((marked.size() + 1) / 2)
                        .map(Person::personId)
                        .collect(Collectors.toSet());
    }

    /** Returns how many careful apprentices lose marks by a band, if they are at least one in three; else 0. It should be one in twenty. */
    private static int carefulLosing(Criterion.Id id, List<Cell> cells, Set<UUID> better) {
        boolean banded = id.aspect() == Aspect.READING || id.aspect() == Aspect.REPEATABILITY;
        int losing = (int) cells.stream()
                .filter(c -> better.contains(c.personId()) && !c.waiting())
                .filter(c -> c.credit().compareTo(BigDecimal.ONE) < 0)
                .count();
        return banded && losing >= 2 && losing * 3 >= better.size() ? losing : 0;
    }

    private static boolean alike(List<Cell> cells) {
        return cells.size() >= ENOUGH
                && cells.stream()
                        .allMatch(c -> c.credit().compareTo(cells.get(0).credit()) == 0);
    }

    public List<Column> narrow() {
        return columns.stream().filter(c -> c.carefulLosing() > 0).toList();
    }

    public List<Column> alike() {
        return columns.stream().filter(Column::alike).toList();
    }
}
