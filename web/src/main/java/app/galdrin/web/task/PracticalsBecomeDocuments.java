package app.galdrin.web.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.Work;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Migration 4: practicals that were columns become lists of steps, marked as they were. */
@Component
class PracticalsBecomeDocuments implements JavaMigration {

    /** Aspect by the name a criterion had, with the step it belongs to now. */
    private static final Map<String, Criterion.Id> CRITERIA = criteria();

    private static Map<String, Criterion.Id> criteria() {
        Map<String, Criterion.Id> criteria = new LinkedHashMap<>();
        criteria.put("CRITICAL_STEPS", new Criterion.Id("prepare", Aspect.CRITICAL));
        criteria.put("PREPARATION", new Criterion.Id("prepare", Aspect.DONE));
        criteria.put("READING", new Criterion.Id("asFound", Aspect.READING));
        criteria.put("REPEATABILITY", new Criterion.Id("asFound", Aspect.REPEATABILITY));
        criteria.put("WORKING", new Criterion.Id("work", Aspect.WORKING));
        criteria.put("VERDICT", new Criterion.Id("judge", Aspect.VERDICT));
        criteria.put("PLAN", new Criterion.Id("plan", Aspect.PLAN));
        criteria.put("AS_LEFT", new Criterion.Id("adjust", Aspect.AS_LEFT));
        return criteria;
    }

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("4");
    }

    @Override
    public String getDescription() {
        return "practicals become documents";
    }

    @Override
    public @Nullable Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (PreparedStatement tasks =
                        connection.prepareStatement("select * from task_version order by centre_id, id");
                ResultSet row = tasks.executeQuery()) {
            while (row.next()) {
                UUID centre = row.getObject("centre_id", UUID.class);
                UUID task = row.getObject("id", UUID.class);
                store(connection, centre, task, practical(row, criteria(connection, centre, task, row)));
            }
        }
    }

    private static Practical practical(ResultSet row, List<Criterion> criteria) throws SQLException {
        var procedure = Procedures.of(row.getString("method")).withoutSetUp();
        List<FigureId> figures = figures(row);
        int repeats = row.getInt("repeats");
        AnswerUnit unit = Keyed.of(AnswerUnit.values(), row.getString("answer_unit"));
        var work = figures.stream().map(f -> new Work.Item(f, "asFound", unit)).toList();
        var again = Measure.of("asLeft", procedure, figures, repeats);
        return new Practical(
                row.getString("title"),
                OrderSchool.A,
                Keyed.of(DecisionRule.values(), row.getString("decision_rule")),
                Keyed.of(Mode.values(), row.getString("mode")),
                Keyed.of(OutcomeSchool.values(), row.getString("outcome")),
                Optional.empty(),
                List.of(
                        new Checklist("prepare", ReadyList.PREPARATION.items()),
                        Measure.of("asFound", procedure, figures, repeats),
                        new Work("work", work),
                        new Judge("judge", figures),
                        new Plan("plan", figures),
                        new Round("adjust", List.of(again), 1),
                        new HandIn("handIn")),
                new Scheme(criteria, row.getInt("slip_keeps_percent")));
    }

    /** Returns the figures of the front axle: the sum of both wheels alone, or each wheel beside it. */
    private static List<FigureId> figures(ResultSet row) throws SQLException {
        Procedure procedure = Procedures.of(row.getString("method")).withoutSetUp();
        var base = procedure.sees().iterator().next().measurand().base();
        boolean sumAlone = row.getString("asked").equals("total");
        return TaskStart.usualFigures(procedure, base).stream()
                .filter(f -> !sumAlone || f.ofBothWheels())
                .toList();
    }

    private static List<Criterion> criteria(Connection connection, UUID centre, UUID task, ResultSet row)
            throws SQLException {
        Map<String, Criterion> found = new LinkedHashMap<>();
        try (PreparedStatement query = connection.prepareStatement(
                "select criterion, marks, must_pass from task_criterion where centre_id = ? and task_id = ? and marks > 0")) {
            query.setObject(1, centre);
            query.setObject(2, task);
            try (ResultSet criterion = query.executeQuery()) {
                while (criterion.next()) {
                    String name = criterion.getString("criterion");
                    Criterion.Id id = Optional.ofNullable(CRITERIA.get(name)).orElseThrow();
                    found.put(
                            name,
                            new Criterion(
                                    id, criterion.getInt("marks"), criterion.getBoolean("must_pass"), bands(id, row)));
                }
            }
        }
        List<Criterion> inOrder = new ArrayList<>();
        CRITERIA.keySet().forEach(name -> Optional.ofNullable(found.get(name)).ifPresent(inOrder::add));
        return inOrder;
    }

    /** One band served every figure; repeats were compared by their total. */
    private static Map<FigureId, Band> bands(Criterion.Id id, ResultSet row) throws SQLException {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        if (id.aspect() == Aspect.READING) {
            for (FigureId figure : figures(row)) {
                bands.put(figure, band(row, "reading"));
            }
        } else if (id.aspect() == Aspect.REPEATABILITY) {
            bands.put(figures(row).get(0), band(row, "repeatability"));
        }
        return bands;
    }

    private static Band band(ResultSet row, String name) throws SQLException {
        return new Band(Math.toRadians(row.getDouble(name + "_full")), Math.toRadians(row.getDouble(name + "_none")));
    }

    private static void store(Connection connection, UUID centre, UUID task, Practical practical) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement(
                "update task_version set document = ?::jsonb, document_version = ? where centre_id = ? and id = ?")) {
            update.setString(1, TaskDocument.write(practical));
            update.setInt(2, TaskDocument.version(practical));
            update.setObject(3, centre);
            update.setObject(4, task);
            update.executeUpdate();
        }
        try (PreparedStatement insert = connection.prepareStatement(
                "insert into task_figure (centre_id, task_id, figure, step) values (?, ?, ?, ?)")) {
            for (Measure measure : practical.of(Measure.class).toList()) {
                for (FigureId figure : measure.figures()) {
                    insert.setObject(1, centre);
                    insert.setObject(2, task);
                    insert.setString(3, figure.key());
                    insert.setString(4, measure.id());
                    insert.addBatch();
                }
            }
            insert.executeBatch();
        }
    }
}
