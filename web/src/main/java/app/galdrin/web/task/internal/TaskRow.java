package app.galdrin.web.task.internal;

import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.layout.Keys;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.Mode;
import app.galdrin.web.task.OutcomeSchool;
import app.galdrin.web.task.TaskDraft;
import app.galdrin.web.task.TaskVersion;
import java.time.Instant;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A task's row; bands in deg. */
public record TaskRow(
        @Nullable UUID id,
        @Nullable UUID centreId,
        UUID sheetId,
        UUID classId,
        @Nullable String className,
        String title,
        String asked,
        String method,
        int repeats,
        String answerUnit,
        String decisionRule,
        String mode,
        String outcome,
        double readingFull,
        double readingNone,
        double repeatabilityFull,
        double repeatabilityNone,
        int slipKeepsPercent,
        @Nullable Instant createdAt) {

    /** A criterion's row. */
    public record CriterionRow(Criterion criterion, int marks, boolean mustPass) {}

    public static TaskRow of(TaskDraft draft) {
        ToeTask toe = draft.toe();
        MarkingScheme scheme = toe.scheme();
        return new TaskRow(
                null,
                null,
                draft.sheetId(),
                draft.classId(),
                null,
                draft.title(),
                toe.asked().key(),
                toe.method().key(),
                toe.repeats(),
                toe.answerUnit().key(),
                toe.rule().key(),
                draft.mode().key(),
                draft.outcome().key(),
                Math.toDegrees(scheme.reading().full()),
                Math.toDegrees(scheme.reading().none()),
                Math.toDegrees(scheme.repeatability().full()),
                Math.toDegrees(scheme.repeatability().none()),
                scheme.slipKeepsPercent(),
                null);
    }

    public TaskVersion toVersion(SheetVersion sheet, List<CriterionRow> criteria) {
        if (id == null || centreId == null || className == null || createdAt == null) {
            throw new IllegalStateException("a task's row read from the database is whole");
        }
        return new TaskVersion(
                id,
                centreId,
                title,
                sheet,
                classId,
                className,
                toe(sheet, criteria),
                Keys.of(Mode.values(), Mode::key, mode),
                Keys.of(OutcomeSchool.values(), OutcomeSchool::key, outcome),
                createdAt);
    }

    private ToeTask toe(SheetVersion sheet, List<CriterionRow> criteria) {
        Map<Criterion, Integer> marks = new EnumMap<>(Criterion.class);
        Set<Criterion> mustPass = EnumSet.noneOf(Criterion.class);
        for (CriterionRow row : criteria) {
            marks.put(row.criterion(), row.marks());
            if (row.mustPass()) {
                mustPass.add(row.criterion());
            }
        }
        var scheme = new MarkingScheme(
                marks,
                mustPass,
                new Band(Math.toRadians(readingFull), Math.toRadians(readingNone)),
                new Band(Math.toRadians(repeatabilityFull), Math.toRadians(repeatabilityNone)),
                slipKeepsPercent);
        return new ToeTask(
                sheet.sheet(),
                Keys.of(ToeAsked.values(), ToeAsked::key, asked),
                ToeMethods.of(method),
                repeats,
                Keys.of(AnswerUnit.values(), AnswerUnit::key, answerUnit),
                Keys.of(DecisionRule.values(), DecisionRule::key, decisionRule),
                ToeTask.PREPARATION,
                scheme);
    }
}
