package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The start command's backup, of the demo that the tests run on. */
@GaldrinTest
class BackupTest {

    /** Into a second cluster, the sums of entries, marks and people compared; and it never takes the place of an older one. */
    @Test
    void aBackup_isReadBack_beforeItIsCalledOne(@TempDir Path folder) throws Exception {
        String file = folder.resolve("it's a backup.tar").toString();
        var ended = CommandTest.run(true, "backup", file);
        assertEquals(0, ended.status(), ended.words());
        assertTrue(ended.words().contains("all of them read back and compared"), ended.words());
        assertTrue(
                ended.words().matches("(?s).*holds [0-9]+ entries, [0-9]+ mark sheets, .* rows in [3-9][0-9] tables.*"),
                ended.words());
        assertTrue(Files.size(Path.of(file)) > 10_000);
        assertEquals(2, CommandTest.run(true, "backup", file).status());
    }
}
