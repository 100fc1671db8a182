package app.galdrin.web.moderation;

import app.galdrin.core.moderation.Sample;
import app.galdrin.core.task.Grade;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.sitting.Decisions;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.words.Sentence;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Samples of signed mark sheets that a verifier draws, and agrees to or returns one by one. */
@Service
public class Moderations {

    private static final int MOST = 400;
    private static final int MOST_LISTED = 100;
    private static final int LONGEST_REASON = 400;

    /** The pass mark of a task without grades, percent. */
    private static final double HALF = 50;

    private final ModerationMapper mapper;
    private final Sittings sittings;
    private final Decisions decisions;

    Moderations(ModerationMapper mapper, Sittings sittings, Decisions decisions) {
        this.mapper = mapper;
        this.sittings = sittings;
        this.decisions = decisions;
    }

    /**
     * Draws a sample of what was signed of a task, once for an id however often it is asked for; empty where nothing was signed, or nothing
     * of it falls under the rule.
     */
    @Transactional
    public Optional<UUID> draw(SignedIn me, TaskVersion task, UUID id, long seed, int percent, BigDecimal borderline) {
        verifierOnly(me);
        Map<UUID, ModerationMapper.SignedSheetRow> signed = mapper.signed(me.centreId(), task.id(), MOST).stream()
                .collect(Collectors.toMap(
                        ModerationMapper.SignedSheetRow::sittingId, Function.identity(), (first, second) -> first));
        List<Double> grades = task.practical().scheme().grades().stream()
                .map(Grade::from)
                .map(Integer::doubleValue)
                .toList();
        var rule = new Sample.Rule(seed, percent, borderline.doubleValue(), grades.isEmpty() ? List.of(HALF) : grades);
        List<Sample.SampledSheet> drawn = Sample.of(
                signed.values().stream()
                        .map(s -> new Sample.Sheet(s.sittingId(), s.percent().doubleValue(), s.barring(), s.byHand()))
                        .toList(),
                rule);
        if (drawn.isEmpty()) {
            return Optional.empty();
        }
        if (mapper.insert(id, me.centreId(), task.id(), seed, percent, borderline, me.personId()) == 0) {
            return Optional.of(id);
        }
        List<ModerationMapper.SampledSheetRow> sheets = new ArrayList<>();
        for (Sample.SampledSheet one : drawn) {
            ModerationMapper.SignedSheetRow row =
                    Objects.requireNonNull(signed.get(one.sheet().id()));
            sheets.add(new ModerationMapper.SampledSheetRow(
                    sheets.size() + 1, row.sittingId(), row.personId(), row.number(), one.why()));
        }
        mapper.insertSheets(me.centreId(), id, sheets);
        return Optional.of(id);
    }

    private static void verifierOnly(SignedIn me) {
        if (!me.is(Role.VERIFIER)) {
            throw new NotThere("moderation", me.role(), me);
        }
    }

    /** The tasks of a centre that a sample can be drawn from: a sheet of theirs is signed. */
    public Set<UUID> drawable(UUID centreId) {
        return Set.copyOf(mapper.tasksWithSigned(centreId, MOST));
    }

    /** The samples of a centre, the newest first. */
    public List<Moderation> list(UUID centreId) {
        return mapper.list(centreId, MOST_LISTED);
    }

    public Moderation one(SignedIn me, UUID id) {
        return mapper.one(me.centreId(), id).orElseThrow(() -> new NotThere("moderation", id, me));
    }

    public List<ModerationSheet> sheets(Moderation moderation) {
        return mapper.sheets(moderation.centreId(), moderation.id(), MOST);
    }

    /** The sheet to decide on after this one: the next in the order of the sample, from its end on its first; empty where all are decided. */
    public Optional<ModerationSheet> next(Moderation moderation, UUID after) {
        List<ModerationSheet> all = sheets(moderation);
        int here = all.stream().map(ModerationSheet::sittingId).toList().indexOf(after);
        return Stream.concat(all.stream().skip(here + 1L), all.stream().limit(Math.max(here, 0)))
                .filter(s -> s.decision() == null)
                .findFirst();
    }

    /** Agrees to a sheet or returns it with a reason, once; what is returned has to be signed and released again. */
    @Transactional
    public Optional<Sentence> decide(
            SignedIn me, Moderation moderation, UUID sittingId, ModerationDecision decision, String reason) {
        verifierOnly(me);
        ModerationSheet sheet = sheets(moderation).stream()
                .filter(s -> s.sittingId().equals(sittingId))
                .findFirst()
                .orElseThrow(() -> new NotThere("sheet of the sample", sittingId, me));
        if (reason.length() > LONGEST_REASON || decision == ModerationDecision.RETURN && reason.isBlank()) {
            return Optional.of(Sentence.of("moderation.reason", LONGEST_REASON));
        }
        int made = mapper.decide(
                me.centreId(), moderation.id(), sittingId, sheet.personId(), decision, reason.strip(), me.personId());
        if (made == 0) {
            return Optional.of(Sentence.of("moderation.decided"));
        }
        return decision == ModerationDecision.RETURN
                        && decisions.returnMarks(me, sittings.sitting(me, sittingId), reason.strip())
                                instanceof Entries.Outcome.Refusal refused
                ? Optional.of(refused.why())
                : Optional.empty();
    }
}
