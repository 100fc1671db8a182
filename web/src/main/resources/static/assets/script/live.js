// Parts of a page that follow what happens elsewhere, and keys of the desk.
import { device } from './device.js';

const EVERY_MS = 5000;

export const refresh = () => ({
  init() { this.title(); if (!this.settled(this.$root)) this.timer = setInterval(() => this.load(), Number(this.$root.dataset.every) || EVERY_MS); },
  destroy() { clearInterval(this.timer); },
  // nothing more will change
  settled(part) { return part.dataset.settled !== undefined; },
  // the tab counts who calls
  title() {
    const title = this.$root.querySelector('[data-page-title]')?.dataset.pageTitle;
    if (title) document.title = title;
  },
  async load() {
    if (document.hidden || this.$root.contains(document.activeElement)) return;
    try {
      const response = await fetch(this.$root.dataset.refresh, { headers: { 'X-Galdrin-Device': device() } });
      if (response.ok) {
        const part = new DOMParser().parseFromString(await response.text(), 'text/html').body.firstElementChild;
        if (part) { this.$root.replaceChildren(...part.children); this.title(); }
        if (part && this.settled(part)) this.destroy();
      }
    } catch { /* the next round tries again */ }
  },
});

export const desk = () => ({
  key(event) {
    if (event.target.closest('input, textarea, select')) return;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const presses = { s: 'sign', r: 'release', g: 'onward', n: 'next-sitting', a: 'agree' };
    document.getElementById(presses[event.key])?.click();
  },

  // the next sheet takes the place of this one without a page load
  async onward(event) {
    if (!event.target.matches('[data-onward]')) return;
    event.preventDefault();
    const form = event.target;
    const button = form.querySelector('button');
    button.disabled = true;
    try {
      const response = await fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form)) });
      const page = new DOMParser().parseFromString(await response.text(), 'text/html');
      const next = page.querySelector('main');
      if (!response.ok || !next?.matches('.desk')) { location.assign(response.url); return; }
      history.pushState({}, '', response.url);
      document.title = page.title;
      this.$root.replaceChildren(...next.children);
      window.scrollTo(0, 0);
      const told = this.$root.querySelector('[role=status], [role=alert], h1');
      if (told) { told.tabIndex = -1; told.focus(); }
    } catch { button.disabled = false; form.submit(); }
  },
});

// a sheet that was put in the place of another is loaded when it is gone back to
window.addEventListener('popstate', () => { if (document.querySelector('main.desk')) location.reload(); });
