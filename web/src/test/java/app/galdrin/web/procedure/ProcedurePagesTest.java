package app.galdrin.web.procedure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.task.HandIn;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.io.StringReader;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.xml.sax.InputSource;

@GaldrinTest
class ProcedurePagesTest {

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

    private Visitor anyone;

    @BeforeEach
    void signIn() {
        anyone = new Visitor(port).signIn("b.lindqvist", "follow the string");
    }

    static Stream<Procedure> all() {
        return Procedures.all().stream();
    }

    /** Its own example comes to a figure with its doubt and where that comes from; its drawings are files that other programs read. */
    @ParameterizedTest
    @MethodSource("all")
    void everyProcedure_hasItsPage_anExampleThatWorks_andItsDrawings(Procedure procedure) throws Exception {
        var page = anyone.get("/procedures/" + procedure.key());
        assertEquals(200, page.statusCode());
        assertTrue(page.body().contains("±"), "a figure");
        assertTrue(page.body().contains(" %)"), "a source of doubt");
        assertFalse(page.body().contains("These readings give no figure"));
        for (String layout : new String[] {"lying", "upright"}) {
            var svg = anyone.get("/procedures/" + procedure.key() + "/" + layout + ".svg");
            assertTrue(svg.headers().firstValue("Content-Type").orElse("").startsWith("image/svg+xml"));
            assertTrue(
                    svg.headers().firstValue("Content-Disposition").orElse("").contains("attachment"));
            var root = DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(svg.body())))
                    .getDocumentElement();
            assertEquals("svg", root.getTagName());
            assertTrue(root.getElementsByTagName("path").getLength() > 3);
            assertTrue(root.getElementsByTagName("rect").getLength() > 0);
        }
    }

    /** Plates of 500 mm: 5 mm more behind is 0.573° of toe-in, and what can't be real has its sentence beside what was typed. */
    @ParameterizedTest
    @CsvSource({
        "1800,1805,+0.57°",
        "1805,1800,−0.57°",
        "'70 7/8\"',1805.0,+0.55°",
        "1 m,1805,understood",
        "18000,1805,18000",
        ",1805,These readings give no figure"
    })
    void whatIsTyped_isWorked_orSaidWhyNot(String front, String rear, String says) {
        String typed = "?at.frontDistance=" + encoded(front) + "&at.rearDistance=" + encoded(rear);
        String page = anyone.get("/procedures/plates" + typed).body();
        assertTrue(page.contains(says) || says.equals("understood") && page.contains("class=\"says fault\""), page);
        if (front != null) {
            assertTrue(page.contains("value=\"" + front.replace("\"", "&quot;")), "what was typed stands there");
        }
    }

    /** Nonsense of every kind of place: what was read, why it can't be there, what to do; what was typed stays. */
    @ParameterizedTest
    @CsvSource({
        "inclinometer,fl.gauge,40,topOut,15",
        "inclinometer,fl.floor,12,fallsLeft,5",
        "inclinometer90,fl.gauge,60,topOut,75",
        "strings,wheels.fl.frontGap,3 m,,like",
        "strings,hubGap.fl,3000,,1000",
        "sweep,fl.out.steer,61,,50",
        "sweep,fl.out.camber,0°75',topOut,60",
        "flags,fl.flag,11°,toeIn,10",
        "protractor,fl.pad,25,leansBack,20",
        "protractorKpi,fl.cross,9,fallsLeft,8",
        "turnOut,fl.plateInner,5,,10",
        "setback,fl.wheelbase,12000,,9000",
        "treadTape,front.below,400,,250",
        "longBars,frontDistance,150,,500"
    })
    void nonsense_hasItsSentence(String procedure, String place, String typed, String sense, String says) {
        String query =
                "?at." + place + "=" + encoded(typed) + (sense == null ? "" : "&at." + place + ".sense=" + sense);
        String page = anyone.get("/procedures/" + procedure + query).body();
        String fault = page.replaceFirst("(?s).*?<span class=\"says fault\"[^>]*>([^<]*)</span>.*", "$1");
        assertTrue(fault.length() < 400, "no sentence for " + typed);
        assertTrue(fault.contains(typed.replace("'", "&#39;")) && fault.contains(says), fault);
        assertTrue(page.contains("value=\"" + typed.replace("'", "&#39;") + "\""), "what was typed stands there");
    }

    /** The page works nobody's assessment for him; once he has handed in, and for anyone else, it works what is typed. */
    @Test
    void whileHeIsAssessed_onlyTheExampleIsWorked() {
        Centre centre = centres.plates();
        Sitting sitting = centre.sitting(tasks, sittings);
        var assessed = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String typed = "/procedures/plates?at.frontDistance=1800&at.rearDistance=1830";
        String held = assessed.get(typed).body();
        assertTrue(held.contains("You are sitting an assessment") && !held.contains("+3.44°"), held);
        Centre.write(sittings, entries, centre.apprentice(), sitting, "handIn/" + HandIn.DONE + "/0/0", "done");
        assertTrue(assessed.get(typed).body().contains("+3.44°"));
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertTrue(teacher.get(typed).body().contains("+3.44°"));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text == null ? "" : text, StandardCharsets.UTF_8);
    }

    @Test
    void aSideThatIsChosen_turnsTheSign() {
        String gaps =
                "&at.wheels.fl.frontGap=75&at.wheels.fl.rearGap=80&at.wheels.fr.frontGap=75&at.wheels.fr.rearGap=80";
        String outboard = anyone.get("/procedures/laserLine?chosen.lineSide=outboard" + gaps)
                .body();
        String inboard = anyone.get("/procedures/laserLine?chosen.lineSide=inboard" + gaps)
                .body();
        assertTrue(outboard.contains("−0.65°") && inboard.contains("+0.65°"), outboard);
    }

    @Test
    void theMatrix_namesEveryProcedure_andWhatItIsBlindTo() {
        String page = anyone.get("/procedures").body();
        Procedures.all().forEach(p -> assertTrue(page.contains("/procedures/" + p.key() + "?sheet="), p.key()));
        assertTrue(page.contains("cannot see it") && page.contains("front, rear"));
    }

    @Test
    void aVehicle_hasItsSheetsPage_andItsPartsAndLetters() {
        String list = anyone.get("/vehicles").body();
        assertTrue(list.contains("Lectern 75") && list.contains("not a specification"));
        String id = list.replaceAll("(?s).*href=\"/vehicles/([0-9a-f-]{36})\">Ostrick.*", "$1");
        String page = anyone.get("/vehicles/" + id).body();
        for (String part : new String[] {
            "Knuckle against pad",
            "Adjustable only with added parts: Shims",
            "Sleeve, front",
            "4120\u00a0mm",
            ">F<",
            "Not adjustable"
        }) {
            assertTrue(page.contains(part), part);
        }
        assertEquals(
                404,
                anyone.get("/vehicles/00000000-0000-0000-0000-000000000000").statusCode());
    }
}
