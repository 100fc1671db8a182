package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.web.Browser;
import app.galdrin.web.GaldrinTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The queue on the device by itself, without a page around it, where phones have no secure context. */
@GaldrinTest
class QueueTest {

    /** A queue on a store of its own, a clock that stands, and a way to send that answers as it is told. */
    private static final String AROUND = """
            const main = document.querySelector('script[type=module]').src;
            const { Queue } = await import(main.replace('main.js', 'queue.js'));
            const kept = new Map();
            const storage = { getItem: k => kept.get(k) ?? null, setItem: (k, v) => kept.set(k, v), removeItem: k => kept.delete(k) };
            const sent = [];
            let clock = 1000, network = true;
            const send = async entry => {
              if (!network) return { later: 'away' };
              await new Promise(r => setTimeout(r, 5));
              sent.push(`${entry.deviceSeq}:${entry.text}@${entry.writtenAt}`);
              return entry.text === 'never' ? { refused: 'no such line' } : { done: true };
            };
            const tab = () => new Queue({ name: 's', storage, send, now: () => clock });
            const add = (queue, text) => { clock += 1; return queue.add({ line: 'toe/a/1/0', text, strike: false, saw: [] }); };
            """;

    @LocalServerPort
    private int port;

    private Browser browser;

    @BeforeEach
    void open() {
        browser = new Browser(port, 390, 844).go("/sign-in");
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "no secure context here          | return String(isSecureContext ? true : 'locks' in navigator) | false",
                "every entry is kept, in order   | network = false; const q = tab(); add(q, 'wrong'); add(q, 'right');"
                        + " await q.flush(); network = true; await q.flush(); return sent.join(' ') | 1:wrong@1001 2:right@1002",
                "what waits is still there       | network = false; const q = tab(); add(q, 'a'); await q.flush();"
                        + " return q.length + ' ' + tab().entries()[0].text | 1 a",
                "a refusal holds nothing up      | const q = tab(); add(q, 'never'); add(q, 'b'); await q.flush();"
                        + " return q.length + ' ' + q.aside()[0].text + ': ' + q.aside()[0].sentence + ', ' + sent.length"
                        + " | 0 never: no such line, 2",
                "set aside until it is seen      | const q = tab(); add(q, 'never'); await q.flush();"
                        + " q.clearAside(q.aside()[0].key); return String(q.aside().length) | 0",
                "two tabs send once, in one order | const p = tab(), q = tab(); add(p, 'a'); add(q, 'b'); add(p, 'c');"
                        + " await Promise.all([p.flush(), q.flush()]); return sent.join(' ') | 1:a@1001 2:b@1002 3:c@1003",
                "asked twice it sends once       | const q = tab(); add(q, 'a'); await Promise.all([q.flush(), q.flush()]);"
                        + " return String(sent.length) | 1",
                "a tab that died is waited for   | storage.setItem('galdrin.sender.s', JSON.stringify({ owner: 'x', until: clock + 9 }));"
                        + " const q = tab(); add(q, 'a'); await q.flush(); return q.length + ' ' + sent.length | 1 0",
                "and then passed over            | storage.setItem('galdrin.sender.s', JSON.stringify({ owner: 'x', until: clock - 9 }));"
                        + " const q = tab(); add(q, 'a'); await q.flush(); return q.length + ' ' + sent.length | 0 1",
                "a store that is full loses no page | storage.setItem = () => { throw new Error('full') }; const q = tab();"
                        + " add(q, 'a'); const waiting = q.length; await q.flush(); return waiting + ' ' + q.length + ' ' + sent.length | 1 0 1",
                "keys are keys                   | const q = tab(); const a = add(q, 'a'), b = add(q, 'b');"
                        + " return String(a.key !== b.key && /^[0-9a-f]{32}$/.test(a.key)) | true",
            })
    void aDeviceKeepsWhatWasWritten(String what, String script, String outcome) {
        assertEquals(outcome, browser.scriptLater(AROUND + script), what);
    }
}
