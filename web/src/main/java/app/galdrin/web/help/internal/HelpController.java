package app.galdrin.web.help.internal;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.web.words.Words;
import java.util.List;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Help page: how figures are written, what the signs on a sheet mean, which keys there are, and what to do when something goes wrong. */
@Controller
class HelpController {

    private static final List<String> LENGTHS = List.of("12,5", "57.5 mm", "1 3/16\"");
    private static final List<String> ANGLES = List.of("0.43", "0°26'", "-12'", "1.5 deg");

    private final Words words;
    private final boolean demo;

    HelpController(Words words, Environment environment) {
        this.words = words;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    /** A figure as somebody types it, and as it is understood. */
    record Example(String typed, String read) {}

    @GetMapping("/help")
    String page(Model model) {
        model.addAttribute("lengths", examples(LENGTHS, Quantity.LENGTH, Unit.MM));
        model.addAttribute("angles", examples(ANGLES, Quantity.ANGLE, Unit.DEG));
        model.addAttribute("demo", demo);
        return "help/help";
    }

    private List<Example> examples(List<String> typed, Quantity quantity, Unit unit) {
        return typed.stream()
                .map(text -> new Example(
                        text, read((QuantityText.ParsedQuantity) QuantityParser.parse(text, quantity, unit), quantity)))
                .toList();
    }

    private String read(QuantityText.ParsedQuantity read, Quantity quantity) {
        return quantity == Quantity.LENGTH ? words.length(read.value()) : words.angle(Math.toRadians(read.value()));
    }
}
