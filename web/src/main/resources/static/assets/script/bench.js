// The bench: the sheet beside the form follows it, and the buttons of the steps change the form without leaving the page.
import { device } from './device.js';

export const bench = () => ({
  timer: null,
  turn: Promise.resolve(),

  changed(event) {
    clearTimeout(this.timer);
    const rebuild = event.target.matches('[data-rebuild]') && event.type === 'change';
    this.timer = setTimeout(() => { this.turn = this.turn.then(() => (rebuild ? this.rebuild() : this.show())); }, rebuild ? 0 : 250);
  },

  // a button that would load the page again loads its parts instead; each press is taken after the one before it, however quick they come
  pressed(event) {
    const button = event.target.closest('button[formmethod="get"][name]');
    if (!button || button.disabled) return;
    event.preventDefault();
    const { name, value } = button;
    this.turn = this.turn.then(() => this.rebuild({ name, value }));
  },

  query(button) {
    const query = new URLSearchParams(new FormData(this.$root));
    query.delete('_csrf');
    if (button) query.set(button.name, button.value);
    return query;
  },

  async rebuild(button) {
    const asked = this.controls();
    const page = await this.load(this.query(button));
    if (!page) return;
    const now = this.controls();
    const since = [...now].filter(([key, value]) => asked.has(key) && asked.get(key) !== value);
    const focused = this.keys().get(document.activeElement);
    const open = [...this.$root.querySelectorAll('details[open]')].map(d => d.closest('[data-bench-step]')?.dataset.benchStep);
    const made = page.querySelector('#bench');
    for (const part of ['#steps', 'section:has(> .scheme)', 'section:has(#unit)', '.alert-faults', 'input[name="order"]', 'input[name="start"]', '.starts']) {
      const old = this.$root.querySelector(part);
      const fresh = made.querySelector(part);
      if (old && fresh) old.replaceWith(fresh);
    }
    this.$root.querySelectorAll('[data-bench-step]').forEach(li => { if (open.includes(li.dataset.benchStep)) li.querySelector('details').open = true; });
    const title = made.querySelector('#title');
    this.$root.querySelector('#title').placeholder = title.placeholder;
    document.getElementById('preview').replaceWith(page.querySelector('#preview'));
    this.keep(new Map(since));
    if (button) this.$root.querySelector(`button[name="${button.name}"][value="${CSS.escape(button.value)}"]`)?.focus();
    else if (focused) [...this.keys()].find(([, key]) => key === focused)?.[0].focus();
  },

  // what was ticked or typed while the answer was on its way: the answer does not know it yet, the next one will
  keep(since) {
    for (const [control, key] of this.keys()) {
      if (!since.has(key)) continue;
      if (this.isTicked(control)) control.checked = since.get(key);
      else control.value = since.get(key);
    }
  },

  controls() {
    return new Map([...this.keys()].map(([control, key]) => [key, this.isTicked(control) ? control.checked : control.value]));
  },

  // a control is known again in the next page by its name, its value if it is ticked, and how many of these stand before it
  keys() {
    const keys = new Map();
    const count = {};
    for (const control of this.$root.elements) {
      if (!control.name || control.type === 'hidden' || control.type === 'submit') continue;
      const name = this.isTicked(control) ? `${control.name}=${control.value}` : control.name;
      count[name] = (count[name] ?? 0) + 1;
      keys.set(control, `${name} ${count[name]}`);
    }
    return keys;
  },

  isTicked: control => control.type === 'checkbox' || control.type === 'radio',

  async show() {
    const query = this.query();
    query.set('part', 'preview');
    const part = await this.load(query);
    if (part) document.getElementById('preview').replaceWith(part.querySelector('#preview'));
  },

  async load(query) {
    try {
      const response = await fetch(`${this.$root.dataset.bench}?${query}`, { headers: { 'X-Galdrin-Device': device() } });
      return response.ok ? new DOMParser().parseFromString(await response.text(), 'text/html') : null;
    } catch { return null; /* the next change tries again */ }
  },
});
