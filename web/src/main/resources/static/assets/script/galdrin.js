// Small components; pages work without them. What is typed at the bay is kept on the device until the server has it.
(() => {
  const store = {
    get(key, otherwise) { try { return JSON.parse(localStorage.getItem(key)) ?? otherwise; } catch { return otherwise; } },
    set(key, value) { try { localStorage.setItem(key, JSON.stringify(value)); } catch { /* full or private: the field still holds it */ } },
  };
  // randomUUID needs https; a workshop's network often has none
  const newKey = () => Array.from(crypto.getRandomValues(new Uint8Array(16)), b => b.toString(16).padStart(2, '0')).join('');
  const device = () => {
    let name = store.get('galdrin.device', null);
    if (!name) store.set('galdrin.device', name = newKey());
    return name;
  };
  const token = () => document.querySelector('meta[name="csrf-token"]')?.content ?? '';
  const LONGEST = 60;
  const RETRY_MS = 5000;

  document.addEventListener('alpine:init', () => {
    Alpine.data('sheet', () => ({
      queue: [], drafts: {}, seq: 0, elsewhere: false, last: null, sending: false, timer: null,

      init() {
        this.queueKey = 'galdrin.queue.' + this.$el.dataset.sitting;
        this.draftKey = 'galdrin.draft.' + this.$el.dataset.sitting;
        this.form = this.$el;
        this.seq = Number(this.form.dataset.seq);
        this.queue = store.get(this.queueKey, []);
        this.drafts = store.get(this.draftKey, {});
        this.restore();
        document.getElementById('strike')?.addEventListener('click', () => this.strikeLast());
        document.getElementById('keyboard')?.addEventListener('click', () => this.switchKeyboard());
        document.getElementById('panel')?.addEventListener('click', event => this.clicked(event));
        this.flush();
        const first = this.fields().find(f => !f.value) ?? this.fields()[0];
        if (first && (matchMedia('(min-width: 900px)').matches || location.search.includes('repeat'))) first.focus({ preventScroll: true });
      },

      fields() { return [...this.form.querySelectorAll('input[data-slot]:not([type="radio"]):not([type="checkbox"])')]; },
      field(slot) { return this.form.querySelector(`input[data-slot="${CSS.escape(slot)}"]`); },
      holder(field) { return field.closest('.at, .line-field, fieldset, li'); },

      // what was typed here and never reached the server comes back into its field
      restore() {
        for (const [slot, text] of Object.entries(this.drafts)) {
          const field = this.field(slot);
          if (field && !field.readOnly && field.value !== text) { field.value = text; this.holder(field).classList.add('unsent'); }
        }
      },

      typed(event) {
        const field = event.target;
        if (!field.dataset.slot || field.type === 'radio' || field.type === 'checkbox') return;
        this.drafts[field.dataset.slot] = field.value.slice(0, 2000);
        if (field.value === field.dataset.standing) delete this.drafts[field.dataset.slot];
        store.set(this.draftKey, this.drafts);
      },

      focused(event) { if (event.target.dataset?.slot) { this.last = event.target; event.target.select?.(); } },

      changed(event) {
        const field = event.target;
        if (!field.dataset.slot || field.readOnly) return;
        if (field.type === 'checkbox') this.send(field, field.checked ? 'done' : '', !field.checked);
        else if (field.type === 'radio') this.send(field, field.value, false);
        else this.write(field);
      },

      key(event) {
        if (event.key !== 'Enter' || !event.target.dataset.slot || event.target.type === 'checkbox') return;
        event.preventDefault();
        const fields = this.fields();
        const here = fields.indexOf(event.target);
        this.write(event.target);
        if (here < 0) return;
        const next = fields[here + 1];
        if (next) next.focus();
        else this.onward();
      },

      // after the last field: the next repeat, or the button that leads on
      async onward() {
        await this.flush();
        const clean = this.queue.length === 0 && !this.form.querySelector('.bad');
        if (this.form.dataset.next && clean) location.assign(this.form.dataset.next);
        else document.getElementById('next')?.focus();
      },

      submitted(event) {
        if (event.submitter?.dataset.strike) return;
        if (this.form.querySelector('[name="handIn/done/0"]')) return; // handing in is a page of its own
        event.preventDefault();
        this.fields().forEach(field => this.write(field));
      },

      clicked(event) {
        const button = event.target.closest('[data-strike]');
        if (!button) return;
        event.preventDefault();
        const field = this.field(button.dataset.strike);
        this.strike(button.dataset.strike, field);
      },

      strikeLast() {
        const field = this.last;
        if (!field || field.type === 'checkbox') return;
        if (!field.dataset.standing && field.type !== 'radio') { this.say(this.form.dataset.sayEmpty); return; }
        this.strike(field.dataset.slot, field);
        field.focus();
      },

      strike(slot, field) {
        if (field && field.type === 'radio') this.form.querySelectorAll(`input[name="${CSS.escape(slot)}"]`).forEach(r => { r.checked = false; });
        else if (field) { field.value = ''; field.dataset.standing = ''; }
        delete this.drafts[slot];
        store.set(this.draftKey, this.drafts);
        this.enqueue({ slot, text: '', strike: true, key: newKey() });
      },

      write(field) {
        const text = field.value.trim();
        if (text === field.dataset.standing || (text === '' && !field.dataset.standing)) { this.clear(field); return; }
        if (text === '') { field.value = field.dataset.standing; this.say(this.form.dataset.sayEmpty); return; }
        if (text.length > LONGEST) { this.fault(field, this.form.dataset.sayLong); return; }
        this.send(field, text, false);
      },

      send(field, text, strike) {
        this.enqueue({ slot: field.dataset.slot, text, strike, key: newKey() });
        this.holder(field)?.classList.add('unsent');
      },

      // of several waiting texts for one slot only the last was meant; one under way is left alone, and leaving the field
      // that Enter has just written says the same again
      enqueue(line) {
        const last = this.queue.filter(waiting => waiting.slot === line.slot).pop();
        if (last && last.text === line.text && last.strike === line.strike) { this.flush(); return; }
        this.queue = this.queue.filter((waiting, i) => (i === 0 && this.sending) || waiting.slot !== line.slot);
        this.queue.push(line);
        store.set(this.queueKey, this.queue);
        this.flush();
      },

      async flush() {
        if (this.sending) return this.under;
        this.under = this.sendAll();
        return this.under;
      },

      async sendAll() {
        this.sending = true;
        clearTimeout(this.timer);
        let any = false;
        while (this.queue.length > 0) {
          this.say(this.form.dataset.saySending);
          const answer = await this.post(this.queue[0]);
          if (!answer) break;
          any = true;
          this.queue.shift();
          store.set(this.queueKey, this.queue);
        }
        this.sending = false;
        if (this.queue.length === 0) { if (any) { this.sayHowItStands(); this.refresh(); } }
        else this.timer = setTimeout(() => this.flush(), RETRY_MS);
      },

      sayHowItStands() {
        const say = this.form.dataset;
        if (this.form.querySelector('.bad')) this.say(say.sayRefused, true);
        else if (this.elsewhere) this.say(say.sayAll + '. ' + say.sayElsewhere, true);
        else this.say(say.sayAll);
      },

      // true when the server has dealt with it, be it by a refusal; false when it has to be sent again
      async post(line) {
        let response;
        try {
          response = await fetch(`/sittings/${this.form.dataset.sitting}/entries`, {
            method: 'POST', redirect: 'manual',
            headers: { 'X-Galdrin-Device': device(), 'X-XSRF-TOKEN': token(), 'Content-Type': 'application/x-www-form-urlencoded' },
            body: new URLSearchParams({ slot: line.slot, text: line.text, strike: String(line.strike), key: line.key }),
          });
        } catch { return this.keep(this.form.dataset.sayAway); }
        if (response.status === 401 || response.type === 'opaqueredirect') return this.keep(this.form.dataset.saySignedOut);
        if (response.status >= 500) return this.keep(this.form.dataset.sayAway);
        if (!response.ok) return this.keep(this.form.dataset.saySignedOut);
        this.answered(line, await response.json());
        return true;
      },

      keep(why) {
        this.say(why + ' ' + this.form.dataset.sayWaiting.replace('{0}', this.queue.length), true);
        return false;
      },

      answered(line, answer) {
        const field = this.field(line.slot);
        this.elsewhere ||= answer.seq > this.seq + 1; // someone else wrote in between
        this.seq = Math.max(this.seq, answer.seq);
        if (!field) return;
        if (!answer.ok) { this.fault(field, answer.error); return; }
        field.dataset.standing = line.strike ? '' : line.text;
        delete this.drafts[line.slot];
        store.set(this.draftKey, this.drafts);
        this.clear(field);
        this.holder(field)?.classList.remove('unsent');
        this.sayBeside(field, answer.echo, false);
        // shown beside the field where it was not typed as it was understood
        this.says(field)?.classList.toggle('differs', !line.strike && answer.echo.split('\u00a0')[0] !== line.text);
      },

      fault(field, sentence) {
        this.holder(field)?.classList.add('bad');
        this.holder(field)?.classList.remove('unsent');
        field.setAttribute('aria-invalid', 'true');
        this.sayBeside(field, sentence, true);
        this.say(this.form.dataset.sayRefused, true);
      },

      clear(field) {
        this.holder(field)?.classList.remove('bad');
        field.setAttribute('aria-invalid', 'false');
        const says = this.says(field);
        if (says?.classList.contains('fault')) this.sayBeside(field, '', false);
      },

      says(field) { return this.holder(field)?.querySelector('.says'); },
      sayBeside(field, sentence, isFault) {
        const says = this.says(field);
        if (!says) return;
        says.textContent = sentence;
        says.classList.toggle('fault', isFault);
      },

      say(sentence, trouble = false) {
        const status = document.getElementById('status');
        if (!status) return;
        status.textContent = sentence;
        status.classList.toggle('trouble', trouble);
      },

      async refresh() {
        try {
          const response = await fetch(this.form.dataset.panel, { headers: { 'X-Galdrin-Device': device() } });
          if (response.ok) document.getElementById('panel').innerHTML = await response.text();
        } catch { /* the panel is a convenience; the entries are safe */ }
      },

      switchKeyboard() {
        this.fields().forEach(f => { f.inputMode = f.inputMode === 'decimal' ? 'text' : 'decimal'; });
        this.last?.focus();
      },
    }));

    // the bench: the preview follows the form
    Alpine.data('bench', () => ({
      timer: null,
      changed() { clearTimeout(this.timer); this.timer = setTimeout(() => this.show(), 250); },
      async show() {
        const query = new URLSearchParams(new FormData(this.$root));
        query.delete('_csrf');
        query.set('preview', '1');
        try {
          const response = await fetch(this.$root.dataset.preview + '?' + query, { headers: { 'X-Galdrin-Device': device() } });
          if (response.ok) document.getElementById('preview').outerHTML = await response.text();
        } catch { /* the next change tries again */ }
      },
    }));

    // a part of a page that follows what happens elsewhere
    Alpine.data('refresh', () => ({
      init() { this.timer = setInterval(() => this.load(), RETRY_MS); },
      destroy() { clearInterval(this.timer); },
      async load() {
        if (document.hidden || this.$root.contains(document.activeElement)) return;
        try {
          const response = await fetch(this.$root.dataset.refresh, { headers: { 'X-Galdrin-Device': device() } });
          if (response.ok) {
            const part = new DOMParser().parseFromString(await response.text(), 'text/html').body.firstElementChild;
            if (part) this.$root.replaceChildren(...part.children);
          }
        } catch { /* the next round tries again */ }
      },
    }));

    Alpine.data('desk', () => ({
      key(event) {
        if (event.target.closest('input, textarea, select')) return;
        if (event.key === 'n') document.getElementById('next-sitting')?.click();
      },
    }));
  });
})();
