package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.baysheet.SheetSpeech;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.papers.Papers;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.TargetWords;
import app.galdrin.web.words.Words;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The job card of a sitting on paper: for an instructor at any time, for the apprentice once nothing on the sheet can change by what it shows. */
@Controller
class JobCardController {

    private final Sittings sittings;
    private final SittingMarks sittingMarks;
    private final SittingEquipment equipment;
    private final Papers papers;
    private final SheetSpeech speech;

    JobCardController(
            Sittings sittings,
            SittingMarks sittingMarks,
            SittingEquipment equipment,
            Papers papers,
            EvidenceWords evidence,
            StepWords names,
            TargetWords targets,
            Words words) {
        this.sittings = sittings;
        this.sittingMarks = sittingMarks;
        this.equipment = equipment;
        this.papers = papers;
        this.speech = new SheetSpeech(words, names, targets, evidence);
    }

    @GetMapping("/sittings/{id:[0-9a-f-]{36}}/job-card.pdf")
    ResponseEntity<byte[]> jobCard(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        Sitting sitting = sittings.sitting(me, id);
        if (sitting.isReference() || me.is(Role.APPRENTICE) && !sitting.showsJobCard()) {
            throw new NotThere("job card", id, me);
        }
        Log log = sittings.log(sitting.centreId(), sitting.id());
        var card = new JobCardPaper(new WrittenSheet(sitting, sittingMarks.assignment(sitting), log, Map.of(), speech));
        Map<String, Object> model = new HashMap<>();
        model.put("sitting", sitting);
        model.put("zone", me.zoneId());
        model.put("request", card.request());
        model.put("takenIn", card.takenIn());
        model.put("figures", card.figures());
        model.put("torques", card.torques());
        model.put("faults", card.furtherFaults());
        model.put("road", card.roadTest());
        model.put("equipment", equipment.of(sitting, LocalDate.now(me.zoneId())));
        return papers.pdf("job-card", "job-card-" + sitting.sheet().registration(), model);
    }
}
