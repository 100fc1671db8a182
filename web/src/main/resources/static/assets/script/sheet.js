// The sheet at the bay: shows one step at a time, writes each line as it is left, keeps everything until the server has it.
import { Queue } from './queue.js';
import { Field } from './field.js';
import { device, token } from './device.js';
import { move } from './moves.js';
import { Connection } from './connection.js';
import { Calculator, shown } from './calculator.js';
import { work } from './calculation.js';

const LOOK_MS = 5000;

export const sheet = () => ({
  queue: null, drafts: {}, seq: 0, elsewhere: false, last: null, disputed: false, late: false,

  init() {
    this.root = this.$el;
    this.say_ = this.root.querySelector('[data-words]').dataset;
    this.seq = Number(this.root.dataset.seq);
    this.queue = new Queue({
      name: this.root.dataset.sitting, storage: localStorage, locks: navigator.locks ?? null,
      send: entry => this.post(entry), changed: () => this.showAside(), retry: () => this.flush(true),
    });
    this.connection = new Connection({ probe: `/sittings/${this.root.dataset.sitting}/status`, lost: () => this.say(this.say_.sayStay, true) });
    this.connection.guard();
    this.draftKey = `galdrin.draft.${this.root.dataset.sitting}`;
    try { this.drafts = JSON.parse(localStorage.getItem(this.draftKey)) ?? {}; } catch { this.drafts = {}; }
    this.listen();
    if (this.root.dataset.closed !== 'true') this.restore();
    this.shown = this.root.querySelector('.step.shown')?.dataset.step;
    this.root.querySelectorAll('.measure').forEach(move);
    this.calculators = [...this.root.querySelectorAll('[data-calculator]')].map(holder => new Calculator(holder, { keep: (line, text) => this.calculated(line, text), put: (line, text) => this.putIn(line, text) }));
    this.queue.entries().filter(entry => entry.line.startsWith(this.root.dataset.tapeLines)).forEach(entry => this.showOnTape(entry.line, entry.text));
    this.showAside();
    this.flush();
    this.looking = setInterval(() => this.lookUp(), LOOK_MS);
    if (matchMedia('(min-width: 900px)').matches) this.firstOpen()?.focus({ preventScroll: true });
  },

  listen() {
    const on = (type, does) => this.root.addEventListener(type, does);
    on('input', event => this.typed(event));
    on('change', event => this.changed(event));
    on('keydown', event => this.key(event));
    on('focusin', event => this.focused(event));
    on('click', event => this.clicked(event));
    on('submit', event => this.submitted(event));
    window.addEventListener('popstate', () => this.follow());
    window.addEventListener('storage', event => { if (event.key?.startsWith('galdrin.')) this.showAside(); });
  },

  destroy() { clearInterval(this.looking); this.connection.release(); },

  // given back, stopped or moved while the page is open: the page reloads once nothing is on its way
  async lookUp() {
    if (document.hidden || this.queue.length > 0 || document.querySelector('dialog[open]')) return;
    const status = await this.connection.ask();
    const writes = document.activeElement?.matches('input, select, textarea') && Object.keys(this.drafts).length > 0; // a draft comes back, a place in it does not
    if (status?.stands && status.stands !== this.root.dataset.stands && !writes) location.reload();
  },

  fieldOf(element) { const holder = element?.closest?.('[data-line][data-kind]'); return holder ? new Field(holder) : null; },
  field(line) { const holder = this.root.querySelector(`[data-kind][data-line="${CSS.escape(line)}"]`); return holder ? new Field(holder) : null; },
  step() { return this.root.querySelector('.step.shown'); },

  // ---- what was typed here and never reached the server comes back into its field
  restore() {
    for (const entry of this.queue.entries()) {
      if (entry.line === this.root.dataset.callLine) this.showCall(entry.text);
      const field = this.field(entry.line);
      if (!field) continue;
      if (entry.strike) field.empty();
      else { field.show(entry.text); field.stands(entry.text, entry.key); field.mark('unsent', true); }
    }
    for (const [line, text] of Object.entries(this.drafts)) {
      const field = this.field(line);
      if (field && !field.input?.readOnly && field.text !== text) { field.show(text); field.mark('unsent', true); }
    }
    for (const entry of this.queue.aside()) {
      const field = this.field(entry.line);
      if (field && field.text === entry.text) field.fault(entry.sentence);
    }
  },

  keepDraft(line, text) {
    if (text === null) delete this.drafts[line]; else this.drafts[line] = text;
    try { localStorage.setItem(this.draftKey, JSON.stringify(this.drafts)); } catch { /* full or private: the field still holds it */ }
  },

  typed(event) {
    const field = this.fieldOf(event.target);
    if (!field || (field.kind !== 'text' && field.kind !== 'sensed')) return;
    field.fit();
    this.keepDraft(field.line, field.same ? null : field.text.slice(0, 2000));
  },

  focused(event) {
    const field = this.fieldOf(event.target);
    if (!field) return;
    this.last = field;
    this.calculators.forEach(calculator => calculator.aim(field.line));
    if (event.target.matches('input.at-box')) event.target.select?.();
    const position = event.target.dataset.position;
    const measure = event.target.closest('.measure');
    measure?.querySelectorAll('path[data-position]').forEach(path => path.classList.toggle('now', path.dataset.position === position));
  },

  changed(event) {
    const field = this.fieldOf(event.target);
    if (!field || event.target.readOnly) return;
    if (field.kind === 'tick' && !field.input.checked) this.strike(field);
    else if (field.kind === 'choice' || field.kind === 'tick') this.send(field);
    else this.write(field);
    if (field.line.includes('/next/') && field.text === 'again') this.anotherRound(event.target.closest('[data-rounds]'), field);
  },

  key(event) {
    if (event.key !== 'Enter' || !event.target.matches('input.at-box, .at-sense')) return;
    event.preventDefault();
    const field = this.fieldOf(event.target);
    if (field.lacksSense) { this.say(this.say_.saySense, true); field.sense.focus(); return; }
    this.write(field);
    const order = this.walk(event.target);
    const next = order[order.findIndex(f => f.line === field.line) + 1];
    if (next) next.input.focus(); else this.onward(event.target);
  },

  // the text fields in the order of the walk: of the shown repeat of a measurement, or of the step
  walk(from) {
    const within = from.closest('.measure') ?? from.closest('.step');
    return [...within.querySelectorAll('[data-kind="text"], [data-kind="sensed"]')].filter(holder => !holder.hidden).map(holder => new Field(holder));
  },

  async onward(from) {
    const measure = from.closest('.measure');
    const shown = Number(measure?.dataset.shown ?? 0);
    if (measure && shown < Number(measure.dataset.repeats) && !this.step().querySelector('.bad')) { this.showRepeat(measure, shown + 1); return; }
    const next = document.getElementById('next');
    (next?.classList.contains('off') ? this.root.querySelector('.bay-bar a.btn:not(#next)') ?? next : next)?.focus();
  },

  showRepeat(measure, repeat) {
    measure.dataset.shown = repeat;
    measure.querySelectorAll('.at[data-repeat]').forEach(at => { at.hidden = at.dataset.repeat !== '0' && at.dataset.repeat !== String(repeat); });
    measure.querySelectorAll('[data-show-repeat]').forEach(b => b.setAttribute('aria-pressed', String(b.dataset.showRepeat === String(repeat))));
    move(measure);
    const fields = this.walk(measure.querySelector('.at-box'));
    (fields.find(f => !f.filled) ?? fields[0])?.input.focus();
  },

  firstOpen() {
    const fields = [...(this.step()?.querySelectorAll('[data-kind]') ?? [])].filter(h => !h.hidden).map(h => new Field(h));
    return (fields.find(f => !f.filled) ?? fields[0])?.input;
  },

  clicked(event) {
    const strike = event.target.closest('[data-strike]');
    const link = event.target.closest('[data-step-link]');
    const repeat = event.target.closest('[data-show-repeat]');
    if (strike) { event.preventDefault(); const field = this.field(strike.dataset.strike); if (field) this.strike(field); }
    else if (link) { event.preventDefault(); this.go(link.dataset.stepLink); }
    else if (repeat) this.showRepeat(repeat.closest('.measure'), Number(repeat.dataset.showRepeat));
    else if (event.target.closest('#next')) { event.preventDefault(); this.goNext(); }
    else if (event.target.closest('#write')) this.writeAll();
    else if (event.target.closest('#strike')) this.strikeLast();
    else if (event.target.closest('#keyboard')) this.switchKeyboard();
    else if (event.target.closest('[data-route-fold]')) this.fold(event.target.closest('[data-route-fold]'));
    else if (event.target.closest('[data-ask-yes]')) this.handIn(event.target.closest('.sheet-form'));
    else if (event.target.closest('[data-ask-no]')) event.target.closest('dialog').close();
    else if (event.target.closest('[data-aside-go]')) this.field(event.target.closest('[data-aside-go]').dataset.asideGo)?.inputs[0]?.focus();
    else if (event.target.closest('[data-aside-done]')) this.queue.clearAside(event.target.closest('[data-aside-done]').dataset.asideDone);
  },

  fold(button) {
    const open = button.getAttribute('aria-expanded') !== 'true';
    button.setAttribute('aria-expanded', String(open));
    button.closest('.route').classList.toggle('unfolded', open);
  },

  // ---- one step at a time
  steps() { return [...this.root.querySelectorAll('.step')]; },

  go(id, push = true) {
    const target = this.steps().find(s => s.dataset.step === id);
    if (!target) return;
    this.steps().forEach(s => s.classList.toggle('shown', s === target));
    this.shown = id;
    if (push) history.pushState({}, '', `?step=${id}`);
    this.showRoute();
    this.showAside();
    document.title = `${target.querySelector('h1').textContent} · ${document.title.split(' · ').slice(1).join(' · ')}`;
    window.scrollTo(0, 0);
    (matchMedia('(min-width: 900px)').matches ? this.firstOpen() ?? target.querySelector('h1') : target.querySelector('h1'))?.focus({ preventScroll: true });
    this.refresh(id);
  },

  goNext() {
    const steps = this.steps();
    const next = steps[steps.findIndex(s => s.dataset.step === this.shown) + 1];
    if (next) this.go(next.dataset.step);
  },

  follow() { const step = new URLSearchParams(location.search).get('step'); if (step && step !== this.shown) this.go(step, false); },

  showRoute() {
    const steps = this.steps();
    const here = steps.findIndex(s => s.dataset.step === this.shown);
    this.root.querySelectorAll('[data-route]').forEach(item => {
      const now = item.dataset.route === this.shown;
      item.classList.toggle('now', now);
      const link = item.querySelector('a');
      if (now) link.setAttribute('aria-current', 'step'); else link.removeAttribute('aria-current');
    });
    const title = steps[here]?.querySelector('h1').textContent ?? '';
    const fold = this.root.querySelector('[data-route-now]');
    if (fold) fold.textContent = fold.textContent.replace(/\d+/, here + 1).replace(/:.*/, `: ${title}`);
    const next = document.getElementById('next');
    if (next) {
      next.classList.toggle('off', here + 1 >= steps.length);
      next.querySelector('.next-name').textContent = steps[here + 1] ? `: ${steps[here + 1].querySelector('h1').textContent}` : '';
    }
    this.root.querySelector('.route')?.classList.remove('unfolded');
    this.root.querySelector('[data-route-fold]')?.setAttribute('aria-expanded', 'false');
  },

  // the server says what makes a line needless: which line, and what is chosen there
  needless(field) {
    const { needlessBy, needlessWhen, optional } = field.holder.dataset;
    return optional !== undefined || needlessBy !== undefined && this.field(needlessBy)?.text === needlessWhen;
  },

  showProgress() {
    for (const step of this.steps()) {
      const fields = [...step.querySelectorAll('[data-kind]')].map(h => new Field(h));
      if (fields.length === 0) continue;
      const open = fields.filter(f => !f.filled && !this.needless(f)).length;
      const item = this.root.querySelector(`[data-route="${CSS.escape(step.dataset.step)}"]`);
      item?.classList.toggle('done', open === 0);
      item?.classList.toggle('open', open !== 0);
      const state = item?.querySelector('[data-route-state]');
      if (state) state.textContent = open === 0 ? this.say_.sayStepDone : this.say_.sayStepOpen.replace('{0}', fields.length - open).replace('{1}', fields.length);
      const listed = this.root.querySelector(`[data-open-step="${CSS.escape(step.dataset.step)}"]`);
      if (!listed) continue;
      listed.hidden = open === 0;
      const count = listed.querySelector('[data-open-count]');
      count.textContent = count.textContent.replace(/\d+/, open);
    }
    const nothing = this.root.querySelector('[data-nothing-open]');
    if (nothing) nothing.hidden = Boolean(this.root.querySelector('[data-open-step]:not([hidden])'));
  },

  // another round is made from the template, also without a connection
  anotherRound(rounds, field) {
    const step = rounds.closest('.step');
    const template = step.querySelector('template[data-round-template]');
    const number = Number(rounds.lastElementChild.dataset.round) + 1;
    const asked = Number(field.line.split('/').pop());
    if (!template || number > Number(rounds.dataset.most) || asked + 1 !== number) return;
    const made = template.dataset.round;
    const html = template.innerHTML.replaceAll(`/${made}"`, `/${number}"`).replaceAll(`/${made}.sense"`, `/${number}.sense"`)
      .replaceAll(`-${made}"`, `-${number}"`).replaceAll(`-${made}-says"`, `-${number}-says"`).replaceAll(`data-round="${made}"`, `data-round="${number}"`);
    const copy = new DOMParser().parseFromString(html, 'text/html').body.firstElementChild;
    const title = copy.querySelector('h2');
    if (title) title.textContent = title.textContent.replace(/\d+/, number);
    rounds.append(copy);
    copy.scrollIntoView({ block: 'start' });
  },

  // ---- writing
  submitted(event) {
    if (event.target.matches('[data-call]')) { event.preventDefault(); this.call(event.target); return; }
    if (!event.target.matches('.sheet-form')) return;
    if (!event.submitter?.matches('[data-hand-in]')) { event.preventDefault(); this.writeAll(); return; }
    if (this.handing) return; // the form itself hands in
    event.preventDefault();
    this.askHandIn(event.target);
  },

  // asked once, with what is open
  askHandIn(form) {
    const dialog = form.querySelector('[data-ask-hand-in]');
    const open = [...form.querySelectorAll('[data-open-step]:not([hidden])')].map(item => {
      const line = document.createElement('li');
      line.textContent = item.textContent.replace(/\s+/g, ' ').trim();
      return line;
    });
    dialog.querySelector('[data-ask-open]').replaceChildren(...open);
    dialog.showModal();
  },

  async handIn(form) {
    form.querySelector('[data-ask-hand-in]').close();
    await this.flush();
    if (this.queue.length > 0) return; // what waits is said
    if (!await this.connection.ask()) { this.say(this.say_.sayAway, true); return; }
    this.handing = true;
    form.dataset.sure = 'yes';
    form.requestSubmit(form.querySelector('[data-hand-in]'));
  },

  // calling the instructor is an entry like any other: it waits here until the server has it
  call(form) {
    const text = form.elements.text.value;
    this.queue.add({ line: this.root.dataset.callLine, text, strike: false, saw: [] });
    this.showCall(text);
    this.flush();
  },

  // a finished line of the calculator is an entry like any other too
  calculated(line, text) {
    this.queue.add({ line, text, strike: false, saw: [] });
    this.showOnTape(line, text);
    this.flush();
  },

  showOnTape(line, text) {
    for (const calculator of this.root.querySelectorAll(`[data-calculator][data-tape="${CSS.escape(line)}"]`)) {
      const item = document.createElement('li');
      const [formula, result] = ['formula', 'result'].map(name => { const part = document.createElement('span'); part.className = name; return part; });
      formula.textContent = text;
      result.textContent = `= ${shown(work(text).value)}`;
      item.append(formula, ' ', result);
      calculator.querySelector('[data-tape-lines]').append(item);
    }
  },

  // a result goes into the field of a figure, and is written as if it had been typed there
  putIn(line, text) {
    const field = this.field(line);
    if (!field || field.input.readOnly) return;
    field.show(text);
    field.input.focus();
    this.write(field);
  },

  showCall(text) {
    const form = this.root.querySelector('[data-call]');
    if (!form) return;
    const raised = text === 'raised';
    const button = form.querySelector('button');
    form.elements.text.value = raised ? 'answered' : 'raised';
    button.classList.toggle('raised', raised);
    button.textContent = raised ? form.dataset.lower : form.dataset.raise;
  },

  writeAll() { this.walk(this.step().querySelector('[data-field]') ?? this.step()).forEach(field => this.write(field)); },

  write(field) {
    const text = field.text;
    if (field.tooLong) { field.fault(this.say_.sayLong); this.say(this.say_.sayRefused, true); return; }
    if (field.same || (text === '' && !field.standing)) { field.clear(); this.keepDraft(field.line, null); return; }
    if (text === '') { field.show(field.standing); this.say(this.say_.sayEmpty); return; }
    if (field.lacksSense) { this.say(this.say_.saySense, true); return; }
    this.send(field);
  },

  send(field) {
    const text = field.text;
    const entry = this.queue.add({ line: field.line, text, strike: false, saw: field.saw });
    field.stands(text, entry.key);
    field.clear();
    field.mark('unsent', true);
    this.keepDraft(field.line, null);
    this.showProgress();
    this.flush();
  },

  strike(field) {
    if (!field.filled) { this.say(this.say_.sayEmpty); return; }
    this.queue.add({ line: field.line, text: '', strike: true, saw: field.saw });
    field.empty();
    field.holder.dataset.value = '';
    move(field.holder.closest('.measure'));
    this.keepDraft(field.line, null);
    this.showProgress();
    this.flush();
  },

  strikeLast() {
    if (!this.last || this.last.kind === 'tick') return;
    const field = this.last;
    this.strike(field);
    field.input?.focus();
  },

  async flush(quiet = false) {
    if (this.queue.length > 0 && !quiet) this.say(this.say_.saySending);
    const { sent, why } = await this.queue.flush();
    if (why) this.say(`${why} ${this.say_.sayWaiting.replace('{0}', this.queue.length)}`, true);
    else if (sent > 0 && this.queue.length === 0) { this.sayHowItStands(); this.refresh(this.shown); }
  },

  sayHowItStands() {
    if (this.root.querySelector('.bad')) this.say(this.say_.sayRefused, true);
    else if (this.disputed) this.say(this.say_.sayDisputed, true);
    else if (this.late) this.say(this.say_.sayLate, true);
    else if (this.elsewhere) this.say(`${this.say_.sayAll}. ${this.say_.sayElsewhere}`, true);
    else this.say(this.say_.sayAll);
  },

  // done, or refused for good, or to be sent again later
  async post(entry) {
    let response;
    try {
      response = await fetch(`/sittings/${this.root.dataset.sitting}/entries`, {
        method: 'POST', redirect: 'manual',
        headers: { 'X-Galdrin-Device': device(), 'X-XSRF-TOKEN': token(), 'Content-Type': 'application/x-www-form-urlencoded' },
        body: new URLSearchParams({ line: entry.line, text: entry.text, strike: String(entry.strike), saw: entry.saw.join(','), key: entry.key,
          deviceSeq: String(entry.deviceSeq), writtenAt: String(entry.writtenAt), sentAt: String(Date.now()) }),
      });
    } catch { this.connection.failed(); return { later: this.say_.sayAway }; }
    this.connection.worked();
    if (response.status === 401 || response.type === 'opaqueredirect') return { later: this.say_.saySignedOut };
    if ([400, 404, 413].includes(response.status)) return { refused: this.say_.sayAside };
    if (!response.ok) return { later: this.say_.sayAway };
    const answer = await response.json();
    this.answered(entry, answer);
    return answer.ok ? { done: true } : { refused: answer.error };
  },

  answered(entry, answer) {
    const field = this.field(entry.line);
    this.elsewhere ||= answer.seq > this.seq + 1; // someone else wrote in between
    this.seq = Math.max(this.seq, answer.seq);
    this.disputed ||= answer.disputed;
    if (answer.calls) this.showCall('raised');
    this.late ||= answer.late;
    if (!field) return;
    if (!answer.ok) {
      field.fault(answer.error);
      if (field.saw.includes(entry.key)) { field.saw = entry.saw; if (field.kind === 'text') field.input.dataset.standing = ''; }
      this.keepDraft(entry.line, field.kind === 'text' || field.kind === 'sensed' ? entry.text : null);
      return;
    }
    if (!field.saw.includes(entry.key) && !entry.strike) return; // something newer is on its way
    this.queue.aside().filter(refused => refused.line === entry.line).forEach(refused => this.queue.clearAside(refused.key)); // put right
    field.mark('unsent', false);
    if (field.kind === 'text' || field.kind === 'sensed') { field.say(answer.echo, false); field.holder.dataset.value = answer.number ?? ''; }
    move(field.holder.closest('.measure'));
  },

  // what could not be written is said at its field; here it stands with its step and its field while that step is shown, and what
  // has no field on this page stands here always
  showAside() {
    const box = this.root.querySelector('[data-aside]');
    if (!box) return;
    const entries = this.queue?.aside() ?? [];
    const stepOf = entry => this.field(entry.line)?.holder.closest('.step');
    const here = entries.filter(entry => (stepOf(entry)?.dataset.step ?? this.shown) === this.shown);
    box.querySelector('ul').replaceChildren(...here.map(entry => this.asideItem(entry)));
    box.hidden = here.length === 0;
    this.root.querySelectorAll('[data-route]').forEach(item => {
      const bad = entries.some(entry => stepOf(entry)?.dataset.step === item.dataset.route);
      item.classList.toggle('to-right', bad);
      const state = item.querySelector('[data-route-bad]');
      if (state) state.hidden = !bad;
    });
  },

  asideItem(entry) {
    const item = document.createElement('li');
    const field = this.field(entry.line);
    const text = document.createElement(field ? 'button' : 'span');
    if (field) { text.type = 'button'; text.className = 'btn btn-link'; text.dataset.asideGo = entry.line; }
    // most sentences say what was read
    const said = entry.text && entry.sentence.includes(entry.text) ? entry.sentence : `${entry.text || '–'}: ${entry.sentence}`;
    text.textContent = field ? `${field.name} · ${said}` : said;
    const done = document.createElement('button');
    done.type = 'button'; done.className = 'quiet'; done.dataset.asideDone = entry.key; done.textContent = '×';
    done.setAttribute('aria-label', this.say_.sayForget.replace('{0}', entry.text || '–'));
    item.append(text, done);
    return item;
  },

  say(sentence, trouble = false) {
    const status = document.getElementById('status');
    if (!status) return;
    if (status.textContent !== sentence) status.textContent = sentence; // said once, not at every try
    status.classList.toggle('trouble', trouble);
  },

  // the panel of a step, and what in it follows from other steps: his readings where he works, his figures where he judges and plans
  async refresh(step) {
    const panel = document.getElementById(`panel-${step}`);
    if (!panel) return;
    const turn = this.turn = (this.turn ?? 0) + 1;
    try {
      const response = await fetch(`/sittings/${this.root.dataset.sitting}?part=${step}`, { headers: { 'X-Galdrin-Device': device() } });
      if (!response.ok) return;
      const part = new DOMParser().parseFromString(await response.text(), 'text/html');
      if (this.turn !== turn) return; // a later answer is on its way
      panel.replaceChildren(...part.querySelector('[data-panel-part]').childNodes);
      for (const fresh of part.querySelectorAll('[data-follows]')) {
        const stale = document.getElementById(fresh.id);
        if (stale && !stale.isEqualNode(fresh)) stale.replaceWith(fresh); // left alone where it is the same, so that nothing jumps
      }
      this.root.querySelectorAll('.one-round').forEach(showGoals);
    } catch { /* a convenience; the entries are safe */ }
  },

  switchKeyboard() {
    this.root.querySelectorAll('input.at-box').forEach(f => { f.inputMode = f.inputMode === 'decimal' ? 'text' : 'decimal'; });
    this.last?.input?.focus();
  },
});

// what must be read stands in the empty fields of the round's drawings, until something is written there
function showGoals(round) {
  const goals = [...round.querySelectorAll('[data-goal-place]')];
  for (const field of round.querySelectorAll('.at[data-place]')) {
    const goal = goals.find(g => g.dataset.goalPlace === field.dataset.place && field.dataset.line.startsWith(`${g.dataset.goalStep}/`));
    field.querySelector('[data-field]').placeholder = goal?.dataset.goal ?? '';
    const way = field.querySelector('[data-choose]');
    if (way) way.textContent = goal?.dataset.goalSense ? `\u2192 ${goal.dataset.goalSense}` : way.dataset.choose;
  }
}
