package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.References;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marking.EvidenceText;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Tape;
import app.galdrin.web.words.StepWords;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Parts of every page that shows a mark sheet: its lines with their evidence in words, and the readings on their sketches. */
@Component
class MarkSheetPages {

    private final Sittings sittings;
    private final SittingMarks sittingMarks;
    private final MarkSheets sheets;
    private final EvidenceWords evidence;
    private final StepWords steps;
    private final ComparedPlaces compared;

    MarkSheetPages(
            Sittings sittings,
            SittingMarks sittingMarks,
            MarkSheets sheets,
            EvidenceWords evidence,
            StepWords steps,
            ComparedPlaces compared) {
        this.sittings = sittings;
        this.sittingMarks = sittingMarks;
        this.sheets = sheets;
        this.evidence = evidence;
        this.steps = steps;
        this.compared = compared;
    }

    /** A sitting of somebody, which is no reference. */
    Sitting practical(SignedIn me, UUID id) {
        Sitting sitting = sittings.sitting(me, id);
        if (sitting.isReference()) {
            throw new NotThere("practical sitting", id, me);
        }
        return sitting;
    }

    /** Entries and references that a page was made from. */
    record ShownEntries(Log log, References references) {}

    /** The sheet as it stands now, with all of it that a page shows. */
    ShownEntries add(Model model, Sitting sitting) {
        Log log = sittings.log(sitting.centreId(), sitting.id());
        SittingMarks.ReferenceReadings references = sittingMarks.references(sitting, log);
        MarkSheet sheet = sheets.toShow(sitting, log, references);
        var practical = sitting.markedBy().practical();
        var assignment = sittingMarks.assignment(sitting);
        model.addAttribute("sitting", sitting);
        model.addAttribute("task", sitting.markedBy());
        model.addAttribute("sheet", sheet);
        model.addAttribute("alone", alone(sitting, log, references.references(), sheet));
        model.addAttribute("inDoubt", sheet.lines().stream().anyMatch(MarkLine::asksForAnotherReading));
        model.addAttribute(
                "redo",
                sheet.redo().stream().map(id -> steps.criterion(practical, id)).toList());
        model.addAttribute(
                "lines",
                sheet.lines().stream()
                        .map(l -> line(sitting, l, log, evidence.tellWorkedThrough(l, assignment, log.answers())))
                        .toList());
        model.addAttribute(
                "places",
                compared.of(
                        sitting,
                        assignment,
                        sheet,
                        log.answers(),
                        references.references().asFound()));
        return new ShownEntries(log, references.references());
    }

    /** Returns the marks of lines, by criterion, that would be others by the instructor's readings alone; none once they are released. */
    private Map<String, String> alone(Sitting sitting, Log log, References references, MarkSheet sheet) {
        Map<String, String> alone = new HashMap<>();
        if (references.states().isPresent() && !sitting.state().released()) {
            Map<Criterion.Id, BigDecimal> now =
                    sheet.lines().stream().collect(Collectors.toMap(MarkLine::criterion, MarkLine::computed));
            sittingMarks.markSheet(sitting, log, references.instructorsAlone()).lines().stream()
                    .filter(line -> !line.waiting() && line.computed().compareTo(now.get(line.criterion())) != 0)
                    .forEach(line ->
                            alone.put(line.criterion().key(), line.computed().toPlainString()));
        }
        return alone;
    }

    /** A line with what is said of it, and the tape of its step in the log. */
    LineView line(Sitting sitting, MarkLine line, Log log, List<EvidenceText> texts) {
        Criterion.Id criterion = line.criterion();
        return new LineView(
                line,
                steps.criterion(sitting.markedBy().practical(), criterion),
                texts,
                criterion.aspect() == Aspect.WORKING ? Tape.of(log, criterion.step()) : List.of());
    }
}
