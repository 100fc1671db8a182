package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/**
 * Two people at a practical on the demo's van, whose caster can't be adjusted: set, measured, worked, judged, planned, adjusted, handed in,
 * marked, overridden, signed, released and read. Each page on the way is looked at for accessibility breaches in both themes.
 */
public final class FrontPractical {

    private final List<String> breaches = new ArrayList<>();
    private final Browser maud;
    private final Browser lena;

    /**
     * @param maud who sets and marks it
     * @param lena who sits it
     */
    public FrontPractical(Browser maud, Browser lena) {
        this.maud = maud;
        this.lena = lena;
    }

    /** Sets the task, reads the reference and opens it; its address. */
    public String set() {
        String task = setTask(maud);
        takeReference(maud, task);
        maud.go(task);
        check(maud);
        return task;
    }

    /** Joins by the code on the board, does every step and hands in; the address of the sheet. */
    public String sit() {
        join(lena, maud.text(".code-large"));
        prepare(lena);
        read(lena);
        workAndJudge(lena);
        plan(lena);
        adjust(lena);
        return handIn(lena);
    }

    /** Reads the vehicle as left where a line asks for it, overrides a line, signs and releases; the address of the desk. */
    public String mark(String task) {
        return mark(maud, task);
    }

    /** Reads what came of it. */
    public void readFeedback() {
        feedback(lena);
    }

    /** What was seen so far. */
    public List<String> breaches() {
        return breaches;
    }

    private void check(Browser who) {
        breaches.addAll(who.breaches());
    }

    private String setTask(Browser maud) {
        maud.signIn("m.aldous", "follow the string").go("/tasks/new");
        maud.click("button[name=start][value=fullFront]");
        maud.waitFor(() -> maud.has("[data-bench-step=caster]"));
        maud.type("#title", "All of the front");
        maud.find("#sheet").sendKeys("Quendle");
        maud.find("#class").sendKeys("Vehicles 1B");
        maud.waitForText("#preview", "Caster");
        check(maud);
        maud.click("#set");
        maud.waitFor(() -> maud.path().matches("/tasks/[0-9a-f-]{36}"));
        String task = maud.path();
        maud.click("#bays-change summary");
        maud.find("#bays-change select[name=bay]").sendKeys("3");
        maud.click("#bays-change form .btn-line");
        maud.waitForText("main", "Bay 3");
        maud.click("section.code-card .btn-ink");
        maud.waitFor(() -> maud.has(".code-large"));
        return task;
    }

    private void takeReference(Browser maud, String task) {
        maud.go(task);
        maud.click(".bays form[action$='/reference'] button");
        maud.waitFor(() -> maud.path().startsWith("/sittings/"));
        for (String step : new String[] {"caster", "camber", "toe"}) {
            show(maud, step);
            walk(maud, "#step-" + step + " .measure");
        }
        maud.waitForText("#status", "all saved");
        maud.waitForText("#panel-toe", "too close to tell");
        assertTrue(maud.text("#panel-toe").contains("out of line"), "the instructor sees how far off the box is");
        check(maud);
    }

    private static void show(Browser who, String step) {
        who.script("document.querySelector('[data-step-link=\"' + arguments[0] + '\"]').click()", step);
        who.waitFor(() -> who.find("#step-" + step).isDisplayed());
    }

    /** Reading at a place, and behind a stroke which way it is meant. */
    private static String reading(String name) {
        String[] parts = name.split("/", -1);
        boolean second = parts[2].equals("2");
        return switch (parts[1].substring(parts[1].indexOf('.') + 1)) {
            case "out.steer", "in.steer" -> "20";
            case "out.camber" -> "0.98|top leans out";
            case "in.camber" -> second ? "0°36'|top leans in" : "0.6|top leans in";
            case "ahead.camber", "gauge" -> second ? "0,15|top leans out" : "0.15|top leans out";
            case "floor" -> "0.1|falls to the left";
            default -> toe(parts[1], second);
        };
    }

    private static String toe(String place, boolean second) {
        return switch (place) {
            case "wheels.fl.frontGap" -> second ? "63" : "62.5";
            case "hubGap.fl" -> "63";
            case "wheels.fl.rearGap" -> second ? "63,5" : "63.5";
            case "wheels.rl.frontGap" -> "78";
            case "hubGap.rl" -> second ? "78" : "77.5";
            case "wheels.rl.rearGap" -> "77.5";
            case "stringSpacingRear" -> "1623";
            case "wheels.rr.rearGap" -> "77.5";
            case "hubGap.rr" -> "78.5";
            case "wheels.rr.frontGap" -> second ? "3 3/32\"" : "78.5";
            case "wheels.fr.rearGap" -> "68.5";
            case "hubGap.fr" -> "69";
            case "wheels.fr.frontGap" -> "69.5";
            case "stringSpacingFront" -> "1615.5";
            case "stationDistance" -> "4060";
            default -> throw new IllegalArgumentException(place);
        };
    }

    /** Types every repeat of a measurement from its first field on, with nothing but the digits, the way and Enter, in one go. */
    @SuppressWarnings("unchecked")
    public static void walk(Browser who, String within) {
        var fields = (List<String>) who.script(
                "return [...document.querySelectorAll(arguments[0] + ' input.at-box')].map(field => field.name)",
                within);
        who.focusOn(fields.get(0));
        assertEquals(fields.get(0), who.focus());
        var keys = new StringBuilder();
        List<String> typed = new ArrayList<>();
        for (String field : fields) {
            String[] parts = reading(field).split("\\|", -1);
            keys.append(parts[0])
                    .append(parts.length > 1 ? Keys.TAB + parts[1] : "")
                    .append(Keys.ENTER);
            typed.add(reading(field));
        }
        who.keys(keys.toString());
        String measure = fields.get(0).substring(0, fields.get(0).indexOf('/') + 1);
        assertFalse(
                who.focus().startsWith(measure),
                () -> "the walk ends: " + who.focus() + " " + who.text("#status")
                        + who.all(".bad").stream().map(WebElement::getText).toList());
        assertEquals(typed, standing(who, within));
    }

    /** What stands in the fields of a measurement in their order, and behind a stroke which way it is meant. */
    private static Object standing(Browser who, String within) {
        return who.script("""
                return [...document.querySelectorAll(arguments[0] + ' input.at-box')].map(field => {
                  const way = document.getElementsByName(field.name + '.sense')[0];
                  return field.value + (way ? '|' + way.selectedOptions[0].textContent.trim() : '');
                });""", within);
    }

    private void join(Browser lena, String code) {
        lena.go("/join");
        lena.type("#code", code.toLowerCase(Locale.ROOT));
        lena.click("main .btn-ink");
        check(lena);
        lena.all(".names label").stream()
                .filter(l -> l.getText().contains("Lena Fosse"))
                .findFirst()
                .orElseThrow()
                .click();
        lena.click("main .btn-ink");
        lena.waitFor(() -> lena.path().startsWith("/sittings/"));
    }

    private void tick(Browser lena, String step) {
        for (var box : lena.all("#step-" + step + " .checklist input[type=checkbox]")) {
            lena.script("arguments[0].scrollIntoView({block: 'center'})", box);
            box.click();
        }
        lena.waitForText("#status", "all saved");
        check(lena);
        lena.click("#next");
    }

    private void prepare(Browser lena) {
        lena.waitFor(() -> lena.find("#step-prepare").isDisplayed());
        tick(lena, "prepare");
    }

    private void read(Browser lena) {
        for (String step : new String[] {"caster", "camber"}) {
            lena.waitFor(() -> lena.find("#step-" + step).isDisplayed());
            walk(lena, "#step-" + step + " .measure");
            lena.waitForText("#status", "all saved");
            lena.waitForText("#panel-" + step + " .sense", "top leans out");
            check(lena);
            lena.click("#next");
        }
        lena.waitFor(() -> lena.find("#step-toe").isDisplayed());
        // one is misread, struck out and written again; both stay
        lena.focusOn("toe/hubGap.fl/1/0");
        lena.enter("75.5");
        walk(lena, "#step-toe .measure");
        lena.waitForText("#status", "all saved");
        lena.waitForText("#panel-toe s", "75.5");
        assertEquals("78.58 mm", lena.text(".at-wheels-rr-frontGap[data-repeat='2'] .says"));
        assertFalse(lena.text("#panel-toe").contains("out of line"), "assessment is silent about the box");
        assertEquals("3 3/32\"", lena.value("input[name='toe/wheels.rr.frontGap/2/0']"));
        check(lena);
        lena.click("#next");
    }

    /** How far a step is, as a screen reader hears it on the route. */
    private static String heard(Browser who, String step) {
        return String.valueOf(who.script(
                "return document.querySelector('[data-route=\"' + arguments[0] + '\"] [data-route-state]').textContent",
                step));
    }

    /** An answer that arrives meanwhile can move the page under a click: who sees it not chosen clicks again. */
    private static void choose(Browser who, String line, String value) {
        String option = "input[name='" + line + "'][value=" + value + "]";
        who.waitFor(() -> {
            if (!who.find(option).isSelected()) {
                who.click(option);
            }
            return who.find(option).isSelected();
        });
    }

    private void workAndJudge(Browser lena) {
        lena.waitFor(() -> lena.find("#step-work").isDisplayed());
        lena.waitForText("#from-work-toe", "63");
        assertEquals(List.of("done", "0 of 7 entered"), List.of(heard(lena, "toe"), heard(lena, "work")));
        for (String figure : figures(lena, "work")) {
            lena.focusOn("work/" + figure + "/0/0");
            // the right size with the wrong sign for the total, and nothing right about the rest
            lena.enter(figure.equals("totalToe.front") ? "-0.14" : "0.00");
        }
        lena.waitForText("#status", "all saved");
        assertFalse(lena.text("main").contains("sign reversed"), "assessment is silent about slips");
        check(lena);
        lena.click("#next");
        lena.waitFor(() -> lena.find("#step-judge").isDisplayed());
        lena.waitForText("#own-judge-totalToe-front-0-0", "\u22120.14\u00b0");
        for (String line : figures(lena, "judge")) {
            if (line.startsWith("adjustable.")) {
                choose(lena, "judge/" + line + "/0/0", line.contains("caster") ? "no" : "yes");
            } else {
                choose(lena, "judge/" + line + "/0/0", line.startsWith("caster") ? "outside" : "inside");
            }
        }
        lena.waitForText("#status", "all saved");
        check(lena);
        lena.click("#next");
    }

    /** The lines of a step that are shown. */
    private static List<String> figures(Browser who, String step) {
        return who.all("#step-" + step + " [data-line][data-kind]").stream()
                .map(e -> String.valueOf(e.getDomAttribute("data-line")).split("/", -1)[1])
                .toList();
    }

    private void plan(Browser lena) {
        lena.waitFor(() -> lena.find("#step-plan").isDisplayed());
        lena.waitForText("#figures-plan", "\u22120.14\u00b0");
        assertFalse(lena.has("#step-plan [data-line*='caster'] input[type=text]"), "nothing moves the caster here");
        choose(lena, "plan/part.caster.front/0/0", "lookForThePart");
        for (String side : new String[] {"left", "right"}) {
            choose(lena, "plan/topSlot.front." + side + ".way/0/0", "leave");
        }
        choose(lena, "plan/rod.front.left.way/0/0", "shorten");
        lena.focusOn("plan/rod.front.left.amount/0/0");
        lena.enter("1/4");
        choose(lena, "plan/rod.front.right.way/0/0", "leave");
        lena.waitForText("#status", "all saved");
        check(lena);
        lena.click("#next");
    }

    private void adjust(Browser lena) {
        lena.waitFor(() -> lena.find("#step-adjust").isDisplayed());
        for (String part :
                new String[] {"topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right"}) {
            choose(lena, "adjust/" + part + ".way/0/1", "leave");
        }
        for (WebElement measure : lena.all("#step-adjust .measure")) {
            walk(lena, "#" + measure.getDomAttribute("id"));
        }
        choose(lena, "adjust/next/0/1", "finished");
        lena.waitForText("#status", "all saved");
        check(lena);
        lena.click("#next");
        lena.waitFor(() -> lena.find("#step-closing").isDisplayed());
        tick(lena, "closing");
    }

    private String handIn(Browser lena) {
        lena.waitFor(() -> lena.find("#step-handIn").isDisplayed());
        check(lena);
        assertTrue(
                lena.text("#step-handIn").contains("Everything on this sheet is entered"), lena.text("#step-handIn"));
        lena.click("[data-hand-in]");
        lena.click("[data-ask-yes]");
        lena.waitForText("main", "Handed in. Nothing more");
        String sheet = lena.path().replaceFirst("\\?.*", "");
        lena.go(sheet + "/feedback");
        assertTrue(lena.text("main").contains("is not released yet"));
        return sheet;
    }

    private String mark(Browser maud, String task) {
        maud.go(task);
        maud.waitForText("#people", "Lena Fosse");
        maud.click("#people td:last-child a:not(.to-desk)");
        String desk = maud.path();
        String working = maud.text("#work-working");
        assertTrue(working.contains("You wrote −0.14°") && working.contains("sign reversed for this method"), working);
        String said = String.valueOf(maud.script("return document.querySelector('.desk-lines').textContent"));
        assertTrue(said.contains("check ride height, load and fitted parts and read it again"), said);
        assertTrue(
                maud.text("#adjust-asLeft").contains("The instructor has not read the as-left state."),
                "what is missing is said");
        readAsLeft(maud, "#as-left");
        maud.go(desk);
        maud.waitForText("#adjust-asLeft", "too close to tell. The instructor reads it again");
        readAsLeft(maud, "#read-again");
        maud.go(desk);
        String asLeft = String.valueOf(maud.script("return document.querySelector('#adjust-asLeft').textContent"));
        assertTrue(asLeft.contains("The reference rests on 2 readings by instructors."), asLeft);
        check(maud);
        override(maud);
        maud.find("body").sendKeys("s");
        maud.waitFor(() -> maud.find("#release").isEnabled());
        maud.find("body").sendKeys("r");
        maud.waitForText(".bay-head", "released");
        check(maud);
        return desk;
    }

    private static void readAsLeft(Browser maud, String button) {
        maud.click(button);
        maud.waitFor(() -> maud.has("#step-toeAgain"));
        for (String step : new String[] {"camberAgain", "toeAgain"}) {
            show(maud, step);
            walk(maud, "#step-" + step + " .measure");
        }
        maud.waitForText("#status", "all saved");
    }

    private void override(Browser maud) {
        maud.click("#work-working .override summary");
        maud.type("#work-working input[name=marks]", "200");
        maud.type("#work-working input[name=reason]", "explained it at the bay");
        maud.click("#work-working .override .btn");
        maud.waitForText("#work-working", "“200” was read");
        assertEquals("explained it at the bay", maud.value("#work-working input[name=reason]"));
        maud.find("#work-working input[name=marks]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "17,5");
        maud.click("#work-working .override .btn");
        maud.waitForText("#work-working", "The instructor gave 17.5: explained it at the bay");
    }

    private void feedback(Browser lena) {
        lena.go("/sittings");
        lena.click(".list a");
        lena.waitForText("main", "The instructor gave 17.5");
        String page = lena.text("main");
        assertTrue(page.contains("You wrote −0.14°. Your readings give +0.14°"), page);
        assertTrue(lena.has("figure.tolerance svg"));
        check(lena);
    }
}
