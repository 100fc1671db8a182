package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.simulated.TryOut.Kind;
import app.galdrin.core.task.Criterion;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** Result of a try-out, as it is kept: each of the three people under a key. */
record TryOutResult(Map<String, Person> people) {

    private static final JsonMapper JSON = JsonMapper.shared();

    /**
     * Result of one person's sheets.
     *
     * @param percents of the marks, 0 to 100, one a sheet
     * @param competent how many sheets were
     * @param losing by the key of a criterion, on how many sheets marks were lost
     */
    record Person(List<Double> percents, int competent, Map<String, Integer> losing) {
        private static Person of(TryOut.PersonResult tried) {
            Map<String, Integer> losing = new LinkedHashMap<>();
            tried.losing().forEach((criterion, sheets) -> losing.put(criterion.key(), sheets));
            return new Person(tried.percents(), tried.competent(), losing);
        }

        private TryOut.PersonResult tried() {
            Map<Criterion.Id, Integer> known = new LinkedHashMap<>();
            losing.forEach((key, sheets) -> known.put(Criterion.Id.parse(key).orElseThrow(), sheets));
            return new TryOut.PersonResult(percents, competent, known);
        }
    }

    static String write(Map<Kind, TryOut.PersonResult> tried) {
        Map<String, Person> people = new LinkedHashMap<>();
        tried.forEach((kind, credits) -> people.put(kind.key(), Person.of(credits)));
        return JSON.writeValueAsString(new TryOutResult(people));
    }

    static Map<Kind, TryOut.PersonResult> read(String json) {
        Map<Kind, TryOut.PersonResult> tried = new EnumMap<>(Kind.class);
        JSON.readValue(json, TryOutResult.class)
                .people()
                .forEach((key, person) ->
                        tried.put(Keyed.find(Kind.values(), key).orElseThrow(), person.tried()));
        return tried;
    }
}
