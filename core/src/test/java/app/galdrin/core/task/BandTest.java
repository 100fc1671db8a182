package app.galdrin.core.task;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.task.TaskDocumentTest.END;
import static app.galdrin.core.task.TaskDocumentTest.TOE;
import static app.galdrin.core.task.TaskDocumentTest.document;
import static app.galdrin.core.task.TaskDocumentTest.faults;
import static app.galdrin.core.task.TaskDocumentTest.said;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a difference earns, and how it stands in a task document. */
class BandTest {

    /** Bands are degrees or millimetres outside, rad or mm inside; three times five degrees is the widest. */
    @Test
    void bands_areReadInTheUnitOfTheirFigure() {
        String setback = "{'id':'s','kind':'measure','procedure':'setback','figures':['setback.front']}";
        String marks = """
                {'step':'s','aspect':'reading','marks':5,'bands':[{'figure':'setback.front','full':100,'none':300}]},
                {'step':'toe','aspect':'reading','marks':5,'bands':[{'figure':'totalToe.front','full':5,'none':15},{'figure':'toe.front.left','full':5,'none':15}]}""";
        Practical p = TaskDocument.stored(document(marks, setback, TOE, END));
        Band length = p.scheme().criteria().get(0).band(figure("setback.front")).orElseThrow();
        Band angle = p.scheme().criteria().get(1).band(figure("totalToe.front")).orElseThrow();
        assertEquals(new Band(100, 300), length);
        assertEquals(Math.toRadians(5), angle.full(), 1e-15);
        assertEquals(Math.toRadians(15), angle.none(), 1e-15);
    }

    /** Steps instead of a line: read, written as read, and refused where they don't fall from the full band on. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "'steps':[{'within':0.2,'percent':60},{'within':0.3,'percent':30}]|",
                "'steps':[{'within':15.0,'percent':99}]|",
                "'steps':[{'within':0.2,'percent':60},{'within':0.2,'percent':30}]|bands.steps unknown",
                "'steps':[{'within':0.2,'percent':60},{'within':0.3,'percent':60}]|bands.steps unknown",
                "'steps':[{'within':0.1,'percent':60}]|bands.steps unknown",
                "'steps':[]|bands.steps unknown",
                "'steps':[{'within':0.2,'percent':100}]|percent outOfRange 100",
                "'steps':[{'within':15.1,'percent':50}]|within outOfRange 15.1",
                "'steps':[{'within':0.2,'percent':60}],'none':0.2|none unknown 0.2",
                "'steps':[{'within':0.2,'percent':60}],'usual':true|usual unknown true",
            })
    void aBandInSteps_isReadAndWritten_orRefused(String steps, @Nullable String refused) {
        String marks = "{'step':'toe','aspect':'reading','marks':5,'bands':[{'figure':'totalToe.front','full':0.1,"
                + steps + "},{'figure':'toe.front.left','full':1,'none':2}]}";
        String document = document(marks, TOE, END);
        if (refused == null) {
            String written = TaskDocument.write(TaskDocument.stored(document));
            assertTrue(written.contains(steps.replace("'", "\"")), written);
            assertEquals(written, TaskDocument.write(TaskDocument.stored(written)));
        } else {
            assertTrue(said(faults(document)).contains(refused.replace("bands.", "")), said(faults(document)));
        }
    }

    @ParameterizedTest
    @CsvSource({"0,1", "0.1,1", "-0.1,1", "0.2,0.5", "0.3,0", "-1,0"})
    void aBand_paysInAStraightLine(double difference, double credit) {
        assertEquals(credit, new Band(0.1, 0.3).credit(difference), 1e-12);
        assertThrows(IllegalArgumentException.class, () -> new Band(0.1, 0.1));
        assertThrows(IllegalArgumentException.class, () -> new Band(-0.1, 0.1));
        assertThrows(IllegalArgumentException.class, () -> new Scheme(List.of(), 101));
    }

    /** A limit belongs to its step, also where a binary digit says otherwise. */
    @ParameterizedTest
    @CsvSource({"0.1,1", "0.1001,0.6", "-0.2,0.6", "0.20000000000000004,0.6", "0.2001,0.3", "0.3,0.3", "0.3001,0", "9,0"
    })
    void aBand_paysInSteps(double difference, double credit) {
        List<Band.Step> steps = List.of(new Band.Step(0.2, 60), new Band.Step(0.3, 30));
        Band band = Band.stepped(0.1, steps);
        assertEquals(credit, band.credit(difference));
        assertEquals(band, band.against(10), "it was typed, and stands");
        assertThrows(IllegalArgumentException.class, () -> new Band(0.1, 0.3, true, steps));
        assertThrows(IllegalArgumentException.class, () -> new Band(0.1, 0.4, false, steps));
        assertThrows(IllegalArgumentException.class, () -> Band.stepped(0.2, steps));
        assertFalse(Band.canStep(0.1, List.of(new Band.Step(0.2, 0))));
        List<Band.Step> six = IntStream.rangeClosed(2, 7)
                .mapToObj(i -> new Band.Step(i, 100 - i))
                .toList();
        assertTrue(Band.canStep(1, six.subList(0, Band.MOST_STEPS)));
        assertFalse(Band.canStep(1, six));
    }
}
