// A gloved finger taps twice. The second tap would break off the answer to the first, and with it what the answer brings: the
// session of whoever has just joined. So a form goes off once; again when nothing came of it in a while, or when its page is back.
const WHILE_MS = 10_000;

export function once() {
  let sent = new WeakMap();
  document.addEventListener('submit', event => {
    const form = event.target;
    if (event.defaultPrevented || (event.submitter?.formMethod || form.method) !== 'post') return;
    const now = performance.now();
    if (now - (sent.get(form) ?? -Infinity) < WHILE_MS) event.preventDefault();
    else sent.set(form, now);
  });
  window.addEventListener('pageshow', () => { sent = new WeakMap(); });
}
