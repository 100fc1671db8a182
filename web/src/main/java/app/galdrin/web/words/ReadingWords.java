package app.galdrin.web.words;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Readings as an instrument shows them: where a way is chosen beside the size, it is said, and no sign is shown that no gauge has. */
@Component
public class ReadingWords {

    private final Words words;

    ReadingWords(Words words) {
        this.words = words;
    }

    /** One reading, mm or deg. */
    public String full(Place place, double value) {
        return place.answer() instanceof SizeAndSense sized
                ? size(place, Math.abs(value)) + ", " + words.text("sense." + way(sized, value))
                : size(place, value);
    }

    /** The mean of readings, mm or deg, in little room; those of either way by themselves, since a mean of both is what nobody read. */
    public String brief(Place place, List<Double> values) {
        if (!(place.answer() instanceof SizeAndSense sized)) {
            return values.isEmpty() ? "" : size(place, mean(values));
        }
        Map<String, List<Double>> byWay =
                values.stream().collect(Collectors.groupingBy(v -> way(sized, v), TreeMap::new, Collectors.toList()));
        return byWay.entrySet().stream()
                .map(e ->
                        size(place, Math.abs(mean(e.getValue()))) + " " + words.text("sense." + e.getKey() + ".short"))
                .collect(Collectors.joining(" / "));
    }

    private static String way(SizeAndSense sized, double value) {
        return Sense.of(value, sized.senses(), sized.side()).key();
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(v -> v).average().orElse(0);
    }

    private static String size(Place place, double value) {
        return place.amount().quantity() == Quantity.LENGTH
                ? QuantityFormat.length(value)
                : QuantityFormat.decimal(value, 2, false) + "°";
    }
}
