// The bench: every change is sent to the draft on the server, one after another, and the page it makes takes the place of the old one.
import { device } from './device.js';
import { newKey } from './queue.js';

const PARTS = ['#bench-head', '#bench-whole', '#steps', '#rules', '#marks'];
const TYPING = 700;
const AGAIN = 2000;

export const bench = () => ({
  unsent: new Map(),
  unanswered: [],
  timer: null,
  leaving: false,
  turn: Promise.resolve(),

  changed({ type, target }) {
    if (!target.name || target.type === 'hidden' || target.name === 'keep') return;
    if (type === 'input' && (this.isTicked(target) || target.tagName === 'SELECT' || target.dataset.whole !== undefined)) return;
    this.unsent.set(target.name, this.said(target));
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), type === 'change' ? 0 : TYPING);
  },

  // a button that would load the page again changes its parts instead
  pressed(event) {
    const button = event.target.closest('button[name]');
    if (!button || button.disabled) return;
    event.preventDefault();
    const also = button.name === 'begin' && this.$root.querySelector('[name=keep]').checked ? [['keep', 'on']] : [];
    this.send([[button.name, button.value], ...also], button);
  },

  // Enter in a field sends the field and nothing else; what leads away sends the whole form, and whatever was under way with it
  submitted(event) {
    if (event.submitter?.hasAttribute('formaction')) {
      this.leaving = event.submitter.formTarget === '';
      return;
    }
    event.preventDefault();
    this.send();
  },

  // each press is taken after the one before it, however quick they come; one that did not arrive is sent once more under its own name
  send(pressed = [], button = null) {
    clearTimeout(this.timer);
    const fields = [...this.unsent, ...pressed];
    this.unsent.clear();
    if (fields.length === 0) return;
    const press = newKey();
    this.unanswered.push(new Map(fields));
    this.turn = this.turn.then(() => this.post(press, fields, button));
  },

  async post(press, fields, button) {
    const form = this.$root;
    const body = new URLSearchParams([...fields, ['press', press], ['part', '1'], ['seen', form.elements.seen.value], ['_csrf', form.elements._csrf.value]]);
    while (!this.leaving) {
      try {
        const response = await fetch(form.getAttribute('action'), { method: 'POST', body, headers: { 'X-Galdrin-Device': device() } });
        if (this.leaving) return;
        if (!response.ok || response.redirected) { location.reload(); return; }
        this.unanswered.shift();
        this.show(new DOMParser().parseFromString(await response.text(), 'text/html'), button);
        return;
      } catch {
        const status = document.getElementById('bench-status');
        status.textContent = status.dataset.away;
        await new Promise(resolve => { setTimeout(resolve, AGAIN); });
      }
    }
  },

  show(page, button) {
    const focused = this.keys().get(document.activeElement);
    const caret = this.caret(document.activeElement);
    const open = new Set([...this.$root.querySelectorAll('details[open]')].map(d => this.fold(d)));
    const folds = new Set([...this.$root.querySelectorAll('details')].map(d => this.fold(d)));
    for (const part of PARTS) this.$root.querySelector(part).replaceWith(page.querySelector(part));
    document.getElementById('preview').replaceWith(page.querySelector('#preview'));
    this.$root.querySelectorAll('details').forEach(d => { if (folds.has(this.fold(d)) && !d.querySelector('.fault, .refusal')) d.open = open.has(this.fold(d)); });
    this.keep();
    if (button) this.$root.querySelector(`button[name="${button.name}"][value="${CSS.escape(button.value)}"]`)?.focus();
    else if (focused) this.refocus([...this.keys()].find(([, key]) => key === focused)?.[0], caret);
  },

  caret: control => (control && control.type === 'text' ? [control.selectionStart, control.selectionEnd] : null),

  refocus(control, caret) {
    if (!control) return;
    control.focus({ preventScroll: true });
    if (caret) control.setSelectionRange(...caret);
  },

  // a fold is known again by the step and the words of its head
  fold: details => `${details.closest('[data-bench-step]')?.dataset.benchStep} ${details.querySelector('summary').getAttribute('aria-label') ?? details.closest('tr')?.querySelector('label').textContent} ${details.className}`,

  // what was changed while the answer was on its way: the answer does not know it yet, the next one will
  keep() {
    const changed = new Map([...this.unanswered, this.unsent].flatMap(fields => [...fields]));
    for (const control of this.$root.elements) {
      if (control.type === 'hidden' || control.type === 'submit' || !changed.has(control.name)) continue;
      const said = changed.get(control.name);
      if (control.type === 'radio') control.checked = control.value === said;
      else if (control.type === 'checkbox') control.checked = said === 'on';
      else control.value = said;
    }
  },

  // a control is known again in the next page by its name, and its value where several have one name
  keys() {
    return new Map([...this.$root.elements].filter(c => c.name && c.type !== 'hidden').map(c => [c, c.type === 'radio' || c.type === 'submit' ? `${c.name}=${c.value}` : c.name]));
  },

  said: control => (control.type === 'checkbox' ? (control.checked ? 'on' : 'off') : control.value),

  isTicked: control => control.type === 'checkbox' || control.type === 'radio',
});
