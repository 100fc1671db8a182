package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordRuleTest {

    @ParameterizedTest
    @CsvSource(
            nullValues = "fine",
            value = {
                "too short, field.password",
                "ten is all, fine",
                "follow the string, fine",
                "Tr4ck-rod-ends, fine",
                "correct horse battery staple, fine",
                // common ones, longer than the least, whatever capitals
                "1234567890, field.password.easy",
                "qwertyuiop, field.password.easy",
                "Basketball1, field.password.easy",
                "P@ssw0rd123, field.password.easy",
                "drowssap123, field.password.easy",
                "aaaaaaaaaaaaaaa, field.password.easy",
                "abcabcabcabcabc, field.password.easy",
                "2026-11-27, field.password.easy",
                // names that everyone here knows
                "Ada Fernhill, field.password.own",
                "adafernhill7, field.password.own",
                "a.fernhill-1, field.password.own",
                "North Works!!, field.password.own",
                "fernhill rides to the river, fine",
                "galdringaldrin, field.password.own",
                "Galdrin2026!, field.password.own",
                "wheelalignment, field.password.own",
                "Wheel-Alignment-99, field.password.own",
                "NorthWorks2026, field.password.own",
                "works2026north, field.password.own",
                "the wheel keeps its secret, fine",
            })
    void whatIsTriedFirst_isRefused(String password, String fault) {
        assertEquals(
                fault,
                PasswordRule.fault(password, "Ada Fernhill", "a.fernhill", "North Works")
                        .orElse(null));
    }

    @ParameterizedTest
    @CsvSource({"200, ''", "201, field.password"})
    void aLongOne_isTakenUpToItsLimit(int length, String fault) {
        String text = "every word of it counts, ".repeat(9).substring(0, length);
        assertEquals(fault, PasswordRule.fault(text, "Ada").orElse(""));
    }
}
