package app.galdrin.web.marksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Lack;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.reference.ReferencePart.Kind;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Paper;
import app.galdrin.core.simulated.Pen;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.marksheet.ReadingList.WaitingReading;
import app.galdrin.web.sitting.Decisions;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleMoves.SeenVehicle;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** One vehicle, read by an instructor once and by apprentices one after another, each of whom leaves it as the next finds it. */
@GaldrinTest
class CombinedReferencesTest {

    private static final FigureId TOTAL = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    @Autowired
    private SittingMarks marks;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private ReadingList list;

    @Autowired
    private VehicleReferences references;

    @Autowired
    private VehicleMoves moves;

    @Autowired
    private Decisions decisions;

    @Autowired
    private Standings standings;

    @Autowired
    private People people;

    private Centre centre;
    private SignedIn maud;
    private UUID van;
    private double toeLeft = Math.toRadians(0.5);

    @BeforeEach
    void aVehicleInBayOne() {
        centre = centres.with(sheet -> TestCentres.byPlates(sheet, 2).with(ReferenceRule.COMBINED));
        maud = centre.instructor();
        van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().vehicleId();
    }

    private final class Writer implements Pen {
        private final SignedIn who;
        private final Sitting sitting;
        private final Paper paper;

        Writer(SignedIn who, Sitting sitting) {
            this.who = who;
            this.sitting = sitting;
            this.paper = new Paper(SittingSheet.of(sitting));
        }

        @Override
        public void write(LineKey line, String text) {
            var outcome = Centre.write(sittings, entries, who, sitting, line.key(), text);
            assertFalse(outcome instanceof Entries.Outcome.Refusal, outcome::toString);
            paper.write(line, text);
        }

        @Override
        public Answers answers() {
            return paper.answers();
        }

        /** Reads total toe, off by so many degrees. */
        void read(int round, double off) {
            var hands =
                    new Apprentice(marks.assignment(sitting), this, () -> Hands.trained(0, new SplittableRandom(4)));
            var truth = new Truth(Map.of(
                    FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT),
                    toeLeft + Math.toRadians(off),
                    FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT),
                    0.0));
            sitting.task().practical().measures(round).forEach(m -> hands.read(m, round, truth, m.repeats()));
        }
    }

    private Sitting joins(String name) {
        UUID id = people.add(centre.id(), Role.APPRENTICE, name, name + "." + centre.id(), Centre.PASSWORD);
        return sittings.sitting(
                maud, sittings.begin(tasks.current(centre.id(), centre.taskId()).orElseThrow(), id, 1));
    }

    private Writer writer(Sitting sitting) {
        return new Writer(people.session(centre.id(), sitting.people().get(0).id()), sitting);
    }

    /** Shortens the left rod by some turns in round 1, and reads what that comes to. */
    private void adjusts(Sitting sitting, double turns) {
        Writer pen = writer(sitting);
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.right")) {
            pen.write(LineKey.parse("adjust/" + part + ".way/0/1").orElseThrow(), "leave");
        }
        pen.write(LineKey.parse("adjust/rod.front.left.way/0/1").orElseThrow(), "shorten");
        pen.write(LineKey.parse("adjust/rod.front.left.amount/0/1").orElseThrow(), String.valueOf(turns));
        double effect = sitting.sheet().sheet().adjusters().stream()
                .filter(part -> part.id().equals("rod.front.left"))
                .findFirst()
                .orElseThrow()
                .changePerUnit(TOTAL);
        toeLeft -= turns * effect;
        pen.read(1, 0);
    }

    private void handsIn(Sitting sitting) {
        writer(sitting).write(SittingSheet.of(sitting).handIn(), "done");
    }

    private Sitting again(Sitting sitting) {
        return sittings.sitting(maud, sitting.id());
    }

    private MarkSheet marked(Sitting sitting) {
        Sitting now = again(sitting);
        Log log = sittings.log(now);
        return marks.markSheet(now, log, marks.references(now, log).references());
    }

    private static Evidence evidence(MarkSheet sheet, Aspect aspect) {
        return sheet.lines().stream()
                .filter(line -> line.criterion().aspect() == aspect)
                .map(MarkLine::evidence)
                .findFirst()
                .orElseThrow()
                .get(0);
    }

    private static Set<String> sources(List<ReferencePart> parts) {
        return parts.stream().map(ReferencePart::source).collect(Collectors.toSet());
    }

    private List<WaitingReading> waiting() {
        return list.of(centre.id(), standings.find(centre.id(), van).orElseThrow());
    }

    private void lends() {
        assertEquals(
                Optional.empty(),
                moves.lend(
                        maud,
                        new SeenVehicle(
                                van,
                                standings.find(centre.id(), van).orElseThrow().seq())));
    }

    private void maudReads(UUID reference) {
        Sitting read = sittings.sitting(maud, reference);
        new Writer(maud, read).read(read.readsRound(), 0);
    }

    @Test
    void aClassOnOneVehicle_isMarkedByEverybody_andTheInstructorReadsWhatMattersAlone() {
        Sitting ann = joins("Ann");
        writer(ann).read(0, 0);
        List<WaitingReading> first = waiting();
        assertEquals(1, first.size(), "nobody else has read it");
        assertEquals(Set.of(TOTAL), first.get(0).figures());
        maudReads(references.referenceAsFound(maud, tasks.task(centre.id(), centre.taskId()), 1));
        assertEquals(List.of(), waiting());

        adjusts(ann, 1.5);
        handsIn(ann);
        assertEquals(ann.id(), waiting().get(0).leftBy(), "as left waits for somebody");
        var found = (ReadingEvidence) evidence(marked(ann), Aspect.READING);
        assertEquals(
                List.of(Kind.INSTRUCTOR),
                found.parts().stream().map(ReferencePart::kind).toList());

        lends();
        Sitting ben = joins("Ben");
        writer(ben).read(0, 0);
        assertTrue(waiting().stream().allMatch(WaitingReading::canWait), "Ben's reading says it: " + waiting());
        // Ben is marked against Ann's reading, and her moves since the instructor's
        adjusts(ben, 0.25);
        handsIn(ben);
        var ofBen = (ReadingEvidence) evidence(marked(ben), Aspect.READING);
        assertEquals(Set.of(ann.id().toString(), ann.stateId().toString()), sources(ofBen.parts()));
        assertEquals(1, ofBen.credit());
        assertTrue(
                evidence(marked(ann), Aspect.AS_LEFT) instanceof Evidence.AsLeft left
                        && sources(left.parts()).contains(ben.id().toString()),
                () -> marked(ann).toString());

        assertEquals(
                Optional.empty(),
                sheets.sign(maud, again(ann), UUID.randomUUID().toString()));
        MarkSheet signed = sheets.stored(again(ann)).orElseThrow();

        lends();
        Sitting cy = joins("Cy");
        writer(cy).read(0, 0.6);
        WaitingReading slip =
                waiting().stream().filter(w -> !w.canWait()).findFirst().orElseThrow();
        assertTrue(slip.names().contains("Cy") || slip.leftBy() != null, slip.toString());
        handsIn(cy);
        assertTrue(
                evidence(marked(cy), Aspect.READING) instanceof Evidence.MissingEntry missing
                        && missing.what() == Lack.YOUR_READING,
                "one person's word costs nobody marks");
        sheets.sign(maud, again(cy), UUID.randomUUID().toString());
        assertEquals(
                "desk.waitsForReading",
                sheets.release(maud, again(cy), UUID.randomUUID().toString())
                        .map(Sentence::key)
                        .orElse(""));

        // nothing signed moves by what others hand in later
        assertEquals(
                Optional.empty(),
                sheets.release(maud, again(ann), UUID.randomUUID().toString()));
        assertEquals(signed, sheets.stored(again(ann)).orElseThrow());

        maudReads(references.referenceAsFound(maud, tasks.task(centre.id(), centre.taskId()), 1));
        var settled = (ReadingEvidence) evidence(marked(cy), Aspect.READING);
        assertEquals(0, settled.credit(), 0.2);
        assertFalse(sources(settled.parts()).contains(cy.id().toString()), "not against his own");
        assertTrue(waiting().stream().allMatch(WaitingReading::canWait));

        try (Browser desk = new Browser(port, 1280, 800).signIn(maud.signIn(), Centre.PASSWORD)) {
            desk.go("/marking/" + cy.id());
            desk.press("What the references rest on");
            desk.waitForText("#rests", "Ben");
            assertEquals(List.of(), desk.breaches());
        }
    }

    /** What was read before a sheet went on at another vehicle is of the vehicle that it was read on; a wrong bay takes it along. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aSheetThatGoesOnAtAnotherVehicle_leavesItsReadingsWithTheFirst(boolean goesOn) {
        Sitting ann = joins("Ann");
        writer(ann).read(0, 0);
        centres.otherVehicle(centre, 4);
        String key = UUID.randomUUID().toString();
        assertFalse(
                (goesOn ? decisions.goOnAt(maud, ann, "4", key) : decisions.moveTo(maud, ann, "4", key))
                        instanceof Entries.Outcome.Refusal);
        Sitting there = again(ann);
        assertFalse(there.stands().equals(ann.stands()), "a page that is open is loaded again");
        Log log = sittings.log(there);
        boolean hasRead = there.task().practical().measures(0).stream()
                .anyMatch(measure -> !log.answers().readings(measure, 0).get(0).isEmpty());
        assertEquals(!goesOn, hasRead);
        assertEquals(List.of(), waiting(), "nobody waits for a reading of the first");
        handsIn(there);
        assertTrue(
                decisions.goOnAt(maud, again(ann), "1", UUID.randomUUID().toString())
                        instanceof Entries.Outcome.Refusal,
                "what is handed in stays as it is");

        Sitting ben = joins("Ben");
        writer(ben).read(0, 0);
        handsIn(ben);
        Evidence ofBen = evidence(marked(ben), Aspect.READING);
        boolean restsOnAnn = ofBen instanceof ReadingEvidence reading
                && sources(reading.parts()).contains(ann.id().toString());
        assertEquals(goesOn, restsOnAnn, ofBen.toString());
    }

    /** The list is empty until somebody needs it, and leads to the sheet that is filled. */
    @Test
    void theList_leadsToWhatIsRead() {
        try (Browser page = new Browser(port, 1280, 800).signIn(maud.signIn(), Centre.PASSWORD)) {
            page.go("/bays");
            page.press("To read");
            page.waitForText("main", "No marks wait for your reading");
            writer(joins("Ann")).read(0, 0);
            page.go("/bays/to-read");
            page.waitForText("#bay-1", "Total toe, front");
            page.waitForText("#bay-1", "For Ann.");
            assertEquals(List.of(), page.breaches());
            page.press("Read it now");
            page.waitFor(() -> page.path().startsWith("/sittings/"));
            assertEquals(List.of(), page.breaches());
        }
    }

    @Test
    void aReferenceThatDisagreesWithAllOthers_isAskedAbout_beforeAnybodyIsReleased() {
        List<Sitting> all = new ArrayList<>();
        maudReadsWrongly();
        for (String name : List.of("Ann", "Ben", "Cy")) {
            Sitting one = joins(name);
            writer(one).read(0, 0);
            handsIn(one);
            all.add(one);
            int expected = all.size() < 2 ? 0 : 1;
            assertEquals(expected, marks.referenceQuestion(again(all.get(0))).size(), name);
        }
        sheets.sign(maud, again(all.get(0)), UUID.randomUUID().toString());
        assertEquals(
                "desk.waitsForReference",
                sheets.release(maud, again(all.get(0)), UUID.randomUUID().toString())
                        .map(Sentence::key)
                        .orElse(""));
    }

    private void maudReadsWrongly() {
        UUID reference = references.referenceAsFound(maud, tasks.task(centre.id(), centre.taskId()), 1);
        new Writer(maud, sittings.sitting(maud, reference)).read(0, 1.2);
    }
}
