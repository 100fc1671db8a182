package app.galdrin.web;

import app.galdrin.core.measure.ToeMethods;
import app.galdrin.web.account.People;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.NewVehicle;
import app.galdrin.web.task.Tasks;
import java.util.UUID;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.jdbc.core.JdbcTemplate;

/** Makes centres for tests, with a vehicle like the first of the demo's. */
@TestComponent
public class TestCentres {

    private final People people;
    private final Library library;
    private final Tasks tasks;
    private final JdbcTemplate jdbc;

    TestCentres(People people, Library library, Tasks tasks, JdbcTemplate jdbc) {
        this.people = people;
        this.library = library;
        this.tasks = tasks;
        this.jdbc = jdbc;
    }

    /** A centre with one task, front toe by plates, open to its class of two. */
    public Centre plates() {
        UUID demo = jdbc.queryForObject("select centre_id from person where sign_in = 'm.aldous'", UUID.class);
        var sheet = library.newestSheets(demo).get(0);
        String registration = "T " + Ids.next().toString().substring(26);
        var vehicle = new NewVehicle(sheet.make(), sheet.model(), sheet.body(), registration, "front", sheet.sheet());
        return Centre.make(people, library, tasks, vehicle, ToeMethods.of("plates"));
    }
}
